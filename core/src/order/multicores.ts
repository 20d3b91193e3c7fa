import type { Multicore } from '../routes/index.js';
import type { Cut } from './cut.js';
import type { Add } from './line.js';
import { PLANNING_PRICES as PRICE } from './prices.js';

/** A cable as it is asked for: so many cores of one size. @example '7-core 2.5 mm²' */
const sizeOf = ({ bought, size }: Multicore): string => `${bought}-core ${size}`;

/** The cables of several cores, each by its whole length: what leaves it on the way leaves its cores behind. */
export function addMulticores(add: Add, all: readonly Multicore[]): void {
  for (const m of all) {
    const use = `${m.name}: runs ${m.runs.map((r) => r.spec.number).join(', ')}`;
    add(
      {
        key: `cable-${m.bought}-core-${m.size}`,
        group: 'cable',
        what: `cable ${sizeOf(m)} sheathed`,
        quantity: m.lengthM,
        unit: 'm',
        priceEach: PRICE.cableBase + PRICE.cablePerMm2 * m.areaMm2 * m.bought,
        kg: m.lengthM * m.kgPerM,
      },
      use,
    );
    const common = m.plan.filter((c) => c.lead === 'common return').length;
    if (common) add({ key: `crimp terminal ${m.size} M6`, group: 'joints', what: `crimp terminal ${m.size} M6`, quantity: common, unit: 'pc', priceEach: PRICE.lugSmall, kg: 0.02 }, use);
  }
}

/** Its one cut. */
export const multicoreCut = (m: Multicore): Cut => ({
  run: null,
  name: m.name,
  size: sizeOf(m),
  areaMm2: m.areaMm2,
  cores: m.bought,
  lead: 'cores',
  colour: 'sheathed',
  lengthM: m.lengthM,
  lugs: m.plan.filter((c) => c.lead !== 'spare').length + ' cores, each with its terminals',
  label: m.runs.map((r) => r.spec.number).join(' '),
});

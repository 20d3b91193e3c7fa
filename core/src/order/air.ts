import { hasFans } from '../places/index.js';
import type { LayoutFigures } from '../routes/index.js';
import type { Add } from './line.js';
import { PLANNING_PRICES as PRICE } from './prices.js';

/** Fans of closed spaces, each with its filter, one thermostat a space, and vents in pairs. */
export function addAir(add: Add, layout: LayoutFigures): void {
  for (const { name, air } of layout.heat) {
    if (air?.ventCm2)
      add(
        { key: `vent-${air.ventCm2}`, group: 'sundries', what: `vent ${air.ventCm2} cm² free area, with dust screen`, quantity: 2, unit: 'pc', priceEach: PRICE.vent, kg: 0.15 },
        `${name}, low and high`,
      );
    if (!air || !hasFans(air)) continue;
    for (const [m3h, way] of [
      [air.outM3h, 'out'],
      [air.inM3h, 'in'],
    ] as const) {
      if (m3h === 0) continue;
      add({ key: `fan-${m3h}`, group: 'sundries', what: `fan ${m3h} m³/h, 12 V, brushless`, quantity: 1, unit: 'pc', priceEach: PRICE.fanBase + PRICE.fanPerM3h * m3h, kg: 0.3 }, `${name}, ${way}`);
      add(
        { key: 'dust-filter', group: 'sundries', what: 'dust filter with its frame', quantity: 1, unit: 'pc', priceEach: PRICE.dustFilter, kg: 0.1 },
        `${name}, ${way === 'in' ? 'before the fan' : 'inlet'}`,
      );
    }
    add({ key: 'thermostat', group: 'sundries', what: 'thermostat for fans, set point typed', quantity: 1, unit: 'pc', priceEach: PRICE.thermostat, kg: 0.1 }, `${name}, ${air.fromC} °C`);
  }
}

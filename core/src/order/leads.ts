import { copperKgPerM } from '../cable/index.js';
import type { Design } from '../design/index.js';
import type { Fitted } from '../routes/index.js';
import type { Cut } from './cut.js';
import type { Add } from './line.js';
import { PLANNING_PRICES as PRICE } from './prices.js';

/** Loose cable of the lead that a run goes on from, m; 0: it is none, or the two plugs go into one another. */
const leadM = ({ inlets }: Design, { spec }: Fitted): number => (spec.from.ref.in === 'inlets' ? (inlets[spec.from.ref.id]?.dc?.leadM ?? 0) : 0);

/** The loose cable of leads from other banks, of the size of the run that it goes into; its plugs come with outlet and inlet. */
export function addLeads(add: Add, design: Design, runs: readonly Fitted[]): void {
  for (const run of runs) {
    const lengthM = leadM(design, run);
    if (!lengthM) continue;
    const { size, areaMm2 } = run.figures;
    for (const colour of ['red', 'black'] as const)
      add(
        {
          key: `cable-${size}-${colour}`,
          group: 'cable',
          what: `cable ${size} ${colour}`,
          quantity: lengthM,
          unit: 'm',
          priceEach: PRICE.cableBase + PRICE.cablePerMm2 * areaMm2,
          kg: lengthM * copperKgPerM(areaMm2) * 1.25,
        },
        `lead into ${run.spec.to.name}`,
      );
  }
}

/** Its cuts, each with a plug’s contacts at both ends. */
export const leadCuts = (design: Design, run: Fitted): Cut[] =>
  leadM(design, run)
    ? (['red', 'black'] as const).map((colour) => ({
        run: run.spec.number,
        name: `loose lead into the ${run.spec.to.name}`,
        size: run.figures.size,
        areaMm2: run.figures.areaMm2,
        cores: 1,
        lead: colour === 'red' ? 'feed' : 'return',
        colour,
        lengthM: leadM(design, run),
        lugs: '2 × plug contact',
        label: `${run.spec.number}L${colour === 'red' ? '+' : '−'}`,
      }))
    : [];

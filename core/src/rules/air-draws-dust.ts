import { COMPARTMENT } from '../places/index.js';
import type { Rule } from './rule.js';

/** What a filtered fan blows in, m³/h. */
const blownM3h = (inM3h: number): number => (1 - COMPARTMENT.filterLoss) * inM3h;

export const airDrawsDust: Rule = {
  id: 'air-draws-dust',
  severity: 'look',
  harm: 'broken gear',
  basis: 'air blown in behind a filter is more than what is drawn out',
  why: 'A space that is sucked empty draws dust through every gap round its lid, past the filter.',
  test: ({ layout }) =>
    layout.heat
      .filter((h) => h.air && h.air.inM3h > 0 && h.air.outM3h > blownM3h(h.air.inM3h))
      .map((h) => ({ at: { stage: 'places' as const, about: h.zone }, values: { zone: h.name, out: h.air!.outM3h, in: Math.round(blownM3h(h.air!.inM3h)) } })),
  say: (v) => `${v['out']} m³/h are drawn out of the ${v['zone']}, and ${v['in']} come in through the filter: the rest comes in as dust.`,
  fix: () => 'A stronger fan at the filter, or a weaker one at the outlet.',
};

import { converterIn } from '../catalogue/index.js';
import type { Found, Rule } from './rule.js';

export const isolationMissing: Rule = {
  id: 'isolation-missing',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'completeness of the supply',
  why: 'Without a chosen part no run to the starting side is drafted.',
  test: ({ design, catalogue }) => {
    const missing = (id: string, part: string): Found => ({ at: { stage: 'supply', about: id }, values: { part } });
    return [
      ...Object.entries(design.converters).flatMap(([id, c]) => (c.from?.in === 'vehicles' && !converterIn(catalogue, c.part) ? [missing(id, 'DC-DC charger')] : [])),
      ...Object.entries(design.links).flatMap(([id, l]) => (catalogue.find('isolator', l.part) ? [] : [missing(id, 'isolator')])),
    ];
  },
  say: (v) => `Charging from the vehicle is wanted, but no ${v['part']} is chosen.`,
  fix: (v) => `Choose a ${v['part']} from the catalogue, or say that there is none.`,
};

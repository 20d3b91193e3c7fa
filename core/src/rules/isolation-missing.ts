import { supplyOf } from '../design/index.js';
import type { Rule } from './rule.js';

export const isolationMissing: Rule = {
  id: 'isolation-missing',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'completeness of the supply',
  why: 'Without a chosen part no run to the starting side is drafted.',
  test: ({ design, catalogue }) => {
    const { isolation, dcdc, isolator } = supplyOf(design);
    const there = isolation === 'none' || (isolation === 'dcdc' ? catalogue.find('dcdc', dcdc) : catalogue.find('isolator', isolator));
    return there ? [] : [{ at: { stage: 'supply', about: 'charger' }, values: { part: isolation === 'dcdc' ? 'DC-DC charger' : 'isolator' } }];
  },
  say: (v) => `Charging from the vehicle is wanted, but no ${v['part']} is chosen.`,
  fix: (v) => `Choose a ${v['part']} from the catalogue, or say that there is none.`,
};

import type { Rule } from './rule.js';

export const noLoads: Rule = {
  id: 'no-loads',
  severity: 'look',
  harm: 'the plan',
  basis: 'completeness of the load list',
  why: 'Battery, charger and cable follow from what must run.',
  test: ({ design }) => (Object.keys(design.loads).length ? [] : [{ at: { stage: 'loads' }, values: {} }]),
  say: () => 'Nothing is on the load list yet.',
  fix: () => 'Type the appliances under Loads, or paste them from a spreadsheet.',
};

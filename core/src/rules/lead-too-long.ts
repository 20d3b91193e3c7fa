import type { Rule } from './rule.js';

export const leadTooLong: Rule = {
  id: 'lead-too-long',
  severity: 'look',
  harm: 'broken gear',
  basis: 'longest lead by its maker; defaults here',
  why: 'A probe or data lead that is stretched reads wrong or not at all.',
  test: ({ layout }) => layout.leads.filter((l) => l.lengthM > l.longestM).map((l) => ({ at: { stage: 'runs' as const, about: l.id }, values: { name: l.name, have: l.lengthM, most: l.longestM } })),
  say: (v) => `${v['name']} would be ${v['have']} m; ${v['most']} m is its longest.`,
  fix: () => 'Move its device nearer to the battery, or take the maker’s long lead.',
};

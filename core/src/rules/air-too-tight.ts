import { placeAnew } from './press.js';
import type { Rule } from './rule.js';

export const airTooTight: Rule = {
  id: 'air-too-tight',
  severity: 'look',
  harm: 'broken gear',
  basis: 'air gaps: defaults until the maker says',
  why: 'What cannot breathe sheds its output when it is needed most.',
  test: ({ layout }) =>
    layout.troubles
      .filter((t) => t.kind === 'air')
      .map((t) => ({ at: { stage: 'places' as const, about: t.gear }, values: { name: t.name, with: t.with, what: t.with, have: t.haveMm, want: t.wantMm } })),
  presses: ({ at }, { design }) => placeAnew(design, at.about!),
  say: (v) => `${v['name']} has ${v['have']} mm of air beside ${v['with']}; ${v['want']} mm are wanted.`,
  fix: () => 'Move them apart, or see what the maker allows.',
};

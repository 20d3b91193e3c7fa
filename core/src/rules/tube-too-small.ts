import type { Rule } from './rule.js';

export const tubeTooSmall: Rule = {
  id: 'tube-too-small',
  severity: 'look',
  harm: 'fire',
  basis: 'conduit filled to 53 % by one, 31 % by two, 40 % by more cables',
  why: 'A tube that is overfull does not close and sheds no heat.',
  test: ({ layout }) =>
    layout.stretches.filter((s) => s.tubes === null).map((s) => ({ at: { stage: 'runs' as const, about: s.way.id }, values: { along: s.way.along, cables: s.cables, bundle: Math.ceil(s.bundleMm) } })),
  say: (v) => `${v['along']}: ${v['cables']} cables (${v['bundle']} mm together) do not fit even three split tubes.`,
  fix: () => 'Part of it another way.',
};

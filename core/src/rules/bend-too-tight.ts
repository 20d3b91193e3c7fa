import { placeAnew } from './press.js';
import type { Rule } from './rule.js';

export const bendTooTight: Rule = {
  id: 'bend-too-tight',
  severity: 'look',
  harm: 'broken gear',
  basis: 'bending radius 6 × outside diameter above 16 mm², 4 × below, plus the lug',
  why: 'Cable that is forced round a corner works its lug loose and breaks its strands.',
  test: ({ layout }) =>
    layout.troubles.filter((t) => t.kind === 'bend').map((t) => ({ at: { stage: 'places' as const, about: t.gear }, values: { name: t.name, with: t.with, have: t.haveMm, want: t.wantMm } })),
  presses: ({ at }, { design }) => placeAnew(design, at.about!),
  say: (v) => `${v['name']}: ${v['have']} mm before ${v['with']}, and its cable wants ${v['want']} mm for lug and bend.`,
  fix: (v) => `Turn it, or move it ${Number(v['want']) - Number(v['have'])} mm away.`,
};

import { placeAnew } from './press.js';
import type { Rule } from './rule.js';

export const nearMains: Rule = {
  id: 'near-mains',
  severity: 'look',
  harm: 'people',
  basis: 'wiring of 12 V and 230 V is kept apart',
  why: 'A damaged lead must not put mains on the 12 V side.',
  test: ({ layout }) => layout.troubles.filter((t) => t.kind === 'mains').map((t) => ({ at: { stage: 'places' as const, about: t.gear }, values: { name: t.name, with: t.with, want: t.wantMm } })),
  presses: ({ at }, { design }) => placeAnew(design, at.about!),
  say: (v) => `${v['name']} has 230 V in it and is nearer than ${v['want']} mm to the ${v['with']}.`,
  fix: () => 'Move them apart, or put a barrier between; the licensed electrician decides.',
};

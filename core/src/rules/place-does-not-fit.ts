import { placeAnew } from './press.js';
import type { Rule } from './rule.js';

export const placeDoesNotFit: Rule = {
  id: 'place-does-not-fit',
  severity: 'stop',
  harm: 'the plan',
  basis: 'outlines of gear and vehicle, in millimetres',
  why: 'It cannot be fixed there.',
  test: ({ layout }) => layout.troubles.filter((t) => t.kind === 'fits').map((t) => ({ at: { stage: 'places' as const, about: t.gear }, values: { name: t.name, face: t.with, over: t.haveMm } })),
  presses: ({ at }, { design }) => placeAnew(design, at.about!),
  say: (v) => `${v['name']} reaches ${v['over']} mm beyond the ${v['face']}.`,
  fix: () => 'Move or turn it, or choose another face.',
};

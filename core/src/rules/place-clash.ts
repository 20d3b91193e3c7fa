import { placeAnew } from './press.js';
import type { Rule } from './rule.js';

export const placeClash: Rule = {
  id: 'place-clash',
  severity: 'stop',
  harm: 'broken gear',
  basis: 'outlines of gear, in millimetres',
  why: 'Two things cannot be in one place.',
  test: ({ layout }) =>
    layout.troubles
      .filter((t) => t.kind === 'clash' || t.kind === 'protrusion')
      .map((t) => ({ at: { stage: 'places' as const, about: t.gear }, values: { name: t.name, with: t.with, what: t.with } })),
  presses: ({ at }, { design }) => placeAnew(design, at.about!),
  say: (v) => `${v['name']} stands in the way of ${v['with']}.`,
  fix: () => 'Move one of them; “suggest” shows three free places.',
};

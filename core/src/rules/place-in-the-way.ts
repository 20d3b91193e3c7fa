import { placeAnew } from './press.js';
import type { Rule } from './rule.js';

export const placeInTheWay: Rule = {
  id: 'place-in-the-way',
  severity: 'stop',
  harm: 'people',
  basis: 'what moves and what must stay reachable is kept clear',
  why: 'A lid that meets a lug, or a jack behind a battery, is found on the road.',
  test: ({ layout }) =>
    layout.troubles
      .filter((t) => t.kind === 'sweep' || t.kind === 'reach')
      .map((t) => ({ at: { stage: 'places' as const, about: t.gear }, values: { name: t.name, with: t.with, what: t.with, moves: t.kind === 'sweep' ? 'the sweep of the' : 'the way to the' } })),
  presses: ({ at }, { design }) => placeAnew(design, at.about!),
  say: (v) => `${v['name']} stands in ${v['moves']} ${v['with']}.`,
  fix: () => 'Move it clear.',
};

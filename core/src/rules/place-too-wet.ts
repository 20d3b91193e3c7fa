import { loadNamed } from '../design/index.js';
import { placeAnew } from './press.js';
import type { Rule } from './rule.js';

export const placeTooWet: Rule = {
  id: 'place-too-wet',
  severity: 'stop',
  harm: 'broken gear',
  basis: 'weather of the zone against what the gear bears',
  why: 'Water and dust end electronics, and wet copper goes green. An appliance may bear more than is known of it: its own data decide.',
  test: ({ layout }) =>
    layout.troubles
      .filter((t) => t.kind === 'weather')
      .map((t) => ({
        at: { stage: 'places' as const, about: t.gear },
        severity: loadNamed(t.gear) !== null ? ('look' as const) : ('stop' as const),
        values: { name: t.name, where: t.with, bears: t.wantMm },
      })),
  presses: ({ at }, { design }) => placeAnew(design, at.about!),
  say: (v) => `${v['name']} meets ${v['where']}; it is not made for that.`,
  fix: () => 'A drier place, or a box that seals.',
};

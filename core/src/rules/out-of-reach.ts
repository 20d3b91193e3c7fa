import { placeAnew } from './press.js';
import type { Rule } from './rule.js';

export const outOfReach: Rule = {
  id: 'out-of-reach',
  severity: 'look',
  harm: 'fire',
  basis: 'fuses and isolators are got at without tools',
  why: 'A fuse that cannot be reached is bridged one day.',
  test: ({ layout }) => layout.troubles.filter((t) => t.kind === 'access').map((t) => ({ at: { stage: 'places' as const, about: t.gear }, values: { name: t.name, where: t.with } })),
  presses: ({ at }, { design }) => placeAnew(design, at.about!),
  say: (v) => `${v['name']} in the ${v['where']} cannot be reached without tools.`,
  fix: () => 'A place behind a lid or in the open.',
};

import { existingKey } from '../design/index.js';
import type { Rule } from './rule.js';

export const swapGrows: Rule = {
  id: 'swap-grows',
  severity: 'look',
  harm: 'fire',
  basis: 'what comes out against what comes in, by the figures of both',
  why: 'A stronger part on the old wire is a stronger heater in the old wire.',
  test: ({ supply: { lost } }) => lost.flatMap((f) => (f.grows ? [{ at: { stage: 'brief' as const, about: existingKey(f.existing) }, values: { gear: f.gear, what: f.does, grows: f.grows } }] : [])),
  say: (v) => `${v['gear']} is swapped, ${v['what']}: ${v['grows']}.`,
  fix: () => 'Take the new run’s own cable and fuse, or measure the old one and type its size and length.',
};

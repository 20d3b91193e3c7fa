import { loadNamed } from '../design/index.js';
import { press } from './press.js';
import type { Rule } from './rule.js';

export const breakawaySwitched: Rule = {
  id: 'breakaway-switched',
  severity: 'stop',
  harm: 'people',
  basis: 'a breakaway brake is always live, on a fuse of its own at the battery; check the rules in force',
  why: 'A trailer that tears off with its main switch open would not brake.',
  test: ({ design }) =>
    Object.entries(design.loads).flatMap(([id, l]) =>
      l.purpose === 'brakes' && l.feed.by !== 'battery' ? [{ at: { stage: 'loads' as const, about: `load:${id}` }, values: { name: l.name || 'an unnamed brake' } }] : [],
    ),
  presses: ({ at }, { design }) => {
    const id = loadNamed(at.about);
    return id === null ? [] : [press(design, 'Straight off the house battery, always live', (d) => (d.loads[id]!.feed = { by: 'battery', of: 'house' }))];
  },
  say: (v) => `${v['name']} hangs behind a switch.`,
  fix: () => 'Straight off the battery’s post, with its own fuse.',
};

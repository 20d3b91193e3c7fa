import { loadNamed } from '../design/index.js';
import { figure } from '../quantity/index.js';
import { press } from './press.js';
import type { Rule } from './rule.js';

/** Above this a tap that only bites through the insulation is refused, A. */
const PIERCING_MOST_A = 5;

export const tapPiercing: Rule = {
  id: 'tap-piercing',
  severity: 'look',
  harm: 'fire',
  basis: 'piercing taps cut strands and let water in; refused for charging and for what must not go off',
  why: 'The joint corrodes from the first wet day; it drops volts, warms, and fails where nobody looks.',
  test: ({ design, day }) =>
    [...day.loads, ...day.onVehicle].flatMap((l) => {
      const { feed, critical } = design.loads[l.id]!;
      if (feed.by !== 'wire' || feed.how !== 'piercing tap' || l.mains) return [];
      const refused = critical || l.runningA > PIERCING_MOST_A;
      return [
        {
          at: { stage: 'loads' as const, about: `load:${l.id}` },
          severity: refused ? ('stop' as const) : ('look' as const),
          values: { load: l.name, amps: figure(l.runningA, 1), refused: refused ? 1 : 0 },
        },
      ];
    }),
  presses: ({ at }, { design }) => [
    press(design, 'Make it a crimped joint', (d) => {
      const feed = d.loads[loadNamed(at.about)!]!.feed;
      if (feed.by === 'wire') feed.how = 'joint';
    }),
  ],
  say: (v) => `${v['load']} (${v['amps']} A) hangs on a piercing tap${v['refused'] ? `: above ${PIERCING_MOST_A} A, or what must not go off, it is refused` : ''}.`,
  fix: () => 'A crimped and sealed joint, or a fuse tap at the box.',
};

import { multicoresOf } from '../routes/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

/** The way of the longest run of a cable is the way of the cable. */
export const multicoreWays: Rule = {
  id: 'multicore-ways',
  severity: 'look',
  harm: 'the plan',
  basis: 'one cable goes one way',
  why: 'A core that leaves at once has its whole length pulled for nothing, and the run is measured along a way of its own.',
  test: ({ runs }) =>
    multicoresOf(runs).flatMap((m) => {
      const longest = [...m.runs].sort((a, b) => b.spec.outM - a.spec.outM)[0]!;
      const ways = new Set((longest.spec.route?.ways ?? []).map((w) => w.id));
      return m.runs
        .filter((r) => r !== longest && (r.spec.route?.ways.length ?? 0) > 0 && !r.spec.route!.ways.some((w) => ways.has(w.id)))
        .map((r): Found => ({ at: { stage: 'runs', about: r.spec.id }, values: { what: m.id, name: m.name, run: r.spec.name, other: longest.spec.name } }));
    }),
  presses: ({ at, values: v }, { design }) => [
    press(design, 'Give it cables of its own', (d) => void (d.multicores[String(v['what'])]!.runs = d.multicores[String(v['what'])]!.runs.filter((key) => key !== at.about))),
  ],
  say: (v) => `${v['run']} lies in ${v['name']} and shares no stretch of way with ${v['other']}.`,
  fix: () => 'Put together what goes the same way; give the rest cables of its own.',
};

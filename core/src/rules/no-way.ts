import { press } from './press.js';
import type { Rule } from './rule.js';

export const noWay: Rule = {
  id: 'no-way',
  severity: 'stop',
  harm: 'the plan',
  basis: 'the vehicle’s own ways',
  why: 'A cable that cannot get there cannot be cut.',
  test: ({ runs }) =>
    runs
      .filter((r) => r.spec.noWay)
      .map((r) => ({ at: { stage: 'runs' as const, about: r.spec.id }, values: { run: `${r.spec.number} ${r.spec.name}`, why: r.spec.noWay!, from: r.spec.from.name, to: r.spec.to.name } })),
  presses: ({ at, values: v }, { design }) => (v['why'] === 'kept from it' ? [press(design, 'Let it go any way', (d) => delete d.runs[at.about!]!.avoid)] : []),
  say: (v) =>
    v['why'] === 'kept from it'
      ? `Run ${v['run']}: what it must avoid leaves no way open.`
      : v['why'] === 'zone unreached'
        ? `Run ${v['run']}: no way reaches the place of ${v['from']} or ${v['to']}.`
        : `Run ${v['run']}: no way joins ${v['from']} and ${v['to']}; between vehicles there must be a coupling.`,
  fix: (v) => (v['why'] === 'kept from it' ? 'Take something off its “avoid”.' : 'Add a waypoint and a way in the vehicle, or move the gear.'),
};

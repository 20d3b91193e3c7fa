import { figure } from '../quantity/index.js';
import type { Rule } from './rule.js';

/** Joints of one path may take so much before someone looks at them, share of nominal volts. */
const SHARE = 0.02;

const CURE: readonly (readonly [RegExp, string])[] = [
  [/^fuses?/, 'a fuse of a larger rating or another kind loses less, where the cable bears it'],
  [/^shunt|^main switch|^selector|^low-voltage/, 'a larger one of its kind loses less'],
  [/^plug/, 'a larger plug, or a run without one'],
  [/body/, 'a return cable'],
  [/^lugs/, 'fewer joints, larger studs, or a check of each after the first heat'],
];

export const jointsLose: Rule = {
  id: 'joints-lose',
  severity: 'look',
  basis: 'lugs, fuses, plugs and parts in line of one path at the usual current; the cable is counted apart',
  why: 'Joints warm up where they lose most, and what they take no cable gives back.',
  test: ({ runs }) =>
    runs.flatMap((r) => {
      if (!r.ok || r.spec.pathLimitPercent === null) return [];
      const { pathJointsV: lost, worstJoint } = r.figures;
      if (lost <= SHARE * r.spec.refV + 1e-9) return [];
      return [
        {
          at: { stage: 'runs' as const, about: r.spec.id },
          values: {
            run: r.spec.name,
            end: r.spec.to.name,
            mv: figure(1000 * lost, 0),
            percent: figure((100 * lost) / r.spec.refV, 1),
            worst: worstJoint.what,
            worstMv: figure(1000 * worstJoint.volt, 0),
          },
        },
      ];
    }),
  say: (v) => `On the way to ${v['end']} the joints take ${v['mv']} mV (${v['percent']} %) beside the cable; most in: ${v['worst']} (${v['worstMv']} mV).`,
  fix: (v) => {
    const cure = CURE.find(([pattern]) => pattern.test(String(v['worst'])))?.[1] ?? 'fewer joints';
    return `${cure.charAt(0).toUpperCase()}${cure.slice(1)}.`;
  },
};

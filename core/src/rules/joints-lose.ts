import { figure } from '../quantity/index.js';
import type { JointKind } from '../routes/index.js';
import type { Rule } from './rule.js';

/** Joints of one path may take so much before someone looks at them, share of nominal volts. */
const SHARE = 0.02;

const CURE: Readonly<Record<JointKind, string>> = {
  fuse: 'A fuse of a larger rating or another kind loses less, where the cable bears it.',
  'in line': 'A larger one of its kind loses less.',
  plug: 'A larger plug, or a run without one.',
  body: 'A return cable.',
  lugs: 'Fewer joints, larger studs, or a check of each after the first heat.',
};

export const jointsLose: Rule = {
  id: 'joints-lose',
  severity: 'look',
  harm: 'broken gear',
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
            kind: worstJoint.kind,
            worstMv: figure(1000 * worstJoint.volt, 0),
          },
        },
      ];
    }),
  say: (v) => `On the way to ${v['end']} the joints take ${v['mv']} mV (${v['percent']} %) beside the cable; most in: ${v['worst']} (${v['worstMv']} mV).`,
  fix: (v) => CURE[v['kind'] as JointKind],
};

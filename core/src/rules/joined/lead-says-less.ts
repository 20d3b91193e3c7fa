import { press } from '../press.js';
import type { JoinedRule } from './joint.js';

/** Share by which the outlet's load may be short of what the other end draws. */
const SHORT = 0.05;

export const leadSaysLess: JoinedRule = {
  id: 'lead-says-less',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'what the chargers at the other end draw, by their plates',
  why: 'The giving bank is planned for what its outlet is said to draw.',
  test: ({ leads }) =>
    leads
      .filter((l) => l.gives && l.outlet !== null && l.saysW < (1 - SHORT) * l.takesW)
      .map((l) => ({ at: { stage: 'loads', about: l.outlet! }, values: { other: l.other, saysW: Math.round(l.saysW), takesW: Math.round(l.takesW) } })),
  presses: ({ at, values: v }, { design }) => [press(design, `Plan the lead with ${v['takesW']} W`, (d) => (d.loads[at.about!]!.draw = { by: 'plate', unit: 'W', value: Number(v['takesW']) }))],
  say: (v) => `The lead to the ${v['other']} is planned with ${v['saysW']} W; what charges there draws ${v['takesW']} W.`,
  fix: () => 'Plan it with what is drawn, or take a smaller charger.',
};

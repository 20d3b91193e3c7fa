import type { JoinedRule } from './joint.js';

export const leadOverloads: JoinedRule = {
  id: 'lead-overloads',
  severity: 'stop',
  harm: 'fire',
  basis: 'rating of the inverter, or of the lead’s plug, against what the chargers at the other end draw',
  why: 'An inverter that is asked for more than it gives switches off, and takes everything else on it along; a plug that carries more than it bears melts.',
  test: ({ leads }) =>
    leads
      .filter((l) => l.gives && l.takesW > (l.limitW ?? 0))
      .map((l) => ({
        at: { stage: 'supply', about: l.id },
        values: { other: l.other, carries: l.carries, takesW: Math.round(l.takesW), limitW: l.limitW === null ? 'none' : Math.round(l.limitW) },
      })),
  say: (v) =>
    v['limitW'] === 'none'
      ? `The lead to the ${v['other']} starts at an outlet that no inverter feeds.`
      : `The lead to the ${v['other']} is asked for ${v['takesW']} W; the ${v['carries'] === 'dc' ? 'plug bears' : 'inverter gives'} ${v['limitW']} W.`,
  fix: (v) => `${v['carries'] === 'dc' ? 'A larger plug and cable' : `An inverter of more than ${v['takesW']} W`}, a smaller charger or its low setting at the other end, or no lead.`,
};

import type { JoinedRule } from './joint.js';

export const leadOverloads: JoinedRule = {
  id: 'lead-overloads',
  severity: 'stop',
  harm: 'fire',
  basis: 'rating of the inverter against what the chargers at the other end draw',
  why: 'An inverter that is asked for more than it gives switches off, and takes everything else on it along.',
  test: ({ leads }) =>
    leads
      .filter((l) => l.gives && l.takesW > (l.inverterW ?? 0))
      .map((l) => ({ at: { stage: 'supply', about: l.id }, values: { other: l.other, takesW: Math.round(l.takesW), inverterW: l.inverterW === null ? 'none' : Math.round(l.inverterW) } })),
  say: (v) =>
    v['inverterW'] === 'none'
      ? `The lead to the ${v['other']} starts at an outlet that no inverter feeds.`
      : `The lead to the ${v['other']} is asked for ${v['takesW']} W; the inverter gives ${v['inverterW']} W.`,
  fix: (v) => `An inverter of more than ${v['takesW']} W, a smaller charger or its low setting at the other end, or no lead.`,
};

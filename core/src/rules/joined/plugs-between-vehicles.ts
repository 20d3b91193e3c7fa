import type { JoinedRule } from './joint.js';

export const plugsBetweenVehicles: JoinedRule = {
  id: 'plugs-between-vehicles',
  severity: 'stop',
  harm: 'fire',
  basis: 'every pair of plugs between all vehicles of the job is tested for volts, polarity, regulation and back-feed',
  why: 'Someone will plug it in at night.',
  test: ({ across }) =>
    across
      .filter((m) => m.wrong.length)
      .map((m) => ({
        at: { stage: 'runs', about: m.source.id },
        values: { source: m.source.name, sink: m.sink.name, what: m.sink.id, wrong: m.wrong.join(', '), kind: m.source.kind, colour: m.source.colour },
      })),
  say: (v) => `“${v['source']}” goes into “${v['sink']}” (both ${v['kind']}, ${v['colour']}): wrong ${v['wrong']}.`,
  fix: () => 'Part them by the colour of the housing, by key or by place.',
};

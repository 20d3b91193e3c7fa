import type { Rule } from './rule.js';

export const plugMatesWrong: Rule = {
  id: 'plug-mates-wrong',
  severity: 'stop',
  harm: 'fire',
  basis: 'every pair of plugs that can mate is tested for volts, polarity, regulation and back-feed',
  why: 'Someone will plug it in at night.',
  test: ({ layout }) =>
    layout.matings
      .filter((m) => m.wrong.length)
      .map((m) => ({
        at: { stage: 'runs' as const, about: m.source.id },
        values: { source: m.source.name, sink: m.sink.name, what: m.sink.id, wrong: m.wrong.join(', '), colour: m.source.colour, kind: m.source.kind, own: m.source.id === m.sink.id ? 1 : 0 },
      })),
  say: (v) => (v['own'] ? `${v['source']}: feed and return are swapped in this pair.` : `“${v['source']}” goes into “${v['sink']}” (both ${v['kind']}, ${v['colour']}): wrong ${v['wrong']}.`),
  fix: (v) => (v['own'] ? 'Swap them back on one side.' : 'Part them by the colour of the housing, by key or by place.'),
};

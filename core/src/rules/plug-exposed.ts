import type { Rule } from './rule.js';

export const plugExposed: Rule = {
  id: 'plug-exposed',
  severity: 'look',
  harm: 'fire',
  basis: 'a live plug that is exposed gets a cover and a switch',
  why: 'Anything metal across it melts.',
  test: ({ layout }) =>
    layout.pairs.filter((p) => p.kind !== 'trailer socket' && (p.live.source || p.live.sink) && !p.cover).map((p) => ({ at: { stage: 'runs' as const, about: p.id }, values: { name: p.name } })),
  say: (v) => `${v['name']}: live when unplugged, and without a cover.`,
  fix: () => 'A cover on the live half, and an isolator before it.',
};

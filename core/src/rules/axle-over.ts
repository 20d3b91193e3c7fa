import type { Rule } from './rule.js';

export const axleOver: Rule = {
  id: 'axle-over',
  severity: 'stop',
  harm: 'people',
  basis: 'moments about the axles; weights empty and limits from the vehicle’s file',
  why: 'Beyond its limit an axle breaks or the vehicle may not be driven.',
  test: ({ layout }) =>
    layout.weights.flatMap((c) =>
      c.supports
        .filter((s) => s.loadKg > s.limitKg || (s.kind === 'drawbar' && s.loadKg < 0))
        .map((s) => ({ at: { stage: 'places' as const, about: s.id }, values: { name: s.name, load: Math.round(s.loadKg), limit: s.limitKg } })),
    ),
  say: (v) => (Number(v['load']) < 0 ? `The ${v['name']} is lifted by ${-Number(v['load'])} kg.` : `The ${v['name']} bears ${v['load']} kg with this gear; ${v['limit']} kg is its limit.`),
  fix: () => 'Move heavy gear between the axles, or leave some out; weigh the vehicle.',
};

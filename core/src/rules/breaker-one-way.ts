import { bothWays, circuitPlan } from '../circuit/index.js';
import { figure } from '../quantity/index.js';
import { press } from './press.js';
import type { Rule } from './rule.js';

export const breakerOneWay: Rule = {
  id: 'breaker-one-way',
  severity: 'stop',
  harm: 'fire',
  basis: 'direction of the current in the states of the circuit and for a fault fed from either end, against a breaker made for one',
  why: 'A polarised breaker blows its arc out by the direction of the current: the wrong way round it burns instead of opening.',
  test: ({ runs, design, catalogue, day }) => {
    const poled = runs.filter((r) => r.ok && r.spec.edit.poled && r.spec.reset !== null);
    if (!poled.length) return [];
    const plan = circuitPlan(design, catalogue, { day, runs });
    const states = plan ? bothWays(plan) : new Map<string, { outA: number; backA: number }>();
    return poled.flatMap((r) => {
      const met = states.get(r.spec.id) ?? { outA: 0, backA: 0 };
      // A fault fed from the far end goes the other way through it than what flows day by day.
      const against = r.spec.ends.some((e) => (e.at === 'to' ? met.outA > 0 : met.backA > 0));
      const twoWay = against || r.spec.ends.length > 1;
      return twoWay
        ? [
            {
              at: { stage: 'protection' as const, about: r.spec.id },
              values: { run: r.spec.name, out: figure(met.outA, 1), back: figure(met.backA, 1), ends: r.spec.ends.map((e) => e.source).join(' and the ') },
            },
          ]
        : [];
    });
  },
  presses: ({ at }, { design }) => [press(design, 'Take a fuse', (d) => (d.runs[at.about!] = { ...d.runs[at.about!], protect: 'fuse', poled: false }))],
  say: (v) =>
    v['out'] !== '0.0' && v['back'] !== '0.0'
      ? `${v['run']}: its breaker is made for one direction, but ${v['out']} A flow out and ${v['back']} A back, by the state.`
      : `${v['run']}: its breaker is made for one direction, but the ${v['ends']} can feed a fault on it against what flows day by day.`,
  fix: () => 'A breaker without marks for line and load (+ and −), or a fuse.',
};

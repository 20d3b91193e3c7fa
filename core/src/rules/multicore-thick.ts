import { areaInWords } from '../cable/index.js';
import { multicoresOf } from '../routes/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

/** From so many times the copper that any other run of it asks for, one run makes all cores too thick. */
const TIMES = 2;

export const multicoreThick: Rule = {
  id: 'multicore-thick',
  severity: 'look',
  harm: 'the plan',
  basis: 'all cores of a sheathed cable are of one size',
  why: 'One heavy run among light ones is paid for in every core.',
  test: ({ runs }) =>
    multicoresOf(runs).flatMap((m): Found[] => {
      const [heavy, ...more] = m.runs.filter((r) => r.figures.aloneMm2 === null);
      const others = m.runs.filter((r) => r !== heavy).map((r) => r.figures.aloneMm2!);
      if (!heavy || more.length || heavy.spec.edit.areaMm2 !== undefined) return [];
      const nextMm2 = Math.max(...others);
      return m.areaMm2 >= TIMES * nextMm2 - 1e-9
        ? [{ at: { stage: 'runs', about: heavy.spec.id }, values: { what: m.id, name: m.name, run: heavy.spec.to.name, cores: m.bought, mm2: m.areaMm2, nextMm2 } }]
        : [];
    }),
  presses: ({ at, values: v }, { design }) => [
    press(design, 'Give it cables of its own', (d) => void (d.multicores[String(v['what'])]!.runs = d.multicores[String(v['what'])]!.runs.filter((key) => key !== at.about))),
  ],
  say: (v) => `${v['run']} alone makes all ${v['cores']} cores of ${v['name']} ${areaInWords(Number(v['mm2']))}; the others want ${areaInWords(Number(v['nextMm2']))}.`,
  fix: () => 'Give the heavy one cables of its own.',
};

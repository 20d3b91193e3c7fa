import { canLieInMulticore, MOST_CORE_MM2 } from '../routes/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

export const multicoreLeftOut: Rule = {
  id: 'multicore-left-out',
  severity: 'look',
  harm: 'the plan',
  basis: 'sheathed cable of several cores is stocked up to 6 mm² a core',
  why: 'The run has cables of its own, whatever the list of the multi-core says.',
  test: ({ design, runs }) =>
    Object.entries(design.multicores).flatMap(([id, m]) => {
      const named = runs.filter((r) => m.runs.includes(r.spec.id));
      const out = named.filter((r) => !canLieInMulticore(r.spec) || (r.spec.multicore !== null && r.spec.multicore.id !== id));
      const alone = !out.length && named.length === 1 ? named : [];
      return [
        ...out.map((r): Found => ({ at: { stage: 'runs', about: r.spec.id }, values: { what: id, name: m.name || 'the multi-core', run: r.spec.name, why: 'not in it' } })),
        ...alone.map((r): Found => ({ at: { stage: 'runs', about: r.spec.id }, values: { what: id, name: m.name || 'the multi-core', run: r.spec.name, why: 'alone' } })),
      ];
    }),
  presses: ({ at, values: v }, { design }) => [
    press(design, 'Take it out of the list', (d) => {
      const m = d.multicores[String(v['what'])]!;
      m.runs = m.runs.filter((key) => key !== at.about);
      if (!m.runs.length) delete d.multicores[String(v['what'])];
    }),
  ],
  say: (v) => (v['why'] === 'alone' ? `${v['run']} is alone in ${v['name']}: it has cables of its own.` : `${v['run']} cannot lie in ${v['name']}.`),
  fix: () => `Cores come up to ${MOST_CORE_MM2} mm²; what needs more, was there before or lies in another goes by itself. A multi-core holds two runs or more.`,
};

import { figure } from '../quantity/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

export const panelsTooLow: Rule = {
  id: 'panels-too-low',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'best volts of the panels on a hot roof, cells at 65 °C, against a bank that takes current',
  why: 'A regulator lowers volts, it does not raise them: from panels below the bank nothing comes.',
  test: ({ supply: { arrays } }) =>
    arrays.flatMap((a): Found[] => [
      ...(a.regulator && a.count && a.bestHotV < a.needsV
        ? [{ at: { stage: 'supply' as const, about: a.ref.id }, values: { name: a.panel.name, volts: figure(a.bestHotV, 1), needs: figure(a.needsV, 1), count: a.count } }]
        : []),
      ...a.portables
        .filter((p) => p.trouble === 'too few volts')
        .map((p): Found => ({ at: { stage: 'supply', about: p.ref.id }, values: { name: p.panel.name, volts: figure(a.bestHotV, 1), needs: figure(a.needsV, 1), count: 1 } })),
    ]),
  presses: ({ at, values: v }, { design }) =>
    Number(v['count']) > 1 && Number(v['count']) % 2 === 0 && design.arrays[at.about!]
      ? [press(design, 'Two in series', (d) => (d.arrays[at.about!]!.inSeries = 2 * d.arrays[at.about!]!.inSeries))]
      : [],
  say: (v) => `${v['name']}: ${v['volts']} V at its best on a hot roof; the bank wants ${v['needs']} V or more to take anything.`,
  fix: () => 'Panels in series, or panels of more volts.',
};

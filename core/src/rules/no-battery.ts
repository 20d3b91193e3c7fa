import { press } from './press.js';
import type { Found, Rule } from './rule.js';

export const noBattery: Rule = {
  id: 'no-battery',
  severity: 'stop',
  harm: 'the plan',
  basis: 'completeness of the supply',
  why: 'Without a house battery there is nothing to size against.',
  test: ({ supply, design }) => {
    const { bank } = supply;
    if (!bank) return [{ at: { stage: 'supply', about: 'house' }, values: { odd: 0 } }];
    return Object.entries(design.banks).flatMap(([id, b]): Found[] => {
      const count = Object.values(b.batteries).reduce((n, lot) => n + (lot.part === null ? 0 : lot.count), 0);
      return count % bank.inSeries === 0 ? [] : [{ at: { stage: 'supply', about: id }, values: { odd: count } }];
    });
  },
  presses: ({ at, values: v }, { design }) => {
    if (Number(v['odd']) <= 0) return [];
    return [press(design, 'Take one battery more', (d) => (Object.values(d.banks[at.about!]!.batteries).find((lot) => lot.part !== null)!.count += 1))];
  },
  say: (v) => (v['odd'] ? `${v['odd']} batteries of 12 V do not make full 24 V pairs.` : 'No house battery is chosen.'),
  fix: (v) => (v['odd'] ? 'Take an even number.' : 'Choose a battery from the catalogue.'),
};

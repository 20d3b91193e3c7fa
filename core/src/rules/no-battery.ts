import { supplyOf } from '../design/index.js';
import { press } from './press.js';
import type { Rule } from './rule.js';

export const noBattery: Rule = {
  id: 'no-battery',
  severity: 'stop',
  harm: 'the plan',
  basis: 'completeness of the supply',
  why: 'Without a house battery there is nothing to size against.',
  test: ({ supply, design }) => {
    if (!supply.bank) return [{ at: { stage: 'supply', about: 'house' }, values: { odd: 0 } }];
    const odd = supplyOf(design).battery.count % supply.bank.inSeries !== 0;
    return odd ? [{ at: { stage: 'supply', about: 'house' }, values: { odd: supplyOf(design).battery.count } }] : [];
  },
  presses: ({ values: v }, { design }) => (Number(v['odd']) > 0 ? [press(design, `Take ${Number(v['odd']) + 1} batteries`, (d) => (supplyOf(d).battery.count = Number(v['odd']) + 1))] : []),
  say: (v) => (v['odd'] ? `${v['odd']} batteries of 12 V do not make full 24 V pairs.` : 'No house battery is chosen.'),
  fix: (v) => (v['odd'] ? 'Take an even number.' : 'Choose a battery from the catalogue.'),
};

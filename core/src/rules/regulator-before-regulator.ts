import { FIRST_BANK } from '../plant/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

export const regulatorBeforeRegulator: Rule = {
  id: 'regulator-before-regulator',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'a regulator needs a battery behind it, not another regulator',
  why: 'The second regulator sees a voltage that gives way as it draws, hunts, and brings a fraction or nothing.',
  test: ({ supply: { arrays } }) =>
    arrays.flatMap((a) =>
      a.portables.flatMap((p): Found[] => (p.trouble && p.trouble !== 'too few volts' ? [{ at: { stage: 'supply', about: p.ref.id }, values: { panel: p.panel.name, trouble: p.trouble } }] : [])),
    ),
  presses: ({ at, values: v }, { design }) =>
    v['trouble'] === 'two regulators'
      ? [press(design, 'Join it to the bank', (d) => (d.arrays[at.about!]!.into = { in: 'banks', id: FIRST_BANK.id }))]
      : [press(design, 'Leave its regulator in', (d) => (d.arrays[at.about!]!.portable!.regulated = true))],
  say: (v) =>
    v['trouble'] === 'two regulators'
      ? `${v['panel']} keeps its own regulator in front of an input that regulates: counted as nothing.`
      : `${v['panel']} goes straight on the bank without a regulator: counted as nothing.`,
  fix: (v) => (v['trouble'] === 'two regulators' ? 'Take the panel’s regulator out, or join it to the bank by itself with its own fuse.' : 'Leave its regulator in, or join it to the panels’ input.'),
};

import { fitInside, insideTroubles } from '../commands/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

export const unitInside: Rule = {
  id: 'unit-inside',
  severity: 'stop',
  harm: 'the plan',
  basis: 'a power unit is one box: battery, chargers and inverter together',
  why: 'What is inside comes with the unit and goes with it; without it in the plan neither its charging nor its 230 V is reckoned.',
  test: ({ design, catalogue }) => [
    ...insideTroubles(design, catalogue).map((t): Found => ({ at: { stage: 'supply', about: t.bank }, values: { name: t.name, trouble: t.trouble } })),
    ...Object.entries(design.banks).flatMap(([id, bank]): Found[] => {
      const units = Object.values(bank.batteries).filter((b) => catalogue.parts.some((p) => p.inside === b.part));
      const all = Object.values(bank.batteries).reduce((n, b) => n + b.count, 0);
      return units.length && all > 1 ? [{ at: { stage: 'supply', about: id }, values: { name: 'power unit', trouble: 'beside another' } }] : [];
    }),
  ],
  presses: ({ values }, { design, catalogue }) => (values['trouble'] === 'beside another' ? [] : [press(design, 'Put the unit in order', (d) => fitInside(d, catalogue))]),
  say: (v) =>
    v['trouble'] === 'missing'
      ? `The ${v['name']} is not in the plan.`
      : v['trouble'] === 'left over'
        ? `The ${v['name']} is in the plan, and its unit is not.`
        : 'A power unit does not share a bank with other batteries: each regulates and cuts off for itself.',
  fix: (v) => (v['trouble'] === 'beside another' ? 'One unit alone, or batteries without one.' : 'Put in what the unit has inside, or take out what is left of one.'),
};

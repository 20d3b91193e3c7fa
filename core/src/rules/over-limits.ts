import type { Rule } from './rule.js';

export const overLimits: Rule = {
  id: 'over-limits',
  severity: 'look',
  harm: 'the plan',
  basis: 'limits named in the brief',
  why: 'Weight and money were promised before anything was drawn.',
  test: ({ design, totals }) => {
    const { budget, payloadLeftKg } = design.brief;
    return [
      ...(budget !== null && totals.price > budget ? [{ at: { stage: 'brief' as const, about: 'budget' }, values: { what: 'money', is: Math.round(totals.price), limit: budget, unit: '' } }] : []),
      ...(payloadLeftKg !== null && totals.kg > payloadLeftKg
        ? [{ at: { stage: 'brief' as const, about: 'payload' }, values: { what: 'weight', is: Math.round(totals.kg), limit: payloadLeftKg, unit: ' kg' } }]
        : []),
    ];
  },
  say: (v) => `${v['what'] === 'money' ? 'The parts come to' : 'The gear weighs'} ${v['is']}${v['unit']}; the brief allows ${v['limit']}${v['unit']}.`,
  fix: () => 'A leaner draft under Supply, or a word with the customer.',
};

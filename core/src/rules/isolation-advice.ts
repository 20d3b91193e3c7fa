import type { Rule } from './rule.js';

const NAME: Readonly<Record<string, string>> = { dcdc: 'a DC-DC charger', isolator: 'a sensing isolator', none: 'no charging from the vehicle' };

export const isolationAdvice: Rule = {
  id: 'isolation-advice',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'the schools differ; the advice says why',
  why: 'How the two batteries are kept apart decides whether either of them lasts.',
  test: ({ supply: { isolation } }) =>
    isolation.agrees || isolation.chosen === 'none'
      ? []
      : [{ at: { stage: 'supply', about: 'charger' }, values: { advised: isolation.advised, chosen: isolation.chosen, reason: isolation.reasons[0]! } }],
  say: (v) => `${NAME[String(v['chosen'])]} is chosen; advised is ${NAME[String(v['advised'])]}: ${v['reason']}.`,
  fix: () => 'Change it under Supply, or accept it with the reason.',
};

import type { Rule } from './rule.js';

export const chargersShare: Rule = {
  id: 'chargers-share',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'each charger holds its own set point; the bank takes what it can',
  why: 'Several chargers give less than their sum, and one may rest because of another.',
  test: ({ supply: { sharing, bank } }) => {
    const [sum, together] = [sharing.reduce((s, c) => s + c.aloneA, 0), sharing.reduce((s, c) => s + c.togetherA, 0)];
    return bank && sum > 0 && together < 0.9 * sum ? [{ at: { stage: 'supply', about: 'charger' }, values: { sum: Math.round(sum), together: Math.round(together), half: 50 } }] : [];
  },
  say: (v) => `All chargers at once would be ${v['sum']} A; at ${v['half']} % charge the bank takes ${v['together']} A of it.`,
  fix: () => 'Prove each alone and then together; the limit is the bank’s, so a bigger charger brings nothing more.',
};

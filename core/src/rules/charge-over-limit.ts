import { CHARGED_WHILE, type Bank } from '../supply/index.js';
import { halfPower } from './press.js';
import type { Found, Rule, Values } from './rule.js';

export const chargeOverLimit: Rule = {
  id: 'charge-over-limit',
  severity: 'look',
  harm: 'fire',
  basis: 'charge limit by chemistry as a share of the capacity, unless the maker says otherwise',
  why: 'Charged faster than it can take, a battery heats, gasses and ages.',
  test: ({ supply: { bank, second, charging } }) => {
    const over = (b: Bank | null, more: Values): Found[] =>
      charging
        .filter((c) => b && c.chargerA > b.maxChargeA + 1e-9)
        .map((c) => ({ at: { stage: 'supply', about: c.from === 'driving' ? 'charger' : c.from }, values: { amps: c.chargerA, limit: Math.round(b!.maxChargeA), from: c.from, ...more } }));
    return [...over(bank, {}), ...over(second, { what: 'second' })];
  },
  presses: ({ at }, { design, catalogue }) => (at.about === 'charger' ? halfPower(design, catalogue) : []),
  say: (v) => `Charging while ${CHARGED_WHILE[v['from'] as keyof typeof CHARGED_WHILE]}: ${v['amps']} A into a ${v['what'] ? 'second bank' : 'bank'} that takes ${v['limit']} A.`,
  fix: () => 'A smaller charger, its half-power setting, or a bigger bank.',
};

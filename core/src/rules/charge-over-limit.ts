import { CHARGED_WHILE } from '../supply/index.js';
import { halfPower } from './press.js';
import type { Rule } from './rule.js';

export const chargeOverLimit: Rule = {
  id: 'charge-over-limit',
  severity: 'look',
  harm: 'fire',
  basis: 'charge limit by chemistry as a share of the capacity, unless the maker says otherwise',
  why: 'Charged faster than it can take, a battery heats, gasses and ages.',
  test: ({ supply: { bank, charging } }) => {
    if (!bank) return [];
    return charging
      .filter((c) => c.chargerA > bank.maxChargeA + 1e-9)
      .map((c) => ({ at: { stage: 'supply' as const, about: c.from === 'driving' ? 'charger' : c.from }, values: { amps: c.chargerA, limit: Math.round(bank.maxChargeA), from: c.from } }));
  },
  presses: ({ at }, { design, catalogue }) => (at.about === 'charger' ? halfPower(design, catalogue) : []),
  say: (v) => `Charging while ${CHARGED_WHILE[v['from'] as keyof typeof CHARGED_WHILE]}: ${v['amps']} A into a bank that takes ${v['limit']} A.`,
  fix: () => 'A smaller charger, its half-power setting, or a bigger bank.',
};

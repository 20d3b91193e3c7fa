import { COMPARTMENT } from '../places/index.js';
import type { Rule } from './rule.js';

export const compartmentHot: Rule = {
  id: 'compartment-hot',
  severity: 'look',
  basis: 'ΔT = P / (5.5 W/m²K · surface); fan flow 2.99 · P / ΔT m³/h',
  why: 'Chargers cut back above 50 °C, and heat shortens every battery’s life.',
  test: ({ layout }) =>
    layout.heat
      .filter((h) => h.fanM3h > 0)
      .map((h) => ({
        at: { stage: 'places' as const, about: h.zone },
        values: { zone: h.name, watts: Math.round(h.heatW), rise: Math.round(h.riseK), flow: Math.ceil(h.fanM3h), from: h.from.join(', ') },
      })),
  say: (v) => `${v['from']} warm the ${v['zone']} by ${v['rise']} K at full output (${v['watts']} W).`,
  fix: (v) => `A fan of ${v['flow']} m³/h behind a filter, thermostat ${COMPARTMENT.thermostatC} °C, inlet low, outlet high and outside; or part the gear.`,
};

import { figure } from '../quantity/index.js';
import type { Found, Rule } from './rule.js';

export const triggerAlwaysLive: Rule = {
  id: 'trigger-always-live',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'trigger: live with the engine only, dead in accessory and off',
  why: 'The charger goes on filling the house bank from the starting battery until the engine will not crank.',
  test: ({ design, supply }) =>
    Object.entries(design.converters).flatMap(([id, c]): Found[] =>
      c.from?.in === 'vehicles' && c.trigger === 'always-live wire' ? [{ at: { stage: 'supply', about: id }, values: { hours: figure(24 * (supply.drains[0]?.days ?? Infinity), 1) } }] : [],
    ),
  say: (v) => `The charger’s trigger is always live: parked, the starting battery is down to where it will not crank within ${v['hours']} h.`,
  fix: () => 'Find a wire that is live with the engine (ignition) only, and prove it: live in ignition, dead in accessory and off.',
};

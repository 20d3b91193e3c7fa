import type { Found, Rule } from './rule.js';

export const triggerByVolts: Rule = {
  id: 'trigger-by-volts',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'a charger that goes by volts, held against the alternator’s volts through a drive',
  why: 'A variable alternator looks to it like an engine that is off.',
  test: ({ design, supply: { trace } }) =>
    Object.entries(design.converters).flatMap(([id, c]): Found[] =>
      c.from?.in === 'vehicles' && c.trigger === 'volts' && trace.closedShare < 0.9 ? [{ at: { stage: 'supply', about: id }, values: { share: Math.round(100 * trace.closedShare) } }] : [],
    ),
  say: (v) => (v['share'] === 0 ? 'Triggered by volts, the charger never starts on this alternator.' : `Triggered by volts, the charger is on for ${v['share']} % of a drive.`),
  fix: () => 'Trigger it by a wire that is live with the engine only.',
};

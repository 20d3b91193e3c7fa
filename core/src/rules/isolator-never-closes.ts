import type { Rule } from './rule.js';

export const isolatorNeverCloses: Rule = {
  id: 'isolator-never-closes',
  severity: 'stop',
  basis: 'closing volts of a sensing isolator against a variable-voltage alternator',
  why: 'The house battery is never charged while driving, and nobody notices until it is flat.',
  test: ({ design, catalogue }) => {
    const part = design.supply.isolation === 'isolator' ? catalogue.find('isolator', design.supply.isolator) : null;
    return part && design.brief.alternator.voltage === 'variable' ? [{ at: { stage: 'supply', about: 'charger' }, values: { close: part.closeV, open: part.openV } }] : [];
  },
  say: (v) => `The isolator closes at ${v['close']} V and opens at ${v['open']} V; a variable alternator idles along at about 12.6 V: perhaps never closed.`,
  fix: () => 'Take a DC-DC charger with a trigger; or have the voltage fixed by the dealer, with its cost in fuel, emissions and warranty.',
};

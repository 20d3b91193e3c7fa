import type { Rule } from './rule.js';

export const voltageFixedByDealer: Rule = {
  id: 'voltage-fixed-by-dealer',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'the other school for variable-voltage vehicles',
  why: 'It changes the vehicle itself: fuel use, emissions and warranty are the dealer’s word, not the fitter’s.',
  test: ({ design }) =>
    design.brief.alternator.voltage === 'variable' && design.settings.variableSchool === 'voltage fixed by the dealer' ? [{ at: { stage: 'supply', about: 'charger' }, values: {} }] : [],
  say: () => 'The plan counts on the dealer having fixed this variable alternator’s voltage.',
  fix: () => 'Have it in writing, and measure a drive afterwards; or take a DC-DC charger.',
};

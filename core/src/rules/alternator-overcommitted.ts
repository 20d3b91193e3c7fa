import { ALTERNATOR } from '../supply/index.js';
import type { Rule } from './rule.js';

export const alternatorOvercommitted: Rule = {
  id: 'alternator-overcommitted',
  severity: 'look',
  basis: 'hot rating at idle as a share of the nameplate (default 55 %), the vehicle’s own load (default 35 A)',
  why: 'Above half of what is left for hours, an alternator runs hot and the starting battery is not charged.',
  test: ({ supply: { alternator } }) =>
    alternator.over
      ? [
          {
            at: { stage: 'supply', about: 'charger' },
            values: { wants: Math.round(alternator.wantedA), left: Math.round(alternator.leftA), half: Math.round(alternator.leftA * ALTERNATOR.wantAtMost) },
          },
        ]
      : [],
  say: (v) => `Charging wants ${v['wants']} A; at idle when hot the alternator has ${v['left']} A left, and half of that is ${v['half']} A.`,
  fix: () => 'A smaller charger or its half-power setting; check the alternator’s own hot rating.',
};

import { ALTERNATOR } from '../supply/index.js';
import { figure } from '../quantity/index.js';
import { halfPower } from './press.js';
import type { Found, Rule } from './rule.js';

/** Shorter than this a starting battery is no longer what lends at idle, min. */
const LENDS_MIN = 20;

export const alternatorOvercommitted: Rule = {
  id: 'alternator-overcommitted',
  severity: 'look',
  harm: 'broken gear',
  basis: 'hot rating on the road and at idle as shares of the nameplate (defaults 85 and 55 %), the vehicle’s own load (default 35 A), each charger’s draw at the alternator’s own volts',
  why: 'Above that for hours an alternator runs hot; what is short at idle the starting battery lends.',
  test: ({ design, supply: { alternator: a, idleMinutes } }) => {
    const at = { stage: 'supply', about: 'charger' } as const;
    const out: Found[] = [];
    if (a.over)
      out.push({
        at,
        values: {
          what: 'road',
          wants: figure(a.wanted.roadA, 0),
          left: figure(a.leftCruiseA, 0),
          most: figure(a.leftCruiseA * ALTERNATOR.wantAtMost, 0),
          share: Math.round(100 * ALTERNATOR.wantAtMost),
        },
      });
    if (a.shortAtIdleA > 0 && design.brief.alternator.idlesForHours) out.push({ at, values: { what: 'idle', short: figure(a.shortAtIdleA, 0), minutes: figure(Math.max(LENDS_MIN, idleMinutes), 0) } });
    return out;
  },
  presses: (_, { design, catalogue }) => halfPower(design, catalogue),
  say: (v) =>
    v['what'] === 'idle'
      ? `At idle charging and the vehicle take ${v['short']} A more than there is; after ${v['minutes']} min the starting battery has lent half of what it holds.`
      : `On the road charging wants ${v['wants']} A; hot the alternator has ${v['left']} A left, and ${v['share']} % of that is ${v['most']} A.`,
  fix: (v) =>
    v['what'] === 'idle' ? 'Half power, the charger’s inhibit while it idles, or a smaller charger.' : 'A smaller charger or its half-power setting; check the alternator’s own hot rating.',
};

import { figure } from '../quantity/index.js';
import { dayOfTrip } from '../trip/index.js';
import type { Rule } from './rule.js';

export const tripRunsLow: Rule = {
  id: 'trip-runs-low',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'the trip, simulated hour by hour',
  why: 'What goes off in the plan goes off on the trip.',
  test: ({ trip, supply, design }) => {
    if (!trip || !supply.bank || !Object.keys(design.loads).length) return [];
    const reserve = 1 - supply.bank.usableShare;
    if (trip.criticalOffH > 0)
      return [
        {
          at: { stage: 'supply', about: 'house' },
          severity: 'stop' as const,
          values: { off: figure(trip.criticalOffH, 1), low: figure(100 * trip.minSoc, 0), day: dayOfTrip(trip.minSocAtH), reserve: Math.round(100 * reserve) },
        },
      ];
    return trip.minSoc < reserve - 1e-9
      ? [{ at: { stage: 'supply', about: 'house' }, values: { off: 0, low: figure(100 * trip.minSoc, 0), day: dayOfTrip(trip.minSocAtH), reserve: Math.round(100 * reserve) } }]
      : [];
  },
  say: (v) =>
    v['off']
      ? `A load that must not go off is off for ${v['off']} h of the trip; the bank falls to ${v['low']} % on day ${v['day']}.`
      : `The bank falls to ${v['low']} % on day ${v['day']}, below its reserve of ${v['reserve']} %.`,
  fix: () => 'More sun, more driving, mains at night, a bigger bank, or fewer hours for the loads.',
};

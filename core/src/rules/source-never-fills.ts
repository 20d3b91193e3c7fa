import type { Rule } from './rule.js';

export const sourceNeverFills: Rule = {
  id: 'source-never-fills',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'the trip, simulated step by step in the month’s mean weather',
  why: 'A bank that is never full ages, a shunt never finds its mark, and every day starts lower.',
  test: ({ trip, supply, design }) => {
    if (!trip || !supply.bank || !Object.keys(design.loads).length) return [];
    const brings = [trip.sunAh, trip.alternatorAh, trip.mainsAh].some((list) => list.some((ah) => ah > 0));
    const full = trip.hourlySoc.some((s, h) => h > 24 && s >= 0.97);
    if (full || trip.minSoc > 0.9 || trip.hourlySoc.length < 49) return [];
    const sum = (list: readonly number[]): number => Math.round(list.reduce((a, b) => a + b, 0));
    return [
      {
        at: { stage: 'supply', about: 'house' },
        values: { brings: brings ? 1 : 0, end: Math.round(100 * trip.finalSoc), given: sum(trip.sunAh) + sum(trip.alternatorAh) + sum(trip.mainsAh), drawn: sum(trip.loadAh) },
      },
    ];
  },
  say: (v) =>
    v['brings']
      ? `Nothing fills the bank on this trip: ${v['given']} Ah come in against ${v['drawn']} Ah drawn, and it ends at ${v['end']} %.`
      : `Nothing charges the bank on this trip; it ends at ${v['end']} %.`,
  fix: () => 'More of what charges (sun, driving, mains), or a charge to full before the trip and after it.',
};

import { restV } from '../catalogue/index.js';
import { figure } from '../quantity/index.js';
import { stringSource } from '../supply/index.js';
import { HEAVY_W } from '../trip/index.js';
import type { Rule } from './rule.js';

/** Volts of a source under a constant power; 0 where it cannot give it. */
function terminalAt(openV: number, ohm: number, powerW: number): number {
  const inside = openV * openV - 4 * ohm * powerW;
  return inside < 0 ? 0 : (openV + Math.sqrt(inside)) / 2;
}

export const loadSags: Rule = {
  id: 'load-sags',
  severity: 'look',
  harm: 'broken gear',
  basis: 'a heavy load at the trip’s lowest charge, on the bank’s own resistance',
  why: 'The trip takes short heavy loads by their mean; in truth they pull the volts down and may open the disconnect.',
  test: ({ day, trip, supply: { bank } }) => {
    if (!trip || !bank) return [];
    const ohm = 1 / bank.stringParts.reduce((s, _, i) => s + 1 / stringSource(bank, 'typical', i + 1).ohm, 0);
    const restV12 = restV(bank.part.chemistry, trip.minSoc) * bank.inSeries;
    return day.loads
      .filter((l) => l.runningW >= HEAVY_W)
      .map((l) => ({ l, v: terminalAt(restV12, ohm, l.runningW) }))
      .filter(({ v }) => v < bank.openV)
      .map(({ l, v }) => ({
        at: { stage: 'supply' as const, about: `load:${l.id}` },
        values: { load: l.name, volts: figure(v, 1), opens: figure(bank.openV, 1), low: Math.round(100 * trip.minSoc) },
      }));
  },
  say: (v) => `${v['load']} pulls the bank to ${v['volts']} V at the trip’s lowest charge (${v['low']} %); the disconnect opens at ${v['opens']} V.`,
  fix: () => 'Run it while the bank is fuller or charging, a bigger bank, or a smaller appliance.',
};

import type { Facts, Found, Rule } from './rule.js';

/** The inverters against the bank that is in use. */
function onBank(inverter: Facts['supply']['inverter'], from: string): Found[] {
  if (!inverter || (inverter.holds && inverter.surgeHolds)) return [];
  const at = { stage: 'supply' as const, about: 'inverter' };
  const amps = (a: number): number => Math.round(a);
  return inverter.holds
    ? [{ at, severity: 'look' as const, values: { amps: amps(inverter.surgeA), limit: inverter.peakLimitA, watts: inverter.surgeW, what: `at surge${from}`, many: inverter.count } }]
    : [{ at, values: { amps: amps(inverter.currentA), limit: inverter.limitA, watts: inverter.ratedW, what: `steadily${from}`, many: inverter.count } }];
}

export const inverterOverBattery: Rule = {
  id: 'inverter-over-battery',
  severity: 'stop',
  harm: 'fire',
  basis: 'discharge limit of the battery’s data sheet, times the batteries in parallel with equal leads',
  why: 'Above its limit the battery’s protection board opens and everything goes dark, or the battery overheats.',
  test: ({ supply: { inverter, inverterOnSecond } }) => [...onBank(inverter, ''), ...onBank(inverterOnSecond, ' from the second bank')],
  say: (v) => `${Number(v['many']) > 1 ? 'The inverters draw' : 'The inverter draws'} ${v['amps']} A ${v['what']} (${v['watts']} W at the lowest volts); the battery gives ${v['limit']} A.`,
  fix: () => 'More batteries in parallel, a battery with a higher limit, or a smaller inverter.',
};

import { dcChargersOf } from '../supply/index.js';
import { climateOf } from '../travel/index.js';
import type { Rule } from './rule.js';

export const chargingColdLithium: Rule = {
  id: 'charging-cold-lithium',
  severity: 'look',
  harm: 'fire',
  basis: 'charge range of lithium iron phosphate, 0 to 45 °C; the region’s coldest morning',
  why: 'Charged below 0 °C a lithium battery plates its metal and is harmed for good.',
  test: ({ design, catalogue, supply: { bank, second, arrays } }) => {
    const { coldestC } = climateOf(design.brief.trip);
    if (coldestC >= 0 || ![bank, second].some((b) => b?.part.chemistry === 'lfp')) return [];
    const unlocked = dcChargersOf(design, catalogue).some((d) => !d.port.coldLock);
    return [
      {
        at: { stage: 'supply', about: 'house' },
        values: { cold: coldestC, lock: unlocked ? 0 : 1, sun: arrays.some((a) => a.controller) ? 1 : 0 },
        ...(unlocked ? { severity: 'stop' as const } : {}),
      },
    ];
  },
  say: (v) => `Mornings fall to ${v['cold']} °C and a bank is lithium: ${v['lock'] ? 'its charger locks below 0 °C, so the first hours may bring nothing' : 'its charger has no lock below 0 °C'}.`,
  fix: () => 'Charge locked by a probe on the battery, a place inside that stays above 0 °C, or a battery with its own heater; the maker’s word decides.',
};

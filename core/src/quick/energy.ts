import { inverterInputW, type Chemistry } from '../catalogue/index.js';
import { boilCost, coldDuty } from '../loads/index.js';
import { figure, rating } from '../quantity/index.js';
import { readsAt } from '../supply/index.js';
import { chips, type Assumed, type QuickAnswer } from './answer.js';
import { sizeAnswer } from './cable.js';
import type { Question } from './question.js';

const WORDS: readonly (readonly [word: string, chemistry: Chemistry])[] = [
  ['agm', 'agm'],
  ['gel', 'gel'],
  ['flooded', 'flooded'],
  ['wet', 'flooded'],
  ['lithium', 'lfp'],
  ['lfp', 'lfp'],
  ['lifepo', 'lfp'],
];

/** Charge at which a chart shows so many volts, 0–1: by halving, since volts rise with charge. */
function chargeAt(chemistry: Chemistry, volt: number, chart: 'rested' | 'loaded'): number {
  let [low, high] = [0, 1];
  for (let n = 0; n < 40; n++) {
    const mid = (low + high) / 2;
    if ((readsAt(chemistry, mid, chart) ?? Infinity) < volt) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** “12.45 V agm”: its charge by both charts. */
export function chargeAnswer(q: Question, a: Assumed): QuickAnswer | null {
  const chemistry = WORDS.find(([w]) => q.words.has(w))?.[1];
  if (q.volt === null || chemistry === undefined || q.watt !== null) return null;
  const blocks = q.volt > 18 ? 2 : 1;
  const asked = `${figure(q.volt, 2)} V on ${chemistry === 'lfp' ? 'lithium' : chemistry.toUpperCase()}${blocks === 2 ? ', two in series' : ''}`;
  if (chemistry === 'lfp')
    return { asked, says: 'volts do not tell: lithium’s curve is too flat', more: ['A shunt that counts from full tells; below about 12.8 V at rest it is nearly empty.'], chips: chips(a, []) };
  const [rested, loaded] = (['rested', 'loaded'] as const).map((chart) => 100 * chargeAt(chemistry, q.volt! / blocks, chart));
  return {
    asked,
    says: `${figure(rested!, 0)} % rested four hours, ${figure(loaded!, 0)} % lightly loaded`,
    more: ['Both are the schools’ charts; while it charges, and for hours after, neither holds.', ...(rested! < 50 ? ['Below half: charge it before it stands.'] : [])],
    chips: chips(a, []),
  };
}

/** Lowest volts at which an inverter still runs, for each 12 V. */
const LOWEST_V = 11;

/** Share of its ampere-hours that a battery gives for an hour without harm. */
const STEADY_C = { lfp: 1, agm: 0.2 } as const;

/** “1500 W inverter”: amps, cable over a metre and a half, and the battery it needs. */
export function inverterAnswer(q: Question, a: Assumed): QuickAnswer | null {
  if (q.watt === null || !q.words.has('inverter') || q.watt <= 0) return null;
  const inW = inverterInputW(q.watt, q.watt);
  const amp = inW / ((LOWEST_V * a.nominalV) / 12);
  const cable = sizeAnswer({ watt: null, amp, metre: q.metre ?? 1.5 }, { ...a, dropPercent: 3 });
  const ah = Math.ceil(amp / STEADY_C[a.chemistry] / 10) * 10;
  return {
    asked: `an inverter of ${figure(q.watt, 0)} W at its rating`,
    says: `${figure(amp, 0)} A at ${figure((LOWEST_V * a.nominalV) / 12, 0)} V; ${cable ? cable.says : 'no cable'}`,
    more: [
      `over ${figure(q.metre ?? 1.5, 1)} m and back, 3 % lost at most`,
      a.chemistry === 'lfp'
        ? `lithium that gives ${rating(Math.ceil(amp / 10) * 10)} A all the time: about ${ah} Ah, or what its own board says`
        : `about ${ah} Ah of AGM, so that an hour’s draw is a fifth of it`,
      `${figure(((inW - q.watt) / inW) * 100, 0)} % is lost in it at full load; near no load it still takes ${figure(0.012 * q.watt, 0)} W`,
    ],
    chips: chips(a, ['nominalV', 'chemistry', 'ambientC', 'laid', 'series']),
  };
}

/** “boil 2 l”: what it costs the battery. */
export function boilAnswer(q: Question, a: Assumed): QuickAnswer | null {
  if (q.litre === null || !['boil', 'kettle', 'tea', 'coffee'].some((w) => q.words.has(w)) || q.litre <= 0) return null;
  const powerW = q.watt ?? 1500;
  const cost = boilCost({ litres: q.litre, startC: a.waterC, endC: 100, cooker: 'kettle', powerW, simmerMin: 0, simmerShare: 0, inverterW: 2000, nominalV: a.nominalV });
  return {
    asked: `${figure(q.litre, 1)} l to the boil in a kettle of ${figure(powerW, 0)} W`,
    says: `${figure(cost.batteryAh, 1)} Ah of ${a.nominalV} V, ${figure(cost.batteryWh, 0)} Wh, in ${figure(cost.boilMin, 0)} min`,
    more: [`${figure(cost.heatWh, 0)} Wh of it are in the water`, 'through an inverter of 2000 W; gas costs the battery nothing'],
    chips: chips(a, ['nominalV', 'waterC']),
    load: {
      name: `kettle ${figure(powerW, 0)} W`,
      purpose: 'cooking',
      supply: 'mains',
      draw: { by: 'plate', unit: 'W', value: powerW },
      use: { by: 'hours', hours: Math.round(cost.boilMin / 0.6) / 100 },
      when: { at: 'daytime' },
    },
  };
}

/** “fridge 45 W 33 %”: Ah a day. */
export function fridgeAnswer(q: Question, a: Assumed): QuickAnswer | null {
  if (q.watt === null || q.percent === null || !['fridge', 'freezer'].some((w) => q.words.has(w))) return null;
  const [cold, airC] = [q.words.has('freezer') ? -18 : 4, q.celsius ?? 25];
  const duty = coldDuty(q.percent / 100, airC, cold);
  const wh = q.watt * duty * 24;
  const what = q.words.has('freezer') ? 'freezer' : 'fridge';
  return {
    asked: `a ${what} of ${figure(q.watt, 0)} W that runs ${figure(q.percent, 0)} % at 25 °C, in ${figure(airC, 0)} °C`,
    says: `${figure(wh / a.nominalV, 1)} Ah a day at ${a.nominalV} V, ${figure(wh, 0)} Wh`,
    more: [`runs ${figure(100 * duty, 0)} % of the time there`, `at 35 °C ${figure((q.watt * coldDuty(q.percent / 100, 35, cold) * 24) / a.nominalV, 1)} Ah; the plate’s watts are while it runs`],
    chips: chips(a, ['nominalV']),
    load: {
      name: `${what} ${figure(q.watt, 0)} W`,
      purpose: 'fridge',
      draw: { by: 'plate', unit: 'W', value: q.watt },
      use: { by: 'fridge', duty25: Math.min(1, q.percent / 100), insideC: cold },
      surge: 3,
    },
  };
}

import { blankDesign, blankLoad, type Load } from '../design/index.js';
import { drivingSpans } from '../travel/index.js';
import { boilCost } from './boil.js';
import { dayFigures } from './day.js';
import { dayLoad, type DayContext } from './day-load.js';
import { inverterEfficiency } from '../catalogue/index.js';
import { LOAD_LIBRARY, loadFromLibrary } from './library.js';
import { spansWithout } from './spans.js';
import { largestTogether } from './together.js';
import { dutyOf } from './use.js';

const load = (change: Partial<Load>): Load => ({ ...blankLoad(1), name: 'x', draw: { by: 'plate', unit: 'W', value: 60 }, use: { by: 'duty', duty: 0.5 }, ...change });
const AT: DayContext = { nominalV: 12, drivingH: 2, mainsH: 0, inverterW: 1000, ambientC: 25 };
const dayAt = (at: Partial<DayContext>, ...loads: Load[]) =>
  dayFigures(
    loads.map((l, i) => dayLoad(`l${i}`, l, { ...AT, ...at })),
    12,
    1000,
  );
const day = (...loads: Load[]) => dayAt({}, ...loads);

describe('a day of loads', () => {
  it('sums power, hours and duty', () => expect(day(load({})).whDay).toBeCloseTo(60 * 24 * 0.5, 9));
  it('counts hours a day whatever part of the day they lie in', () => {
    expect(day(load({ use: { by: 'hours', hours: 3 }, when: { at: 'evening' } })).whDay).toBeCloseTo(180, 9);
    expect(day(load({ use: { by: 'hours', hours: 3 }, when: { at: 'night' } })).whDay).toBeCloseTo(180, 9);
  });
  it('never runs longer than its part of the day', () => expect(dutyOf(load({ use: { by: 'hours', hours: 9 }, when: { at: 'evening' } }), 0, 25)).toBe(1));
  it('draws amps at nominal volts', () => expect(day(load({ draw: { by: 'plate', unit: 'A', value: 5 }, use: { by: 'duty', duty: 1 } })).ahDay).toBeCloseTo(120, 9));
  it('takes a measured cycle for its duty, whatever else was typed', () => {
    const d = day(load({ draw: { by: 'measured', onA: 4, onS: 120, offS: 360 }, use: { by: 'hours', hours: 1 } }));
    expect(d.ahDay).toBeCloseTo(4 * 0.25 * 24, 9);
  });
  it('takes Wh a day as they are, spread over its hours', () => {
    const d = day(load({ draw: { by: 'energy', whDay: 520 }, when: { at: 'evening' } }));
    expect(d.whDay).toBeCloseTo(520, 9);
    expect(d.hourlyW[0]![12]).toBe(0);
  });
  it('runs a fridge longer in the heat', () => {
    const fridge = load({ use: { by: 'fridge', duty25: 0.4, insideC: 4 } });
    expect(dayAt({ ambientC: 35 }, fridge).whDay / dayAt({ ambientC: 25 }, fridge).whDay).toBeCloseTo(1.35, 9);
  });
  it('lets a freezer rest far less on a cold day than a fridge', () => {
    const at = (insideC: number): number => dayAt({ ambientC: 7 }, load({ use: { by: 'fridge', duty25: 0.5, insideC } })).loads[0]!.duty;
    expect(at(4)).toBeCloseTo(0.185, 9);
    expect(at(-20)).toBeCloseTo(0.3, 9);
  });
  it('adds standby only while it waits', () => expect(day(load({ use: { by: 'duty', duty: 0.25 }, standbyW: 2 })).standbyWh).toBeCloseTo(2 * 18, 9));
  it('dims in proportion', () => expect(day(load({ dim: 0.4 })).whDay).toBeCloseTo(0.4 * day(load({})).whDay, 9));
  it('takes a mains load through the inverter and its losses', () => {
    const d = day(load({ supply: 'mains', draw: { by: 'plate', unit: 'W', value: 500 }, use: { by: 'hours', hours: 1 } }));
    expect(d.whDay).toBeCloseTo(500 / inverterEfficiency(0.5), 6);
    expect(d.mainsPeakW).toBe(500);
    expect(d.inverterIdleWh).toBeCloseTo(24 * 12, 9);
  });
  it('has the day’s shape add up to the day', () => {
    const d = day(load({ standbyW: 1 }), load({ when: { at: 'driving' } }));
    expect(d.hourlyW.flat().reduce((a, b) => a + b, 0)).toBeCloseTo(d.whDay, 6);
  });
  it('keeps driving inside the day', () => expect([drivingSpans(0), drivingSpans(2), drivingSpans(20)]).toEqual([[], [[9, 11]], [[4, 24]]]));
  it('stands an empty list', () => expect(day()).toEqual(jasmine.objectContaining({ whDay: 0, peakW: 0 })));
  it('a new job has no loads', () => expect(Object.keys(blankDesign('x').loads)).toEqual([]));
});

describe('what runs at once', () => {
  it('adds at its peak only what may run at once', () => {
    const d = day(load({ name: 'morning', when: { at: 'hours', spans: [[7, 8]] } }), load({ name: 'evening', draw: { by: 'plate', unit: 'W', value: 100 }, when: { at: 'evening' } }));
    expect([d.peakW, d.peakAtH, d.peakNames]).toEqual([100, 18, ['evening']]);
  });
  it('never adds loads that exclude one another', () => {
    const d = day(
      load({ name: 'kettle', draw: { by: 'plate', unit: 'W', value: 900 }, neverWith: { l1: true } }),
      load({ name: 'plate', draw: { by: 'plate', unit: 'W', value: 700 } }),
      load({ name: 'fridge' }),
    );
    expect([d.peakW, d.peakNames]).toEqual([960, ['kettle', 'fridge']]);
  });
  it('finds the best choice, not the greedy one', () => {
    const never = (...ids: string[]): ReadonlySet<string> => new Set(ids);
    const best = largestTogether([
      { id: 'a', watts: 10, never: never('b', 'c') },
      { id: 'b', watts: 7, never: never() },
      { id: 'c', watts: 6, never: never() },
    ]);
    expect([best.watts, best.ids]).toEqual([13, ['b', 'c']]);
  });
  it('adds the heaviest start to the peak', () => expect(day(load({ surge: 3 }), load({ draw: { by: 'plate', unit: 'W', value: 20 }, surge: 5 })).startPeakW).toBe(80 + 120));
});

describe('a load with several supplies', () => {
  const fridge = load({ use: { by: 'duty', duty: 1 }, also: { mains: true, vehicle: true, gas: true } });
  it('costs the house battery nothing while another feeds it, and is counted once', () => {
    const d = dayAt({ drivingH: 3, mainsH: 6 }, fridge);
    expect([d.whDay, d.elsewhereWh]).toEqual([0, 24 * 60]);
  });
  it('falls back to the battery in the hours nobody else has', () =>
    expect(dayAt({ drivingH: 4 }, load({ use: { by: 'duty', duty: 1 }, also: { mains: true, vehicle: true, gas: false } })).whDay).toBe(20 * 60));
  it('cuts spans exactly', () =>
    expect(
      spansWithout(
        [[8, 20]],
        [
          [7, 9],
          [12, 13],
        ],
      ),
    ).toEqual([
      [9, 12],
      [13, 20],
    ]));
});

describe('the library of loads', () => {
  for (const item of LOAD_LIBRARY) {
    it(`${item.name}: drawn, timed and with a reason`, () => {
      const made = loadFromLibrary(item.id, 3)!;
      const d = day(made);
      expect(made.order === 3 && item.note.length > 3 && made.name.startsWith(item.name)).toBeTrue();
      expect(d.whDay + d.elsewhereWh).toBeGreaterThan(0);
      expect(d.loads[0]!.duty <= 1).toBeTrue();
    });
  }
  it('grows a fridge with its litres, and does not know what is not in it', () => {
    const watts = (litres: number): number => day(loadFromLibrary('fridge', 1, litres)!).whDay;
    expect(watts(90)).toBeGreaterThan(watts(35));
    expect(loadFromLibrary('perpetual motion', 1)).toBeNull();
  });
});

describe('a boil', () => {
  const kettle = { litres: 1, startC: 15, endC: 100, cooker: 'kettle', powerW: 1200, simmerMin: 0, simmerShare: 0, inverterW: 1600, nominalV: 12 } as const;
  it('costs the heat, what misses the pot, and the inverter', () => {
    const cost = boilCost(kettle);
    expect(cost.boilMin).toBeCloseTo((98.8361 / 0.88 / 1200) * 60, 3);
    expect(cost.batteryAh).toBeCloseTo(98.8361 / 0.88 / inverterEfficiency(0.75) / 12, 3);
  });
  it('never comes to the boil without power', () => expect(boilCost({ ...kettle, powerW: 0 }).boilMin).toBe(Infinity));
  it('adds a simmer at its share', () => expect(boilCost({ ...kettle, simmerMin: 10, simmerShare: 0.3 }).batteryWh).toBeGreaterThan(boilCost(kettle).batteryWh));
});

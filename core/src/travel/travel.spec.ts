import { blankDesign, type Trip } from '../design/index.js';
import { airByHour, climateOf } from './climate.js';
import { drivingSpans, mainsSpans, tripDays } from './days.js';
import { REGIONS } from './regions.js';
import { drawWeather, seeded, trialSeed, weatherChain } from './weather.js';

const trip = (change: Partial<Trip>): Trip => ({ ...blankDesign('x').brief.trip, ...change });

describe('the table of regions', () => {
  for (const r of REGIONS) {
    it(`${r.name}: twelve months, shares of light, mornings colder than days`, () => {
      expect([r.clearness.length, r.dayC.length, r.coldestC.length]).toEqual([12, 12, 12]);
      r.clearness.forEach((c, m) => expect(c > 0.2 && c < 1 && r.coldestC[m]! < r.dayC[m]!).toBeTrue());
    });
  }
  it('is used by month, and typed figures where no region is named', () => {
    expect(climateOf(trip({ region: 'stonefly-catchment', month: 7 }))).toEqual(jasmine.objectContaining({ latitudeDeg: -42, clearness: 0.43, ambientC: 7, coldestC: -6 }));
    expect(climateOf(trip({ region: null, latitudeDeg: -20, ambientC: 28 }))).toEqual(jasmine.objectContaining({ latitudeDeg: -20, clearness: 0.75, ambientC: 28, coldestC: 13 }));
    expect(climateOf(trip({ region: 'no such region', latitudeDeg: -20 })).latitudeDeg).toBe(-20);
  });
});

describe('the air around a battery', () => {
  const july = climateOf(trip({ region: 'stonefly-catchment', month: 7 }));
  it('is warmest in the afternoon, swings less than the air, and never reaches the month’s coldest morning', () => {
    const air = airByHour(july)!;
    expect(air.length).toBe(24);
    expect(air.indexOf(Math.max(...air))).toBe(14);
    expect(Math.min(...air)).toBeGreaterThan(july.coldestC + 3);
    expect(Math.max(...air)).toBeLessThan(july.ambientC + 3);
  });
  it('is not guessed by the hour where only one temperature was typed', () => expect(airByHour(climateOf(trip({ region: null })))).toBeNull());
});

describe('the days of a trip', () => {
  it('travel, then park, then travel again', () => {
    expect(tripDays(trip({ days: 7, drivingH: 4, parkedDays: 2 })).map((d) => d.drivingH)).toEqual([4, 0, 0, 4, 0, 0, 4]);
    expect(tripDays(trip({ days: 3, drivingH: 4, parkedDays: 0 })).map((d) => d.drivingH)).toEqual([4, 4, 4]);
  });
  it('are plugged in on the nights that were said', () => {
    const mains = (mainsNights: Trip['mainsNights']) => tripDays(trip({ days: 3, parkedDays: 1, mainsH: 8, mainsNights })).map((d) => d.mainsH);
    expect([mains('never'), mains('travel days'), mains('parked days'), mains('every night')]).toEqual([
      [0, 0, 0],
      [8, 0, 8],
      [0, 8, 0],
      [8, 8, 8],
    ]);
  });
  it('keep a day’s own edit', () => {
    const days = tripDays(trip({ days: 3, drivingH: 2, parkedDays: 2, mainsH: 0, dayEdits: { '2': { drivingH: 6 }, '3': { mainsH: 9 } } }));
    expect(days.map((d) => [d.drivingH, d.mainsH, d.edited])).toEqual([
      [2, 0, false],
      [6, 0, true],
      [0, 9, true],
    ]);
  });
  it('have exactly the hours asked for', () => {
    const sum = (spans: readonly (readonly [number, number])[]): number => spans.reduce((s, [a, b]) => s + b - a, 0);
    for (let h = 0; h <= 24; h += 0.5) expect([sum(drivingSpans(h)), sum(mainsSpans(h))]).toEqual([h, h]);
  });
});

describe('the weather chain', () => {
  for (const mean of [0.2, 0.45, 0.7, 0.93, 0.99]) {
    it(`keeps a long-run mean of ${mean}`, () => {
      const days = new Float64Array(200_000);
      drawWeather(weatherChain(mean), seeded(7), days);
      expect(days.reduce((s, c) => s + c, 0) / days.length).toBeCloseTo(mean, 2);
    });
  }
  it('makes dull days follow dull days', () => {
    const chain = weatherChain(0.6);
    expect(chain.clearAfterClear).toBeGreaterThan(chain.shareClear);
    expect(chain.clearAfterCloudy).toBeLessThan(chain.shareClear);
  });
  it('draws the same for a seed, and something else for the next', () => {
    const draw = (trial: number): number[] => {
      const days = new Float64Array(40);
      return [drawWeather(weatherChain(0.6), seeded(trialSeed(3, trial)), days), ...days];
    };
    expect(draw(5)).toEqual(draw(5));
    expect(draw(5)).not.toEqual(draw(6));
  });
});

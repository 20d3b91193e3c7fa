import { blankDesign, type Load } from '../design/index.js';
import { dayFigures, dayLoad } from './day.js';
import { inverterEfficiency } from './inverter.js';
import { drivingSpans, dutyOf } from './use.js';

const load = (change: Partial<Load>): Load => ({
  order: 1,
  name: 'x',
  purpose: 'other',
  supply: 'dc',
  draw: { unit: 'W', value: 60 },
  use: { by: 'duty', duty: 0.5 },
  when: { at: 'all day' },
  critical: false,
  ...change,
});
const day = (...loads: Load[]) =>
  dayFigures(
    loads.map((l, i) => dayLoad(`l${i}`, l, 12, 2, 1000)),
    12,
  );

describe('a day of loads', () => {
  it('sums power, hours and duty', () => expect(day(load({})).whDay).toBeCloseTo(60 * 24 * 0.5, 9));
  it('counts hours a day whatever part of the day they lie in', () => {
    expect(day(load({ use: { by: 'hours', hours: 3 }, when: { at: 'evening' } })).whDay).toBeCloseTo(180, 9);
    expect(day(load({ use: { by: 'hours', hours: 3 }, when: { at: 'night' } })).whDay).toBeCloseTo(180, 9);
  });
  it('never runs longer than its part of the day', () => expect(dutyOf(load({ use: { by: 'hours', hours: 9 }, when: { at: 'evening' } }), 0)).toBe(1));
  it('draws amps at nominal volts', () => expect(day(load({ draw: { unit: 'A', value: 5 }, use: { by: 'duty', duty: 1 } })).ahDay).toBeCloseTo(120, 9));
  it('takes a mains load through the inverter and its losses', () => {
    const d = day(load({ supply: 'mains', draw: { unit: 'W', value: 500 }, use: { by: 'hours', hours: 1 } }));
    expect(d.whDay).toBeCloseTo(500 / inverterEfficiency(0.5), 6);
    expect(d.mainsPeakW).toBe(500);
  });
  it('adds at its peak only what may run at once', () => {
    const d = day(load({ name: 'morning', when: { at: 'hours', spans: [[7, 8]] } }), load({ name: 'evening', draw: { unit: 'W', value: 100 }, when: { at: 'evening' } }));
    expect([d.peakW, d.peakAtH, d.peakNames]).toEqual([100, 18, ['evening']]);
  });
  it('has the day’s shape add up to the day', () => {
    const d = day(load({}), load({ when: { at: 'driving' } }));
    expect(d.hourlyW.flat().reduce((a, b) => a + b, 0)).toBeCloseTo(d.whDay, 6);
  });
  it('keeps driving inside the day', () => expect([drivingSpans(0), drivingSpans(2), drivingSpans(20)]).toEqual([[], [[9, 11]], [[4, 24]]]));
  it('stands an empty list', () => expect(day()).toEqual(jasmine.objectContaining({ whDay: 0, peakW: 0 })));
  it('a new job has no loads', () => expect(Object.keys(blankDesign('x').loads)).toEqual([]));
});

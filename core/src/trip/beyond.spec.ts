import { addTallies, readTally, runMany } from './many.js';
import type { TripJob } from './job.js';
import { simulateJob } from './simulate.js';

const SUN = Array.from({ length: 24 }, (_, h) => (h > 5 && h < 18 ? 240 * Math.sin((Math.PI * (h - 5.5)) / 12) : 0));
const day = (change: Partial<TripJob['kinds'][number]> = {}): TripJob['kinds'][number] => ({
  loads: [{ id: 'fridge', kind: 'power', value: 90, duty: 0.5, hours: [[0, 24]], critical: true }],
  alternatorA: 0,
  driveHours: [],
  mainsA: 0,
  mainsHours: [],
  sunWatts: null,
  besideW: [],
  ...change,
});
const job = (change: Partial<TripJob> = {}): TripJob => ({
  stepS: 300,
  days: 4,
  bank: { chemistry: 'lfp', capacityAh: 100, startSoc: 1 },
  second: null,
  chargesApart: false,
  cutoff: { openV: 12, closeV: 12.8 },
  reserveSoc: 0.2,
  kinds: [day()],
  kindOfDay: [0, 0, 0, 0],
  clearness: [0.7, 0.7, 0.7, 0.7],
  sunMaxA: null,
  beside: [],
  shared: null,
  startBelow: null,
  ambientC: 20,
  airByHour: null,
  oneByOne: false,
  ...change,
});
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

describe('days of different kinds', () => {
  it('charge from the vehicle on travel days only', () => {
    const r = simulateJob(job({ kinds: [day({ alternatorA: 25, driveHours: [[9, 12]] }), day()], kindOfDay: [0, 1, 1, 0] }));
    expect(r.alternatorAh.map((ah) => ah > 0)).toEqual([true, false, false, true]);
  });
});

describe('one output for two inputs', () => {
  const both = day({ alternatorA: 20, driveHours: [[9, 15]], sunWatts: SUN });
  const way = (shared: TripJob['shared']) => simulateJob(job({ days: 1, kindOfDay: [0], bank: { chemistry: 'lfp', capacityAh: 600, startSoc: 0.3 }, kinds: [both], shared }));
  it('never gives more than its output; two boxes give more', () => {
    const [apart, together] = [way(null), way({ outputA: 20, way: 'sun first' })];
    const driven = (r: typeof apart): number => sum(r.sunAh) + sum(r.alternatorAh);
    expect(driven(apart)).toBeGreaterThan(driven(together) + 50);
    // Six hours at twenty amps and the sun of the other hours.
    expect(together.alternatorAh[0]! + together.sunAh[0]!).toBeGreaterThan(6 * 20 * 0.99);
  });
  it('takes the sun first and tops up; or the vehicle alone; or the sun alone', () => {
    const [first, vehicle, sun] = (['sun first', 'vehicle first', 'sun alone'] as const).map((w) => way({ outputA: 20, way: w }));
    expect(first!.sunAh[0]!).toBeGreaterThan(vehicle!.sunAh[0]! + 20);
    expect(vehicle!.alternatorAh[0]!).toBeCloseTo(120, 6);
    expect(sun!.alternatorAh[0]!).toBe(0);
    expect(sum(first!.sunAh) + sum(first!.alternatorAh)).toBeGreaterThan(sum(sun!.sunAh));
  });
});

describe('a limit in amps', () => {
  it('shows what it keeps out', () => {
    const free = simulateJob(job({ kinds: [day({ sunWatts: SUN })], bank: { chemistry: 'lfp', capacityAh: 400, startSoc: 0.2 } }));
    const clipped = simulateJob(job({ kinds: [day({ sunWatts: SUN })], bank: { chemistry: 'lfp', capacityAh: 400, startSoc: 0.2 }, sunMaxA: 8 }));
    expect(sum(free.clippedAh)).toBe(0);
    expect(sum(clipped.clippedAh)).toBeGreaterThan(10);
    expect(sum(clipped.clippedAh) + sum(clipped.sunAh)).toBeCloseTo(sum(free.sunAh) + sum(free.spareAh), -1);
  });
});

describe('a controller that lets the bank fall first', () => {
  it('cycles it instead of holding it full', () => {
    const held = simulateJob(job({ days: 4, kinds: [day({ sunWatts: SUN })] }));
    const falls = simulateJob(job({ days: 4, kinds: [day({ sunWatts: SUN })], startBelow: 0.7 }));
    expect(falls.minSoc).toBeLessThan(0.71);
    expect(falls.minSoc).toBeLessThan(held.minSoc - 0.05);
    expect(Math.max(...falls.hourlySoc.slice(40))).toBeGreaterThan(falls.minSoc + 0.1);
  });
});

describe('two banks by selector', () => {
  it('last about as long as one of their size, and one is spent before the other', () => {
    const two = simulateJob(job({ days: 2, second: { chemistry: 'lfp', capacityAh: 100, startSoc: 1 } }));
    const one = simulateJob(job({ days: 2, bank: { chemistry: 'lfp', capacityAh: 200, startSoc: 1 } }));
    const alone = simulateJob(job());
    expect(Math.abs(two.finalSoc - one.finalSoc)).toBeLessThan(0.05);
    expect(two.criticalOffH).toBe(0);
    expect(alone.criticalOffH).toBeGreaterThan(0);
  });
});

describe('heavy loads one by one', () => {
  const kettle = { id: 'k', kind: 'power', value: 1500, duty: 0.1, hours: [[7, 8]] as [number, number][], critical: false } as const;
  it('sag the volts that their mean hides', () => {
    const agm = { stepS: 60, days: 1, kindOfDay: [0], bank: { chemistry: 'agm', capacityAh: 80, startSoc: 0.7 }, kinds: [day({ loads: [kettle] })], cutoff: { openV: 11.9, closeV: 12.7 } } as const;
    const [mean, single] = [simulateJob(job(agm)), simulateJob(job({ ...agm, oneByOne: true }))];
    expect(mean.disconnectOperations).toBe(0);
    expect(single.disconnectOperations).toBeGreaterThan(0);
  });
  it('draw the same energy where nothing opens', () => {
    const easy = { stepS: 60, days: 1, kindOfDay: [0], bank: { chemistry: 'lfp', capacityAh: 400, startSoc: 0.9 }, kinds: [day({ loads: [kettle] })] } as const;
    expect(simulateJob(job({ ...easy, oneByOne: true })).energy.usedWh).toBeCloseTo(simulateJob(job(easy)).energy.usedWh, 6);
  });
});

describe('many trips', () => {
  const tight = job({ days: 5, kindOfDay: [0, 0, 0, 0, 0], kinds: [day({ sunWatts: SUN.map((w) => w * 0.7) })], clearness: [0.6, 0.6, 0.6, 0.6, 0.6] });
  const all = runMany(tight, { seed: 4, from: 0, to: 200, meanClearness: 0.6 });

  it('add up whatever the shares', () => {
    const halves = addTallies(runMany(tight, { seed: 4, from: 0, to: 90, meanClearness: 0.6 }), runMany(tight, { seed: 4, from: 90, to: 200, meanClearness: 0.6 }));
    const [a, b] = [readTally(halves), readTally(all)];
    expect(a.meanBelowReserveH).toBeCloseTo(b.meanBelowReserveH, 9);
    expect({ ...a, meanBelowReserveH: 0 }).toEqual({ ...b, meanBelowReserveH: 0 });
  });
  it('order their percentiles, within empty and full', () => {
    const { p10, p50, p90 } = readTally(all);
    p10.forEach((p, h) => expect(p <= p50[h]! && p50[h]! <= p90[h]! && p >= 0 && p90[h]! <= 1).toBeTrue());
    expect([p10[0], p50[0], p90[0]].every((p) => p! > 0.997)).toBeTrue();
  });
  it('tell the chance, the day, the cause and the dull days before it', () => {
    const m = readTally(all);
    expect(m.chanceOff).toBeGreaterThan(0.05);
    expect(m.chanceOff).toBeLessThan(1);
    expect(m.off!.day).toBeGreaterThan(1);
    expect(m.off!.cause).toBe('low volts');
    expect(m.off!.dullDays).toBeGreaterThan(0.5);
  });
  it('are fewer to go off where the sky is clearer', () => expect(readTally(runMany(tight, { seed: 4, from: 0, to: 200, meanClearness: 0.9 })).chanceOff).toBeLessThan(readTally(all).chanceOff));
  it('stop when told to, and say how many were done', () => {
    const seen: number[] = [];
    const t = runMany(tight, { seed: 4, from: 0, to: 200, meanClearness: 0.6 }, (done) => seen.push(done) < 3);
    expect([t.trips, seen]).toEqual([60, [20, 40, 60]]);
    expect(readTally(t).trips).toBe(60);
  });
  it('stand a job of no trips', () => expect(readTally(runMany(tight, { seed: 1, from: 0, to: 0, meanClearness: 0.5 }))).toEqual(jasmine.objectContaining({ trips: 0, chanceOff: 0, off: null })));
});

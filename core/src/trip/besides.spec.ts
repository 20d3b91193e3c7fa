import { simulateRigTrip, type RigTrip } from '../rig-trip/index.js';
import { simulateJob, type TripJob } from './index.js';

const sun = (peakW: number): number[] => Array.from({ length: 24 }, (_, h) => (h > 5 && h < 18 ? peakW * Math.sin((Math.PI * (h - 5.5)) / 12) : 0));
const LOAD = { id: 'fridge', kind: 'power' as const, value: 90, duty: 0.6, hours: [[0, 24]] as [number, number][], critical: true };

interface Suns {
  readonly watts: readonly number[];
  readonly maxA: number | null;
  readonly startBelow?: number;
}

const job = (suns: readonly Suns[]): TripJob => ({
  stepS: 60,
  days: 4,
  bank: { chemistry: 'lfp', capacityAh: 200, startSoc: 0.5 },
  second: null,
  chargesApart: false,
  cutoff: { openV: 12, closeV: 12.8 },
  reserveSoc: 0.2,
  kinds: [{ loads: [LOAD], alternatorA: 0, driveHours: [], mainsA: 0, mainsHours: [], sunWatts: suns[0]!.watts, besideW: suns.slice(1).map((s) => s.watts) }],
  kindOfDay: [0, 0, 0, 0],
  clearness: [1, 0.6, 0.9, 0.3],
  sunMaxA: suns[0]!.maxA,
  beside: suns.slice(1).map((s) => ({ maxA: s.maxA, startBelow: s.startBelow ?? null })),
  shared: null,
  startBelow: suns[0]!.startBelow ?? null,
  ambientC: 20,
  airByHour: null,
  oneByOne: false,
});

const rig = (suns: readonly Suns[]): RigTrip => ({
  stepS: 60,
  days: 4,
  clearness: [1, 0.6, 0.9, 0.3],
  vehicles: [],
  inlets: [],
  selectors: [],
  arrays: suns.map((s, i) => ({ id: `a${i}`, sunWatts: [...s.watts] })),
  banks: [{ id: 'bank', nominalV: 12, chemistry: 'lfp', capacityAh: 200, startSoc: 0.5, ambientC: 20, cutoff: { openV: 12, closeV: 12.8 }, reserveSoc: 0.2 }],
  loads: [{ ...LOAD, bank: 'bank' }],
  chargers: suns.map((s, i) => ({
    id: `c${i}`,
    bank: 'bank',
    rule: 'own limits' as const,
    outputA: null,
    inputs: [{ array: `a${i}`, controller: 'mppt' as const, maxA: s.maxA, setting: 1, stopAtSoc: 0.99 }],
  })),
});

const total = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

describe('several regulators on one bank', () => {
  it('without limits are one with the sum of their watts', () => {
    const [two, one] = [
      job([
        { watts: sun(150), maxA: null },
        { watts: sun(90), maxA: null },
      ]),
      job([{ watts: sun(240), maxA: null }]),
    ].map(simulateJob);
    expect(total(two!.sunAh)).toBeCloseTo(total(one!.sunAh), 6);
    two!.endOfDaySoc.forEach((soc, d) => expect(soc).toBeCloseTo(one!.endOfDaySoc[d]!, 9));
  });

  it('are each held to their own limit, as the law of the rig has it', () => {
    const suns = [
      { watts: sun(300), maxA: 12 },
      { watts: sun(200), maxA: 30 },
      { watts: sun(260), maxA: 8 },
    ];
    const [flat, law] = [simulateJob(job(suns)), simulateRigTrip(rig(suns))];
    flat.endOfDaySoc.forEach((soc, d) => expect(soc).toBeCloseTo(law.banks['bank']!.endOfDaySoc[d]!, 3));
    expect(total(flat.sunAh) / total(Object.values(law.arrays).flatMap((a) => a.usedAh))).toBeCloseTo(1, 2);
    expect(total(flat.clippedAh)).toBeGreaterThan(10);
  });

  it('one of which waits bring less than all at once, and more than without it', () => {
    const [roof, side] = [
      { watts: sun(60), maxA: null },
      { watts: sun(250), maxA: null },
    ];
    const of = (...suns: Suns[]): number => total(simulateJob(job(suns)).sunAh);
    const waits = of(roof, { ...side, startBelow: 0.4 });
    expect(waits).toBeLessThan(of(roof, side));
    expect(waits).toBeGreaterThanOrEqual(of(roof));
  });

  it('balance their energy', () => {
    const { energy: e } = simulateJob(
      job([
        { watts: sun(300), maxA: 12 },
        { watts: sun(200), maxA: 9 },
      ]),
    );
    expect(Math.abs(e.givenWh - e.usedWh - e.storedWh - e.lostWh)).toBeLessThan(1e-6 * e.givenWh + 1e-6);
  });
});

import fc from 'fast-check';
import { plainTrip } from '../testing/plain-trip.js';
import { tripInputSchema, type TripInput } from './input.js';
import { shareInside } from './profile.js';
import { jobOf, simulateJob, simulateTrip } from './simulate.js';

const SUN = [0, 0, 0, 0, 0, 0, 10, 60, 120, 180, 220, 240, 235, 215, 170, 110, 50, 10, 0, 0, 0, 0, 0, 0];
const trip: fc.Arbitrary<TripInput> = fc
  .record({
    chemistry: fc.constantFrom('agm', 'lfp', 'gel', 'flooded'),
    capacityAh: fc.integer({ min: 60, max: 400 }),
    startSoc: fc.double({ min: 0.1, max: 1, noNaN: true }),
    watts: fc.double({ min: 0, max: 160, noNaN: true }),
    amps: fc.double({ min: 0, max: 8, noNaN: true }),
    driveH: fc.integer({ min: 0, max: 5 }),
    mainsA: fc.constantFrom(0, 15),
    sunMaxA: fc.option(fc.double({ min: 2, max: 20, noNaN: true })),
    ambientC: fc.integer({ min: -12, max: 52 }),
    days: fc.integer({ min: 1, max: 4 }),
  })
  .map((p) =>
    tripInputSchema.parse({
      stepS: 300,
      days: p.days,
      battery: { chemistry: p.chemistry, capacityAh: p.capacityAh, startSoc: p.startSoc, ambientC: p.ambientC },
      loads: [
        { id: 'fridge', kind: 'power', value: p.watts, duty: 0.5, hours: [[0, 24]], critical: true },
        { id: 'light', kind: 'current', value: p.amps, duty: 1, hours: [[18.2, 22.7]] },
      ],
      alternator: { ratedA: 25, setting: 1, driveHours: [[9, 9 + p.driveH]] },
      mains: { ratedA: p.mainsA, hours: [[20, 23.5]] },
      sunWatts: SUN,
      sunMaxA: p.sunMaxA,
      cutoff: { openV: 12, closeV: 12.8 },
      reserveSoc: 0.2,
      clearness: [1, 0.4, 0.8, 0.2].slice(0, p.days),
    }),
  );

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

describe('laws of the trip', () => {
  it('the fast loop and the plain one say the same', () => {
    fc.assert(
      fc.property(trip, (input) => {
        const [fast, plain] = [simulateTrip(input), plainTrip(input)];
        for (const key of ['endOfDaySoc', 'loadAh', 'sunAh'] as const) fast[key].forEach((v, d) => expect(v).withContext(key).toBeCloseTo(plain[key][d]!, 8));
        for (const key of ['minSoc', 'criticalOffH', 'belowReserveH', 'disconnectOperations'] as const) expect(fast[key]).withContext(key).toBeCloseTo(plain[key], 8);
      }),
      { numRuns: 60 },
    );
  });

  it('charge stays between empty and full, and the lowest is the lowest', () => {
    fc.assert(
      fc.property(trip, (input) => {
        const r = simulateTrip(input);
        for (const soc of r.hourlySoc) expect(soc >= -1e-12 && soc <= 1 + 1e-9).toBeTrue();
        expect(r.minSoc).toBeLessThanOrEqual(Math.min(...r.hourlySoc) + 1e-12);
      }),
      { numRuns: 40 },
    );
  });

  it('more panel never lowers the lowest charge while the loads stay on', () => {
    fc.assert(
      fc.property(trip, (input) => {
        const [less, more] = [simulateTrip(input), simulateTrip({ ...input, sunWatts: input.sunWatts!.map((w) => w * 1.5) })];
        // A disconnect that opens with little sun spares the battery: then the law does not hold, and need not.
        if (less.disconnectOperations + more.disconnectOperations > 0) return;
        expect(more.minSoc).toBeGreaterThanOrEqual(less.minSoc - 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it('energy given is energy used, stored and lost', () => {
    fc.assert(
      fc.property(trip, (input) => {
        const { givenWh, usedWh, storedWh, lostWh } = simulateTrip(input).energy;
        expect(Math.abs(givenWh - usedWh - storedWh - lostWh)).toBeLessThan(1e-6 * Math.max(1, givenWh, usedWh));
        expect(lostWh).toBeGreaterThan(-1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it('charge given is charge used, stored, or lost in charging', () => {
    fc.assert(
      fc.property(trip, (input) => {
        const r = simulateTrip(input);
        const given = sum(r.sunAh) + sum(r.alternatorAh) + sum(r.mainsAh);
        const lost = given - sum(r.loadAh) - (r.finalSoc - input.battery.startSoc) * input.battery.capacityAh;
        expect(lost).toBeGreaterThan(-1e-6);
        expect(lost).toBeLessThanOrEqual(0.15 * given + 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  it('a disconnect that stays open gives no current', () => {
    fc.assert(
      fc.property(trip, (input) => {
        // It opens in the first minutes and nothing can close it.
        const r = simulateTrip({ ...input, cutoff: { openV: 20, closeV: 30 } });
        expect(sum(r.loadAh.slice(1))).toBe(0);
        expect(r.loadAh[0]!).toBeLessThan(((input.loads[0]!.value * 0.5) / 9 + 1) * (10 / 60) + 1e-9);
      }),
      { numRuns: 30 },
    );
  });

  it('an empty load list draws nothing and never opens the disconnect', () => {
    const input = tripInputSchema.parse({ days: 2, battery: { chemistry: 'agm', capacityAh: 100, startSoc: 0.6, ambientC: 20 }, loads: [], cutoff: { openV: 12.1, closeV: 12.9 } });
    const r = simulateTrip(input);
    expect([r.finalSoc, sum(r.loadAh), r.disconnectOperations, r.criticalOffH, r.firstOff]).toEqual([0.6, 0, 0, 0, null]);
  });

  it('a lithium bank below its range is not charged', () => {
    const input = tripInputSchema.parse({
      days: 1,
      battery: { chemistry: 'lfp', capacityAh: 100, startSoc: 0.5, ambientC: -1 },
      loads: [],
      mains: { ratedA: 20, hours: [[0, 24]] },
      cutoff: { openV: 12, closeV: 12.8 },
    });
    expect(simulateTrip(input).finalSoc).toBe(0.5);
    expect(simulateTrip({ ...input, battery: { ...input.battery, ambientC: 0 } }).finalSoc).toBeGreaterThan(0.9);
    // By the hour: only the warm ones charge.
    const byHour = simulateJob({ ...jobOf(input), airByHour: Array.from({ length: 24 }, (_, h) => (h === 12 ? 1 : -3)) });
    expect(byHour.finalSoc).toBeGreaterThan(0.6);
    expect(byHour.finalSoc).toBeLessThan(0.72);
  });

  it('a share of a step is counted, not its whole', () => expect(shareInside([[7.5, 9]], 7, 8)).toBe(0.5));
  it('refuses a step that does not divide the hour, and 0 or 400 days', () => {
    const base = { battery: { chemistry: 'agm', capacityAh: 100, startSoc: 1, ambientC: 20 }, loads: [], cutoff: { openV: 12, closeV: 13 } };
    for (const bad of [
      { ...base, days: 2, stepS: 70 },
      { ...base, days: 0 },
      { ...base, days: 400 },
    ])
      expect(tripInputSchema.safeParse(bad).success).toBeFalse();
  });
});

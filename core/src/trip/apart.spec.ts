import fc from 'fast-check';
import type { TripJob } from './job.js';
import { jobOf, simulateJob } from './simulate.js';
import { tripInputSchema } from './input.js';

const SUN = [0, 0, 0, 0, 0, 0, 10, 60, 120, 180, 220, 240, 235, 215, 170, 110, 50, 10, 0, 0, 0, 0, 0, 0];

interface Wish {
  readonly watts?: number;
  readonly driveH?: number;
  readonly days?: number;
  readonly sun?: number;
  readonly first?: number;
  readonly second?: number;
}

function job({ watts = 40, driveH = 3, days = 4, sun = 1, first = 1, second = 1 }: Wish = {}, more: Partial<TripJob> = {}): TripJob {
  const one = jobOf(
    tripInputSchema.parse({
      stepS: 300,
      days,
      battery: { chemistry: 'lfp', capacityAh: 100, startSoc: first, ambientC: 20 },
      loads: watts > 0 ? [{ id: 'fridge', kind: 'power', value: watts, duty: 1, hours: [[0, 24]], critical: true }] : [],
      alternator: { ratedA: 25, setting: 1, driveHours: [[9, 9 + driveH]] },
      mains: { ratedA: 0, hours: [] },
      sunWatts: SUN.map((w) => w * sun),
      cutoff: { openV: 12, closeV: 12.8 },
      reserveSoc: 0.2,
    }),
  );
  return { ...one, second: { chemistry: 'lfp', capacityAh: 100, startSoc: second }, chargesApart: true, ...more };
}

describe('a bank on charge while another carries the loads', () => {
  it('is charged as a bank of its own without loads', () => {
    // The first is full, so the charge goes to the second from the first hour on, and stays until that is full.
    const apart = simulateJob(job({ days: 1, driveH: 0, second: 0.5, watts: 0 }));
    const alone = simulateJob({ ...job({ days: 1, driveH: 0, first: 0.5, watts: 0 }), second: null, chargesApart: false });
    for (const [h, soc] of alone.hourlySoc.entries())
      expect(apart.hourlySoc[h]!)
        .withContext(`${h} h`)
        .toBeCloseTo((1 + soc) / 2, 10);
    expect(apart.sunAh[0]!).toBeCloseTo(alone.sunAh[0]!, 9);
  });

  it('leaves the loads to the other bank, as if nothing charged it', () => {
    const day = { days: 1, driveH: 1, sun: 0.2 };
    const apart = simulateJob(job({ ...day, second: 0.3, watts: 30 }));
    const dark = simulateJob({ ...job({ ...day, watts: 30, driveH: 0, sun: 0 }), second: null, chargesApart: false });
    const filled = simulateJob({ ...job({ ...day, watts: 0, first: 0.3 }), second: null, chargesApart: false });
    for (let h = 0; h <= 24; h++)
      expect(apart.hourlySoc[h]!)
        .withContext(`${h} h`)
        .toBeCloseTo((dark.hourlySoc[h]! + filled.hourlySoc[h]!) / 2, 9);
  });

  it('comes to no more and no less than goes in: the energy balances, whatever is turned when', () => {
    fc.assert(
      fc.property(
        fc.record({
          watts: fc.integer({ min: 0, max: 90 }),
          driveH: fc.integer({ min: 0, max: 6 }),
          first: fc.double({ min: 0.1, max: 1, noNaN: true }),
          second: fc.double({ min: 0.1, max: 1, noNaN: true }),
          beside: fc.boolean(),
          shared: fc.constantFrom(null, { outputA: 25, way: 'sun first' as const }, { outputA: 25, way: 'vehicle first' as const }),
        }),
        ({ beside, shared, ...wish }) => {
          const base = job(wish, { shared, sunMaxA: 15 });
          const r = simulateJob(beside ? { ...base, beside: [{ maxA: 5, startBelow: null }], kinds: base.kinds.map((k) => ({ ...k, besideW: [SUN] })) } : base);
          const e = r.energy;
          // One of several regulators that reaches its limit within a step is booked at the volts before it.
          expect(Math.abs(e.givenWh - e.usedWh - e.storedWh - e.lostWh)).toBeLessThan((beside ? 1e-4 : 1e-6) * Math.max(100, e.givenWh));
          for (const soc of r.hourlySoc) expect(soc >= -1e-12 && soc <= 1 + 1e-9).toBeTrue();
        },
      ),
      { numRuns: 40 },
    );
  });

  it('goes to the bank that is down to the reserve, and the loads to the other', () => {
    // 60 W empty the first to its reserve in a night; by day the second carries them while the first fills again.
    const r = simulateJob(job({ watts: 60, days: 6, driveH: 2, first: 0.5 }));
    expect(r.criticalOffH).toBe(0);
    expect(r.sunAh.slice(2).every((ah) => ah > 60)).toBeTrue();
    expect(r.turns.loads).toBeGreaterThan(0);
    expect(r.turns.charging).toBeGreaterThan(0);
    // By hand, so not by the hour.
    expect(r.turns.loads + r.turns.charging).toBeLessThan(2 * 6 + 2);
  });

  it('is the same as one selector where there is one bank', () => {
    const alone = { ...job(), second: null };
    expect(simulateJob(alone).turns).toEqual({ loads: 0, charging: 0 });
    expect(simulateJob(alone)).toEqual(simulateJob({ ...alone, chargesApart: false }));
  });
});

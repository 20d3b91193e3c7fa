import { tripInputSchema } from './input.js';
import { planTrip, plannedRestV } from './plan.js';
import { restV } from '../catalogue/index.js';
import { terminalV } from './settle.js';
import { jobOf, simulateJob } from './simulate.js';

describe('the balance of a step', () => {
  it('rests at the open volts with nothing on', () => expect(terminalV(12.8, 0.01, 0, 0, 0, Infinity, 0)).toBe(12.8));
  it('falls by current times resistance, and rises with charging', () => {
    expect(terminalV(12.8, 0.01, 0, 20, 0, Infinity, 0)).toBeCloseTo(12.6, 12);
    expect(terminalV(12.8, 0.01, 0, 0, 0, Infinity, 20)).toBeCloseTo(13, 12);
  });
  it('settles constant power where volts times amps is the power', () => {
    const v = terminalV(12.8, 0.02, 300, 0, 0, Infinity, 0);
    expect((v * (12.8 - v)) / 0.02).toBeCloseTo(300, 6);
  });
  it('takes sun as power until its controller is full, then as current', () => expect(terminalV(12.8, 0.01, 0, 0, 500, 10, 0)).toBeCloseTo(12.8 + 0.01 * 10, 9));
  it('has no volts where more is asked than the battery can give', () => expect(terminalV(12.8, 0.1, 500, 0, 0, Infinity, 0)).toBeNaN());
});

describe('the planned resting volts', () => {
  for (const chemistry of ['flooded', 'agm', 'gel', 'lfp'] as const) {
    it(`of ${chemistry} are the table’s at every charge`, () => {
      const job = jobOf(tripInputSchema.parse({ days: 1, battery: { chemistry, capacityAh: 100, startSoc: 1, ambientC: 20 }, loads: [], cutoff: { openV: 12, closeV: 13 } }));
      const bank = planTrip(job).banks[0]!;
      for (let s = 0; s <= 1; s += 0.0037) expect(plannedRestV(bank, s)).toBeCloseTo(restV(chemistry, s), 10);
      expect(plannedRestV(bank, 1)).toBeCloseTo(restV(chemistry, 1), 10);
    });
  }
});

describe('a low-voltage disconnect', () => {
  /** A flat-out load on a small AGM: it opens, rests, and closes when mains lifts the volts. */
  const job = (mainsHours: [number, number][], startSoc = 0.3) =>
    jobOf(
      tripInputSchema.parse({
        stepS: 60,
        days: 1,
        battery: { chemistry: 'agm', capacityAh: 50, startSoc, ambientC: 20 },
        loads: [{ id: 'l', kind: 'current', value: 10, duty: 1, hours: [[0, 24]], critical: true }],
        mains: { ratedA: 30, hours: mainsHours },
        cutoff: { openV: 12.1, closeV: 12.9 },
      }),
    );
  it('opens once and stays open while nothing lifts the volts', () => {
    const r = simulateJob(job([]));
    expect(r.disconnectOperations).toBe(1);
    expect(r.firstOff).toEqual(jasmine.objectContaining({ cause: 'low volts' }));
    // It acts from the step after a minute below its volts.
    expect(r.firstOff!.atH).toBeGreaterThan(0);
    expect(r.criticalOffH).toBeCloseTo(24 - r.firstOff!.atH, 6);
    expect(r.finalSoc).toBeGreaterThan(0.1);
  });
  it('closes again when charging lifts the volts', () => {
    const r = simulateJob(job([[12, 14]]));
    expect(r.disconnectOperations).toBeGreaterThanOrEqual(2);
  });
  it('that would chatter stays off ten minutes each time', () => {
    // Its volts recover above the closing volts as soon as the load is off.
    const r = simulateJob({ ...job([], 0.3), cutoff: { openV: 12.01, closeV: 12.02 } });
    const times = Math.floor(r.disconnectOperations / 2);
    expect(times).toBeGreaterThan(5);
    expect(r.criticalOffH / times).toBeGreaterThanOrEqual(10 / 60 - 1e-9);
  });
  it('latched by a flat battery waits for charge as well', () => {
    const flat = simulateJob({ ...job([[12, 12.05]], 0.05), cutoff: { openV: 5, closeV: 5.1 } });
    expect(flat.firstOff!.cause).toBe('flat');
    expect(flat.disconnectOperations).toBe(1);
    const filled = simulateJob({ ...job([[12, 13]], 0.05), cutoff: { openV: 5, closeV: 5.1 } });
    expect(filled.disconnectOperations).toBeGreaterThan(1);
  });
  it('opens at once when more is asked than the battery can give', () => {
    const big = tripInputSchema.parse({
      days: 1,
      battery: { chemistry: 'agm', capacityAh: 20, startSoc: 1, ambientC: 20 },
      loads: [{ id: 'l', kind: 'power', value: 2200, duty: 1, hours: [[2, 3]], critical: true }],
      cutoff: { openV: 8, closeV: 12 },
    });
    expect(simulateJob(jobOf(big)).firstOff).toEqual({ atH: 2, cause: 'more than the battery can give' });
  });
});

import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { alternatorBudget, alternatorTrace, closedShare, closedSpans, TRACE_VOLTS } from './alternator.js';
import { bankOf } from './bank.js';
import { chargerInput } from './charger-input.js';
import { hoursToFull } from './charge-time.js';
import { chargersOf, mainsChargersOf, sharing, vehicleChargeA } from './chargers.js';
import { daysToNoCrank, drainDays, engineOffDrains } from './drains.js';
import { arraysOf } from './array.js';
import { togetherOf } from './figures.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const SENSING = { closeV: 13.2, closeAfterS: 10, openV: 12.7, openAfterS: 30 };
const kind = (voltage: 'fixed' | 'variable') => ({ ratedA: 150, voltage, vehicleA: null, measured: null, idlesForHours: false });

describe('the alternator’s volts through a drive', () => {
  it('keep a sensing isolator closed where they are fixed', () => expect(closedShare(alternatorTrace(kind('fixed'), 12), SENSING)).toBeGreaterThan(0.98));
  it('never close it where they vary: overrun is shorter than it waits', () => expect(closedSpans(alternatorTrace(kind('variable'), 12), SENSING)).toEqual([]));
  it('close it for the length of overrun once that is long enough to count', () => {
    const patient = { ...SENSING, closeAfterS: 5 };
    const spans = closedSpans(alternatorTrace(kind('variable'), 12), patient);
    expect(spans.length).toBe(5);
    for (const [from, to] of spans) expect(to - from).toBeGreaterThan(patient.openAfterS);
  });
  it('as measured beat the default', () => {
    const measured = { ...kind('variable'), measured: { ...TRACE_VOLTS.variable, cruiseV: 13.9 } };
    expect(closedShare(alternatorTrace(measured, 12), SENSING)).toBeGreaterThan(0.7);
  });
  it('double on a 24 V vehicle, unless they were measured there', () => {
    expect(alternatorTrace(kind('fixed'), 24)[0]!.volts).toBeCloseTo(28.6, 9);
    expect(alternatorTrace({ ...kind('fixed'), measured: { coldIdleV: 28.1, cruiseV: 28, overrunV: 28, warmIdleV: 27.4 } }, 24)[0]!.volts).toBe(28.1);
  });
  it('have no gaps', () => {
    const trace = alternatorTrace(kind('fixed'), 12);
    trace.slice(1).forEach((p, i) => expect(p.fromS).toBe(trace[i]!.toS));
  });
});

describe('an alternator’s budget', () => {
  it('has more on the road than at idle, and less with a thirstier vehicle', () => {
    const wanted = { idleA: 20, roadA: 20 };
    const b = alternatorBudget(150, wanted);
    expect([b.leftA, b.leftCruiseA]).toEqual([47.5, 92.5]);
    expect(alternatorBudget(150, wanted, 60).leftA).toBeCloseTo(22.5, 9);
  });
});

describe('a charger behind its feed', () => {
  const part = SHIPPED_CATALOGUE.find('dcdc', 'dcdc-40')!;
  it('draws more as volts fall, and stops at its cut-out', () => {
    const at = (v: number) => chargerInput(part, 1, 14.4, v, 0.012, 'x');
    expect(at(12.4).inA).toBeGreaterThan(at(14.2).inA);
    expect(at(12.4).arrivesV * at(12.4).inA).toBeCloseTo((14.4 * 40) / 0.88, 6);
    expect(at(10.6)).toEqual(jasmine.objectContaining({ runs: false, inA: 0 }));
    expect(chargerInput(part, 1, 14.4, 12.4, 0.2, 'x').runs).toBeFalse();
  });
  it('makes half the heat at half power', () => expect(chargerInput(part, 0.5, 14.4, 13, 0, 'x').chargerHeatW).toBeCloseTo(chargerInput(part, 1, 14.4, 13, 0, 'x').chargerHeatW / 2, 9));
});

describe('several chargers', () => {
  const d = demo('playgroup');
  const bank = bankOf(d, SHIPPED_CATALOGUE)!;
  const chargers = chargersOf(d, SHIPPED_CATALOGUE, bank, arraysOf(d, SHIPPED_CATALOGUE));
  it('give less together than their sum once the bank sets the limit, and never more than alone', () => {
    const s = sharing(bank, 0.5, chargers);
    const sum = (f: (c: (typeof s)[number]) => number): number => s.reduce((a, c) => a + f(c), 0);
    expect(s.length).toBe(2);
    expect(sum((c) => c.togetherA)).toBeLessThan(sum((c) => c.aloneA));
    expect(sum((c) => c.togetherA)).toBeCloseTo(bank.maxChargeA, 1);
    for (const c of s) expect(c.togetherA).toBeLessThanOrEqual(c.aloneA + 1e-9);
  });
  it('leave it to the one with the higher set point near the end', () => {
    const [a, b] = chargers;
    const s = sharing(bank, 0.97, [
      { ...a!, setV: 14.6 },
      { ...b!, setV: 14.0 },
    ]);
    expect(s[0]!.togetherA).toBeGreaterThan(s[1]!.togetherA);
  });
  it('with the thicker lead carry more while both hold their volts', () => {
    const near = sharing(bank, 0.9, chargers, (c) => (c.unit === 'mains' ? 0.002 : 0.05));
    const even = sharing(bank, 0.9, chargers);
    const mains = (list: typeof near) => list[chargers.findIndex((c) => c.unit === 'mains')]!.togetherA;
    expect(mains(near)).toBeGreaterThan(mains(even));
  });
  it('come to hours that lie between the best alone and the sum of them all', () => {
    const s = sharing(bank, 0.5, chargers);
    const all = togetherOf(bank, s)!;
    const floor = 1 - bank.usableShare;
    expect(all.amps).toBeCloseTo(
      s.reduce((a, c) => a + c.togetherA, 0),
      9,
    );
    expect(all.hours).toBeLessThanOrEqual(Math.min(...s.map((c) => hoursToFull(bank, floor, c.aloneA))) + 1e-9);
    expect(all.hours).toBeGreaterThanOrEqual(
      hoursToFull(
        bank,
        floor,
        s.reduce((a, c) => a + c.aloneA, 0),
      ) - 1e-9,
    );
    expect(togetherOf(bank, s.slice(0, 1))).toBeNull();
  });
  it('count an inverter-charger as the mains charger', () => {
    const e = demo('vet');
    expect(mainsChargersOf(e, SHIPPED_CATALOGUE)).toEqual([]);
    supplyOf(e).inverter = 'inv-chg-1600';
    expect(mainsChargersOf(e, SHIPPED_CATALOGUE).map((m) => m.outputA)).toEqual([60]);
  });
  it('take nothing from a vehicle that does not feed them', () => {
    const e = demo('vet');
    const b = bankOf(e, SHIPPED_CATALOGUE)!;
    e.converters['charger']!.from = null;
    expect(vehicleChargeA(e, SHIPPED_CATALOGUE, b)).toEqual({ outA: 0, wanted: { idleA: 0, roadA: 0 } });
  });
  it('are summed on one alternator, at half power too', () => {
    const e = demo('vet');
    const b = bankOf(e, SHIPPED_CATALOGUE)!;
    const one = vehicleChargeA(e, SHIPPED_CATALOGUE, b);
    supplyOf(e).dcdcSecond = 'dcdc-20';
    expect(vehicleChargeA(e, SHIPPED_CATALOGUE, b).outA).toBe(one.outA + 20);
    supplyOf(e).dcdcHalf = true;
    expect(vehicleChargeA(e, SHIPPED_CATALOGUE, b).outA).toBe(one.outA / 2 + 20);
  });
});

describe('what empties the starting battery', () => {
  const PARKED_DAY = { ahDay: 24, onVehicle: [] };

  it('takes days at a clock’s draw and hours at an always-live trigger', () => {
    const d = demo('vet');
    const bank = bankOf(d, SHIPPED_CATALOGUE);
    const wired = engineOffDrains(d, SHIPPED_CATALOGUE, bank, PARKED_DAY);
    expect(wired[0]!.days).toBeCloseTo(drainDays(90, 0.03), 9);
    supplyOf(d).trigger = 'always-live wire';
    const live = engineOffDrains(d, SHIPPED_CATALOGUE, bank, PARKED_DAY)[0]!;
    expect(live.path).toContain('always live');
    expect(24 * live.days).toBeLessThan(1);
  });
  it('adds the paths up, leaving out what stops by itself', () => {
    const d = demo('bees');
    const drains = engineOffDrains(d, SHIPPED_CATALOGUE, bankOf(d, SHIPPED_CATALOGUE), PARKED_DAY);
    expect(drains.at(-1)!.days).toBe(Infinity);
    expect(daysToNoCrank(d, SHIPPED_CATALOGUE, drains)).toBeCloseTo(drainDays(80, 0.03), 9);
  });
});

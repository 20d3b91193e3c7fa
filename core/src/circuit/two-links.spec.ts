import { assess, type Assessment } from '../assess/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { doCommands, type Asked } from '../commands/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import type { Design } from '../design/index.js';
import { circuitPlan, isolationMap, PARKED, settle, type CircuitState, type SettledState } from './index.js';

const bees = (): Design => structuredClone(DEMO_JOBS.find((j) => j.key === 'bees')!.design);
const ENGINE: CircuitState = { ...PARKED, engine: 'cruise', loads: 'off' };
/** A second isolator that lets go earlier than the first. */
const EARLY: Asked[] = [
  { do: 'addPart', with: { kind: 'isolator', id: 'early', name: 'early isolator', ratedA: 140, closeV: 14, openV: 13.9 } },
  { do: 'addLink', with: { id: 'second', part: 'early' } },
];
function done(...all: readonly Asked[]): Design {
  const r = doCommands(bees(), all);
  if (!r.ok) throw new Error(r.message);
  return r.design;
}
const of = (d: Design): Assessment => assess(d, catalogueOf(d));
function on(d: Design, state: CircuitState): SettledState {
  const r = settle(circuitPlan(d, catalogueOf(d), of(d))!, state);
  if (!r.ok) throw new Error(`${r.error}: ${r.at.join()}`);
  return r;
}
const amp = (r: SettledState, run: string): number => r.runs.get(run)!.amp;

describe('two links between a starting battery and a bank', () => {
  const two = (): Design => done({ do: 'addLink', with: { id: 'second', part: 'iso-140' } });

  it('each has its runs and its contact, and the current goes by both', () => {
    const [one, both] = [on(bees(), ENGINE), on(two(), ENGINE)];
    expect(both.isolatorClosed).toBeTrue();
    const [first, second] = [amp(both, 'isolator-bus'), amp(both, 'isolator-bus-second')];
    expect(first).toBeGreaterThan(1);
    expect(second).toBeGreaterThan(1);
    expect(first).toBeLessThan(amp(one, 'isolator-bus'));
    // What goes in at each one comes out of it.
    expect(amp(both, 'start-isolator')).toBeCloseTo(first, 6);
    expect(amp(both, 'start-isolator-second')).toBeCloseTo(second, 6);
  });

  it('opens each by its own volts', () => {
    const d = done(...EARLY);
    const [road, idle] = [on(d, { ...ENGINE, engine: 'cruise' }), on(d, { ...ENGINE, engine: 'idle', loads: 'on' })];
    const volts = (r: SettledState): number => r.batteries.find((b) => b.id === 'starting')!.volt;
    expect([volts(road) > 13.9, volts(idle) > 12.7 && volts(idle) < 13.9]).toEqual([true, true]);
    expect(amp(road, 'isolator-bus-second')).toBeGreaterThan(1);
    expect(Math.abs(amp(idle, 'isolator-bus-second'))).toBeLessThan(0.01);
    expect(amp(idle, 'isolator-bus')).toBeGreaterThan(1);
  });

  it('parked, neither ties the batteries together', () => {
    const r = on(two(), PARKED);
    expect(r.isolatorClosed).toBeFalse();
    for (const run of ['isolator-bus', 'isolator-bus-second']) expect(Math.abs(amp(r, run))).toBeLessThan(0.01);
  });

  it('both are live ways in for whoever works behind them', () => {
    const d = two();
    const map = isolationMap(circuitPlan(d, catalogueOf(d), of(d))!);
    const behind = map.columns.findIndex((c) => c.name === 'main switch');
    expect(behind).toBeGreaterThan(0);
    const ends = map.rows.filter((r) => r.gear === 'second');
    expect(ends.length).toBe(2);
    // The bank parted, the engine's battery still reaches both its sides.
    for (const r of ends) expect(r.cells[behind]!.by).toContain('starting battery');
  });

  it('is no longer refused by the plan', () => expect(of(two()).open.filter((f) => f.rule === 'not-carried')).toEqual([]));
});

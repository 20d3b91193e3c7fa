import { assess, type Assessment } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { doCommand } from '../commands/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import type { Design } from '../design/index.js';
import { faultBook, SITUATIONS } from '../faults/index.js';
import { testPlan } from '../test-plan/index.js';
import { circuitPlan, PARKED, settle, type CircuitState } from './index.js';

const vet = (): Design => structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
function done(d: Design, what: string, by: object): Design {
  const r = doCommand(d, { do: what, with: by } as Parameters<typeof doCommand>[1]);
  if (!r.ok) throw new Error(r.message);
  return r.design;
}
const kept = (part = 'keep-4'): Design => done(vet(), 'addConverter', { id: 'keeper', part });
const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
function givenIn(d: Design, state: CircuitState): { readonly outA: number; readonly inV: number; readonly drawnW: number } {
  const plan = circuitPlan(d, SHIPPED_CATALOGUE, of(d))!;
  const r = settle(plan, state);
  if (!r.ok) throw new Error('unsettled');
  const g = r.givers.find((x) => x.id === 'keeper');
  const feed = r.runs.get('bus-keeper')!;
  return { outA: g?.amp ?? 0, inV: g?.inV ?? 0, drawnW: feed.amp * feed.toV };
}

describe('what keeps the starting battery up', () => {
  it('has a lead from the bars and one to the starting battery, each fused at the battery that feeds a fault on it, and no thicker than the trade fits', () => {
    const runs = of(kept()).runs.filter((r) => r.spec.serves.id === 'keeper');
    expect(runs.map((r) => [r.spec.from.gear, r.spec.to.gear, r.spec.ends.map((e) => [e.at, e.source])])).toEqual([
      ['bus', 'keeper', [['from', 'house battery']]],
      ['keeper', 'starting', [['to', 'starting battery']]],
    ]);
    for (const r of runs) expect(r.ok && r.figures.fuseA <= 16 && r.figures.areaMm2 <= 4).toBeTrue();
  });
  it('gives its amps once the bank has them to spare, drawing what it gives over its loss', () => {
    const g = givenIn(kept(), SITUATIONS.kept.state);
    expect(g.outA).toBeCloseTo(4, 6);
    expect(g.inV).toBeGreaterThan(13.2);
    // 4 A into a starting battery that stands between 12.4 and 13.5 V.
    expect(g.drawnW).toBeGreaterThan((4 * 12.4) / 0.86);
    expect(g.drawnW).toBeLessThan((4 * 13.5) / 0.86);
  });
  it('rests below its volts, and while the engine runs', () => {
    expect(givenIn(kept(), PARKED).outA).toBe(0);
    expect(givenIn(kept(), { ...SITUATIONS.kept.state, engine: 'cruise' }).outA).toBe(0);
  });
  it('ends the days until the engine no longer cranks, and draws from the house bank what that takes', () => {
    const [without, withIt] = [of(vet()), of(kept())];
    expect(without.supply.daysToNoCrank).toBeLessThan(60);
    expect(withIt.supply.daysToNoCrank).toBe(Infinity);
    const drained = without.supply.drains.filter((d) => Number.isFinite(d.days)).reduce((s, d) => s + d.amps, 0);
    expect(withIt.day.gearWh).toBeCloseTo(24 * ((drained * 13.5) / 0.86 + 0.003 * 12), 6);
    expect(withIt.day.whDay - without.day.whDay).toBeCloseTo(withIt.day.gearWh, 6);
    expect(withIt.trip!.minSoc).toBeLessThan(without.trip!.minSoc);
  });
  it('leaves a smaller one short: the days grow and do not end', () => {
    const hungry = (d: Design): Design => ({ ...d, supply: { ...d.supply, parkedMa: 5000 } });
    const days = of(hungry(kept())).supply.daysToNoCrank;
    expect(days).toBeGreaterThan(of(hungry(vet())).supply.daysToNoCrank);
    expect(days).toBeLessThan(10);
  });
  it('is taken out again without a trace', () => {
    const typed = kept();
    typed.runs['keeper-start'] = { outM: 3 };
    typed.runs['bus-keeper'] = { outM: 1 };
    const gone = done(typed, 'remove', { thing: 'keeper' });
    expect(gone).toEqual(vet());
    expect(of(gone)).toEqual(of(vet()));
  });
  it('is a stop on the wrong volts, on either side', () => {
    const said = (part: string): string[] =>
      of(kept(part))
        .open.filter((f) => f.rule === 'wrong-volts')
        .map((f) => `${f.values['part']}: ${f.values['has']} V on ${f.values['wants']} V`);
    expect(said('keep-4')).toEqual([]);
    expect(said('keep-12-24-3')).toEqual(['maintainer 12 to 24 V, 3 A, output: 24 V on 12 V']);
    expect(said('keep-24-12-4')).toEqual(['maintainer 24 to 12 V, 4 A: 24 V on 12 V']);
  });
  it('is offered where the engine would soon not crank, of the volts that are there, and once', () => {
    const flat = (d: Design): Design => ({ ...d, supply: { ...d.supply, parkedMa: 90 } });
    const presses = (d: Design): string[] => of(d).open.flatMap((f) => (f.rule === 'starting-battery-drains' ? f.presses.map((p) => p.label) : []));
    expect(presses(flat(vet()))).toEqual(['Fit a maintainer 4 A']);
    expect(presses(flat(kept()))).toEqual([]);
  });
  it('is proved by a clamp, and a dead one is among the faults', () => {
    const plan = testPlan(kept(), SHIPPED_CATALOGUE)!;
    expect(plan.groups.find((g) => g.id === 'kept')?.rows.map((r) => [r.id, Math.round(r.expected * 1000) / 1000])).toEqual([['kept.amps:keeper', 4]]);
    expect(faultBook(kept(), SHIPPED_CATALOGUE)!.faults.map((f) => f.id)).toContain('dead:keeper');
  });
});

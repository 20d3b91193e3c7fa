import { assess, type Assessment } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { circuitPlan, isolationMap, PARKED, settle, type CircuitState, type SettledState } from '../circuit/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf, type UsualSupply } from '../design/index.js';

function withPortable(portable: NonNullable<UsualSupply['sun']['portable']>, key = 'survey'): Design {
  const d = structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
  supplyOf(d).sun.portable = portable;
  return d;
}
const own = withPortable({ panel: 'pv-200-fold', regulated: true, into: 'bank', hours: 6 });
const shared = withPortable({ panel: 'pv-120-fold', regulated: false, into: 'panels', hours: 6 });
const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
function state(d: Design, s: Partial<CircuitState>): SettledState {
  const r = settle(circuitPlan(d, SHIPPED_CATALOGUE, of(d))!, { ...PARKED, loads: 'off', ...s });
  if (!r.ok) throw new Error(`${r.error}: ${r.at.join()}`);
  return r;
}

describe('a portable panel', () => {
  it('with its own regulator has a socket, a run to the bus bars and a fuse at their end', () => {
    const run = of(own).runs.find((r) => r.spec.id === 'portable-bus')!;
    if (!run.ok) throw new Error(run.error);
    expect(run.spec.ends.map((e) => [e.at, e.source])).toEqual([['to', 'house battery']]);
    expect(run.figures.currentA).toBeCloseTo((200 / 12) * 1.05, 6);
    expect(of(own).gear.map((g) => g.id)).toContain('portable');
    expect(of(own).order.lines.some((l) => l.what.startsWith('Anderson plug pair 50 A'))).toBeTrue();
  });

  it('without one joins the regulator of the roof, by a plug and no fuse', () => {
    const run = of(shared).runs.find((r) => r.spec.id === 'portable-regulator')!;
    expect([run.ok, run.spec.ends.length, run.spec.to.plus]).toEqual([true, 0, 'charger.sun+']);
  });

  it('gives in the sun while the vehicle stands, and not on the road or in the dark', () => {
    const amps = (d: Design, id: string, s: Partial<CircuitState>): number => Math.abs(state(d, s).runs.get(id)!.amp);
    expect(amps(own, 'portable-bus', { sun: 'full' })).toBeGreaterThan(4);
    expect(amps(own, 'portable-bus', { sun: 'none' })).toBeLessThan(1e-3);
    expect(amps(own, 'portable-bus', { sun: 'full', engine: 'cruise' })).toBeLessThan(1e-3);
    expect(amps(shared, 'portable-regulator', { sun: 'full' })).toBeGreaterThan(2);
    expect(amps(shared, 'portable-regulator', { sun: 'dull' })).toBeLessThan(2);
  });

  it('adds to what the roof brings to the bank', () => {
    const into = (d: Design): number =>
      -state(d, { sun: 'full' })
        .batteries.filter((b) => b.id.startsWith('battery'))
        .reduce((s, b) => s + b.amp, 0);
    const roof = structuredClone(own);
    supplyOf(roof).sun.portable = null;
    expect(into(own)).toBeGreaterThan(into(roof) + 3);
    expect(into(shared)).toBeGreaterThan(into(roof) + 1);
  });

  it('is named by what stays live', () => {
    const map = isolationMap(circuitPlan(own, SHIPPED_CATALOGUE, of(own))!);
    expect(map.rows.some((r) => r.cells.some((c) => c.by.includes('portable panel')))).toBeTrue();
  });
});

import { assess, type Assessment } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { doCommand } from '../commands/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { buildDiagram } from '../diagram/index.js';
import { circuitPlan, isolationMap, PARKED, settle, type SettledState } from './index.js';

/** The vet's job with a smaller second bank behind a selector, its lead so much longer. */
function twoBanks(count = 1): Design {
  const d = structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
  supplyOf(d).second = { part: 'bat-agm-120', count, joined: 'selector' };
  return d;
}
const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
function on(d: Design, bank: 'first' | 'second', loads: 'on' | 'off' = 'on'): SettledState {
  const r = settle(circuitPlan(d, SHIPPED_CATALOGUE, of(d))!, { ...PARKED, bank, loads });
  if (!r.ok) throw new Error(`${r.error}: ${r.at.join()}`);
  return r;
}

describe('a bank behind a selector', () => {
  const a = of(twoBanks());

  it('has a place, a lead and a main fuse of its own, judged for its own short', () => {
    expect(a.gear.find((g) => g.id === 'second')!.name).toBe('second battery 120 Ah');
    const lead = a.runs.find((r) => r.spec.id === 'second-bus')!;
    if (!lead.ok) throw new Error(lead.error);
    expect(lead.spec.ends.map((e) => e.at)).toEqual(['from']);
    const [fuse] = lead.figures.fuses;
    const main = a.runs.find((r) => r.spec.id === 'house-bus')!;
    // The AGM bank is the weaker one: its short is smaller than the lithium's.
    expect(fuse!.maxA).toBeGreaterThan(500);
    expect(main.ok && fuse!.maxA < main.figures.fuses[0]!.maxA).toBeTrue();
    expect(a.inline.find((p) => p.id === 'switch')!.name).toBe('selector');
  });

  it('is wired and turned to whatever it is called', () => {
    const done = doCommand(structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design), { do: 'addBank', with: { id: 'spare', part: 'bat-agm-120', selector: 'switch' } });
    if (!done.ok) throw new Error(done.message);
    const lead = of(done.design).runs.find((r) => r.spec.serves.id === 'spare');
    expect([lead?.spec.role, lead?.ok]).toEqual(['bank lead', true]);
    expect(on(done.design, 'second').batteries[0]!.gear).toBe('spare');
  });

  it('wants a switch with a position for each bank, which is taken at a press', () => {
    const [f] = of(twoBanks()).open.filter((x) => x.rule === 'selector-missing');
    expect(f!.presses.map((p) => p.label)).toEqual(['Take the battery selector 1-2-both-off 500 A', 'Join the banks in parallel']);
    const d = twoBanks();
    supplyOf(d).mainSwitch = 'sel-500';
    expect(of(d).open.some((x) => x.rule === 'selector-missing')).toBeFalse();
  });

  it('judges the far end of every other run by the bank that gives less', () => {
    const alone = of(structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design));
    const min = (x: Assessment): number => {
      const r = x.runs.find((y) => y.spec.id === 'bus-block')!;
      return r.ok ? r.figures.fuses[0]!.minA : 0;
    };
    expect(min(a)).toBeGreaterThan(0);
    expect(min(a)).toBeLessThan(0.95 * min(alone));
  });

  it('feeds everything through its own lead when it is chosen, and nothing when it is not', () => {
    const [first, second] = [on(twoBanks(), 'first'), on(twoBanks(), 'second')];
    expect([first.runs.has('second-bus'), second.runs.has('house-bus')]).toEqual([false, false]);
    expect(second.runs.get('second-bus')!.amp).toBeGreaterThan(1);
    expect(second.loads.map((l) => l.id)).toEqual(first.loads.map((l) => l.id));
    // Lead-acid under load stands lower than lithium.
    expect(second.batteries[0]!.volt).toBeLessThan(first.batteries[0]!.volt);
  });

  it('is reckoned at its own lead: a longer one loses more', () => {
    const far = twoBanks();
    far.runs['second-bus'] = { outM: 4, areaMm2: 70, fuseA: 225 };
    const near = twoBanks();
    near.runs['second-bus'] = { outM: 0.5, areaMm2: 70, fuseA: 225 };
    const volt = (d: Design): number => on(d, 'second').loads.find((l) => l.id === 'inverter')!.volt;
    expect(volt(far)).toBeLessThan(volt(near) - 0.1);
  });

  it('of several batteries has a lead for each', () => {
    const three = of(twoBanks(2));
    expect(three.runs.filter((r) => /^second\d-bus$/.test(r.spec.id)).length).toBe(2);
    expect(on(twoBanks(2), 'second').batteries.filter((b) => b.id.startsWith('battery')).length).toBe(2);
  });

  it('is drawn once, tested as live, and ordered', () => {
    const d = buildDiagram({ design: twoBanks(), gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: a.bond });
    const ids = new Set(d.nodes.map((n) => n.id));
    expect(d.nodes.filter((n) => n.gear === 'second').length).toBe(1);
    expect(d.lines.every((l) => ids.has(l.from.node) && ids.has(l.to.node))).toBeTrue();
    const map = isolationMap(circuitPlan(twoBanks(), SHIPPED_CATALOGUE, a)!);
    expect(map.rows.some((r) => r.cells.some((c) => c.by.includes('second battery')))).toBeTrue();
    expect(a.order.cuts.some((c) => c.name.startsWith('Second battery'))).toBeTrue();
  });
});

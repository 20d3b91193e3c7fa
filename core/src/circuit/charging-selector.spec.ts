import { assess, type Assessment } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { doCommand, doCommands, type Asked } from '../commands/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { supplyOf, type Design } from '../design/index.js';
import { buildDiagram } from '../diagram/index.js';
import { handOverPack } from '../handover/index.js';
import { labelsOf } from '../labels/index.js';
import { circuitPlan, isolationMap, namedStates, PARKED, settle, type CircuitState, type SettledState } from './index.js';

const SELECTOR: Asked = { do: 'chargingSelector', with: { part: 'sel-500' } };

/** The vet's job with a second bank behind a selector, without or with another for its chargers. */
function rig(...then: readonly Asked[]): Design {
  const d = structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
  supplyOf(d).second = { part: 'bat-lfp-200', count: 1, joined: 'selector' };
  supplyOf(d).mainSwitch = 'sel-500';
  d.places = {};
  const done = doCommands(d, then);
  if (!done.ok) throw new Error(done.message);
  return done.design;
}
const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
function at(d: Design, state: Partial<CircuitState>): SettledState {
  const r = settle(circuitPlan(d, SHIPPED_CATALOGUE, of(d))!, { ...PARKED, ...state });
  if (!r.ok) throw new Error(`${r.error}: ${r.at.join()}`);
  return r;
}
const sum = (r: SettledState, aside: boolean): number => r.batteries.filter((b) => b.string !== null && b.aside === aside).reduce((s, b) => s + b.amp, 0);
const DRIVING: Partial<CircuitState> = { engine: 'cruise', sun: 'full' };

describe('a selector of their own for the chargers', () => {
  const design = rig(SELECTOR);
  const a = of(design);

  it('stands in the chargers’ way alone: what they give ends at a bar of its own, what draws hangs on the bus bars', () => {
    expect(a.open.filter((f) => f.severity === 'stop').map((f) => f.key)).toEqual([]);
    const outputs = a.runs.filter((r) => r.spec.role === 'charger output' || r.spec.role === 'link');
    expect(outputs.length).toBeGreaterThan(0);
    for (const r of outputs) expect([r.spec.to.plus, r.spec.to.name]).toEqual(['charge+', 'charging bar']);
    for (const r of a.runs) if (r.spec.group === 'loads') expect(r.spec.from.plus).not.toBe('charge+');
    expect(a.inline.map((p) => p.name)).toEqual(jasmine.arrayContaining(['load selector', 'charging selector']));
  });

  it('is bought, placed, drawn, labelled, and stays live behind the loads’ selector', () => {
    expect(a.order.lines.find((l) => l.key === 'sel-500')!.quantity).toBe(2);
    expect(a.gear.find((g) => g.ref.in === 'switchgear' && g.id === 'charging')!.zone).toBe(a.gear.find((g) => g.id === 'bus')!.zone);
    const drawn = buildDiagram({ design, gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: null });
    expect(['charging', 'switch'].map((id) => drawn.nodes.find((n) => n.id === id)!.symbol)).toEqual(['charging selector', 'selector']);
    // Each bank at a contact of its own, and the chargers' selector linked to both.
    const into = (from: string): (number | undefined)[] => drawn.lines.filter((l) => l.to.node === 'switch' && (l.run ?? l.from.node) === from).map((l) => l.to.contact);
    expect([into('house-bus'), into('second-bus'), into('charging')]).toEqual([[1], [2], [1, 2]]);
    expect(labelsOf(design, SHIPPED_CATALOGUE, a).find((l) => l.key === 'charging bar')!.lines).toContain('stays live with the load selector off');
    const map = isolationMap(circuitPlan(design, SHIPPED_CATALOGUE, a)!);
    const [off, all] = [map.columns.findIndex((c) => c.name === 'main switch'), map.columns.findIndex((c) => c.opened.includes('main switch') && c.opened.includes('charging selector'))];
    const bar = map.rows.find((r) => r.name === 'charging bar')!;
    expect(bar.cells[off]!.by).toEqual(jasmine.arrayContaining(['house battery', 'second battery']));
    expect(bar.cells[all]!.by).not.toContain('house battery');
  });

  it('is explained to whoever drives off with it', () => {
    const cautions = (d: Design): string => handOverPack(d, of(d), 'ute', { readings: {}, plan: null, ticked: new Set() }).cautions.join(' ');
    expect(cautions(design)).toContain('Turn the charging selector with the chargers at rest');
    expect(cautions(rig())).toContain('Two banks by one selector');
    expect(cautions(DEMO_JOBS[0]!.design)).not.toContain('Two banks');
  });

  it('holds the main fuses to what it bears', () => {
    const small = of(rig({ do: 'chargingSelector', with: { part: 'sel-250' } }));
    for (const r of small.runs) if (r.spec.role === 'bank lead' && r.ok) expect(r.figures.fuseA * r.figures.perPole).toBeLessThanOrEqual(250);
    const main = small.runs.find((r) => r.spec.id === 'house-bus')!;
    expect(main.ok || main.window.to.kind === 'charging').toBeTrue();
  });

  it('turned to the bank in use it changes nothing but by its own contact', () => {
    const one = rig();
    for (const bank of ['first', 'second'] as const) {
      const [with2, with1] = [at(design, { ...DRIVING, bank }), at(one, { ...DRIVING, bank })];
      expect(Math.abs(sum(with2, false) - sum(with1, false))).toBeLessThan(0.5);
      expect(with2.batteries.some((b) => b.aside)).toBeFalse();
    }
  });

  it('turned to the other bank, one gives all that the loads draw and the other takes all that the chargers give', () => {
    for (const bank of ['first', 'second'] as const) {
      const r = at(design, { ...DRIVING, bank, charges: 'the other bank' });
      const drawn = r.loads.filter((l) => l.live && l.id !== 'vehicle').reduce((s, l) => s + l.amp, 0);
      const given = r.givers.filter((g) => g.id !== 'alternator').reduce((s, g) => s + g.amp, 0);
      expect(sum(r, false)).toBeCloseTo(drawn, 3);
      expect(sum(r, true)).toBeCloseTo(-given, 3);
      expect(given).toBeGreaterThan(5);
      const [inUse, other] = bank === 'first' ? ['house', 'second'] : ['second', 'house'];
      expect(r.batteries.filter((b) => b.string !== null).map((b) => [b.gear, b.aside])).toEqual([
        [inUse, false],
        [other, true],
      ]);
    }
  });

  it('leaves the loads’ side as it stands with the chargers off, and the chargers’ side as with the loads off, but for the shunt they share', () => {
    const apart = at(design, { ...DRIVING, charges: 'the other bank' });
    const [dark, full] = [at(design, { ...DRIVING, charging: 'off' }), at(design, { ...DRIVING, bank: 'second', loads: 'off' })];
    const load = (r: SettledState): number => r.loads.find((l) => l.live && l.id !== 'vehicle')!.volt;
    expect(load(apart)).toBeCloseTo(load(dark), 2);
    expect(sum(apart, true)).toBeCloseTo(sum(full, false), 0);
  });

  it('names the states that it makes possible, and no others have them', () => {
    const plan = circuitPlan(design, SHIPPED_CATALOGUE, a)!;
    const names = Object.keys(namedStates(plan));
    expect(names).toContain('everything charges the other bank');
    expect(Object.keys(namedStates({ ...plan, inline: plan.inline.filter((p) => p.id !== 'charging') }))).not.toContain('everything charges the other bank');
    expect(Object.keys(namedStates({ ...plan, second: null })).some((n) => n.includes('second'))).toBeFalse();
    for (const [name, state] of Object.entries(namedStates(plan))) if (name !== 'main switch open') expect(settle(plan, state).ok).withContext(name).toBeTrue();
  });
});

describe('a second bank', () => {
  const rules = (part: string, change: (d: Design) => void = () => undefined): string[] => {
    const d = rig();
    supplyOf(d).second = { part, count: 1, joined: 'selector' };
    change(d);
    return of(d)
      .findings.filter((f) => String(f.values['what']).includes('second') || f.rule === 'lithium-unlimited')
      .map((f) => f.rule);
  };

  it('is judged as the first is: what it gives to the inverter, what it takes, and whether the chargers know its kind', () => {
    expect(rules('bat-lfp-200')).toEqual([]);
    expect(rules('bat-lfp-100')).toContain('inverter-over-battery');
    expect(rules('bat-agm-100')).toContain('charge-over-limit');
    expect(rules('bat-agm-100', (d) => (supplyOf(d).dcdc = 'dcdc-30-one'))).not.toContain('profile-missing');
    const lead = (d: Design): void => {
      supplyOf(d).battery = { part: 'bat-agm-100', count: 2 };
      supplyOf(d).dcdc = 'dcdc-30-one';
    };
    expect(rules('bat-lfp-200', lead)).toContain('profile-missing');
    const link = (d: Design): void => {
      lead(d);
      supplyOf(d).isolation = 'isolator';
      supplyOf(d).isolator = 'iso-100';
    };
    expect(rules('bat-lfp-200', link)).toContain('lithium-unlimited');
  });
});

describe('what a charging selector needs', () => {
  const refusal = (d: Design, part: string): string => {
    const done = doCommand(d, { do: 'chargingSelector', with: { part } });
    return done.ok ? '' : done.message;
  };

  it('is refused as a switch of one position, as no switch at all, and for one bank', () => {
    expect(refusal(rig(), 'sw-300')).toMatch(/^part: sw-300 has one position; sel-250, sel-500 are accepted/);
    expect(refusal(rig(), 'nothing')).toMatch(/^part: nothing/);
    expect(refusal(DEMO_JOBS[0]!.design, 'sel-250')).toMatch(/there is one bank/);
  });

  it('goes with the second bank, is changed in its place, and is taken out again', () => {
    const changed = rig(SELECTOR, { do: 'chargingSelector', with: { part: 'sel-250' } });
    expect(
      Object.entries(changed.switchgear)
        .filter(([, s]) => s.does === 'charging selector')
        .map(([, s]) => s.part),
    ).toEqual(['sel-250']);
    expect(Object.values(rig(SELECTOR, { do: 'chargingSelector', with: { part: null } }).switchgear).some((s) => s.does === 'charging selector')).toBeFalse();
    expect(Object.values(rig(SELECTOR, { do: 'remove', with: { thing: 'second' } }).switchgear).some((s) => s.does === 'charging selector')).toBeFalse();
    const joined = rig(SELECTOR);
    supplyOf(joined).second!.joined = 'parallel';
    expect(Object.values(joined.switchgear).some((s) => s.does === 'charging selector')).toBeFalse();
    const more = rig(SELECTOR);
    supplyOf(more).second = { part: 'bat-lfp-100', count: 2, joined: 'selector' };
    expect(Object.values(more.switchgear).some((s) => s.does === 'charging selector')).toBeTrue();
  });

  it('is a stop where it has one position or nothing to choose, each with a press that mends it', () => {
    const broken = rig(SELECTOR);
    broken.switchgear['charging']!.part = 'sw-300';
    const [f] = of(broken).open.filter((x) => x.rule === 'charging-selector');
    expect([f!.severity, f!.values['what']]).toEqual(['stop', 'position']);
    expect(f!.presses[0]!.label).toBe('Take the battery selector 1-2-both-off 500 A, 500 A');
    const alone = rig(SELECTOR);
    delete alone.banks['second'];
    const [g] = of(alone).open.filter((x) => x.rule === 'charging-selector');
    expect([g!.severity, g!.presses[0]!.label]).toEqual(['stop', 'Take it out']);
  });
});

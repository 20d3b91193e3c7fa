import { assess } from '../assess/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { circuitPlan, isolationMap, PARKED, settle } from '../circuit/index.js';
import { editDesign, type Design } from '../design/index.js';
import { faultBook } from '../faults/index.js';
import { settingsSheet } from '../supply/index.js';
import { supplyFlow } from '../supply-flow/index.js';
import { testPlan } from '../test-plan/index.js';
import { after, refusal } from '../testing/commanded.js';
import { EXAMPLE_RIGS } from '../testing/rigs.js';
import { broughtShare, plant, stepLoad, stepOf, withPort } from './index.js';

/** A 24 V truck whose 12 V charger with a sun input hangs on a 24-to-12 box. */
const rig = EXAMPLE_RIGS.find((r) => r.key === 'box-behind-a-box')!.design;
const catalogue = catalogueOf(rig);
const [step, charger] = ['charger', 'sun-charger'];
const of = (d: Design): ReturnType<typeof assess> => assess(d, catalogue);

describe('a box that feeds another box', () => {
  const a = of(rig);

  it('charges no bank itself; what stands behind it is fed by the vehicle, over it', () => {
    const [x, y] = withPort(plant(rig, catalogue), 'dcIn');
    expect([x!.charges, x!.feeds.map((f) => f.id)]).toEqual([null, [charger]]);
    expect(y!.inputs.find((i) => i.by === 'vehicle')!.through!.id).toBe(step);
    expect(stepOf(plant(rig, catalogue), y!)!.ref.id).toBe(step);
    expect(a.open.filter((f) => f.severity === 'stop')).toEqual([]);
  });

  it('has a feed with a fuse and gives over a run without one, whose cable bears all that it can give', () => {
    const run = (id: string): (typeof a.runs)[number] => a.runs.find((r) => r.spec.id === id)!;
    const between = run(`start-${charger}`);
    expect([between.spec.from.name, between.spec.ends, between.spec.lastingA]).toEqual(['24-to-12 box', [], 40]);
    expect(between.ok && between.figures.ampacityA * between.figures.perPole).toBeGreaterThanOrEqual(40);
    expect(run(`start-${step}`).spec.ends.map((e) => e.source)).toEqual(['starting battery']);
    expect(a.runs.filter((r) => r.spec.role === 'charger output').map((r) => r.spec.serves.id)).toEqual([charger]);
  });

  it('takes of the engine what the charger takes, over both efficiencies', () => {
    const inW = (14.4 * 25) / 0.88 / 0.88;
    expect(a.supply.alternator.wanted.roadA * 28.4).toBeCloseTo(inW, 0);
    const p = circuitPlan(rig, catalogue, a)!;
    const s = settle(p, { ...PARKED, engine: 'cruise', loads: 'on' });
    if (!s.ok) throw new Error(s.error);
    const [x, y] = [step, charger].map((id) => s.givers.find((g) => g.id === id)!);
    expect([s.steady, x!.mode, y!.mode]).toEqual([true, 'holding', 'all its amps']);
    // What the one gives arrives at the other but for what the cable loses.
    expect(x!.volt * x!.amp).toBeGreaterThan(y!.inW);
    expect(x!.volt * x!.amp - y!.inW).toBeLessThan(8);
    expect(x!.inW).toBeCloseTo((x!.volt * x!.amp) / 0.88, 0);
  });

  it('gives nothing with the engine off, and its volts fall to nothing', () => {
    const s = settle(circuitPlan(rig, catalogue, a)!, { ...PARKED, loads: 'on' });
    if (!s.ok) throw new Error(s.error);
    expect(s.givers.map((g) => g.id)).not.toContain(charger);
    expect(s.runs.get(`start-${charger}`)!.toV).toBeCloseTo(0, 3);
  });

  it('waits at the starting battery once, by its own name, whatever hangs on it', () => {
    const two = after(rig, { do: 'addConverter', with: { id: 'b', part: 'dcdc-20' } }, { do: 'hang', with: { thing: 'b', on: step } });
    const waiting = of(two).supply.drains.filter((d) => d.path.includes('waiting'));
    expect(waiting.map((d) => d.path)).toEqual(['DC-DC charger 24 to 12 V, 40 A waiting']);
  });

  it('too small, it is a stop; half power behind it or a larger box ends that', () => {
    const small = after(rig, { do: 'changeThing', with: { thing: step, set: { part: 'dcdc-24-12-30' } } }, { do: 'changeThing', with: { thing: charger, set: { part: 'dcdc-40-dual' } } });
    const p = plant(small, catalogue);
    const { bringsW, takenW } = stepLoad(p, stepOf(p, withPort(p, 'dcIn')[1]!)!);
    expect([Math.round(bringsW), Math.round(takenW)]).toEqual([414, 655]);
    expect(broughtShare(p, withPort(p, 'dcIn')[0]!)).toBeCloseTo(414 / 654.5, 3);
    // Where the air leaves it less, what it brings is so much less.
    expect(broughtShare(p, withPort(p, 'dcIn')[0]!, 0.5)).toBeCloseTo(207 / 654.5, 3);
    const found = of(small).open.find((f) => f.rule === 'step-short')!;
    expect(found.severity).toBe('stop');
    expect(found.presses.length).toBeGreaterThan(0);
    for (const press of found.presses) {
      const done = editDesign(small, press.patch);
      if (!done.ok) throw new Error(done.message);
      const next = stepLoad(plant(done.design, catalogue), withPort(plant(done.design, catalogue), 'dcIn')[0]!);
      expect(next.takenW).withContext(press.label).toBeLessThanOrEqual(next.bringsW);
    }
  });

  it('of other volts than the charger takes is found', () => {
    const wrong = after(rig, { do: 'changeThing', with: { thing: step, set: { part: 'dcdc-24-24-25' } } });
    expect(of(wrong).open.find((f) => f.rule === 'wrong-volts')!.values).toEqual(jasmine.objectContaining({ has: 12, wants: 24 }));
  });

  it('is switched by its own trigger; the charger behind it by what it gives', () => {
    expect(
      settingsSheet(rig, catalogue, a.supply.bank, a.supply.arrays)
        .filter((s) => s.setting === 'trigger')
        .map((s) => s.value),
    ).toEqual(['ignition wire', 'joined to its own input']);
    expect(settingsSheet(rig, catalogue, a.supply.bank, a.supply.arrays).find((s) => s.setting === 'charge profile')!.value).toBe('power supply, 13.8 V');
    expect(a.layout.leads.filter((l) => l.kind === 'trigger').map((l) => l.to)).toEqual([step]);
    const ids = faultBook(rig, catalogue)!.faults.map((f) => f.id);
    expect(ids).toContain(`dead:${step}`);
    expect(ids).toContain(`no-trigger:${step}`);
    expect(ids).not.toContain(`no-trigger:${charger}`);
    expect(ids).not.toContain(`profile:${step}`);
    expect(testPlan(rig, catalogue)!.groups.flatMap((g) => g.rows.map((r) => r.id))).toContain(`engine.out-volts:${step}`);
  });

  it('is drawn between the engine and the charger, and stays live with it', () => {
    const flow = supplyFlow(rig, catalogue, a);
    expect(flow.things.find((t) => t.id === step)!.column).toBe('brings');
    expect(flow.flows.filter((f) => f.kind === 'engine').map((f) => `${f.from} ${f.to}`)).toEqual(['starting charger', 'charger sun-charger', 'sun-charger house']);
    const map = isolationMap(circuitPlan(rig, catalogue, a)!);
    const at = map.rows.find((r) => r.gear === charger)!;
    expect(at.cells[0]!.by.join()).toContain('24-to-12 box');
  });

  it('is hung by one command, refused in words, and let go again', () => {
    const plain = after(rig, { do: 'remove', with: { thing: charger } });
    expect(plain.converters[step]!.bank).toBe('house');
    const two = after(plain, { do: 'addConverter', with: { id: 'b', part: 'dcdc-25-dual' } }, { do: 'hang', with: { thing: 'b', on: step } });
    expect([two.converters[step]!.bank, two.converters['b']!.from]).toEqual([null, { in: 'converters', id: step }]);
    const back = after(two, { do: 'hang', with: { thing: 'b', on: 'starting' } });
    expect(back.converters[step]!.bank).toBe('house');
    expect(after(two, { do: 'remove', with: { thing: step } }).converters['b']!.from).toEqual({ in: 'vehicles', id: 'starting' });
    const three = after(two, { do: 'addConverter', with: { id: 'c', part: 'dcdc-20' } });
    expect(refusal(three, { do: 'hang', with: { thing: 'c', on: 'b' } })).toBe('from: b is fed by another box itself; one box before a charger is accepted, not two');
    expect(refusal(three, { do: 'hang', with: { thing: step, on: 'c' } })).toBe('from: charger feeds another box itself; one box before a charger is accepted, not two');
    const mains = after(three, { do: 'addConverter', with: { id: 'm', part: 'mc-15' } });
    expect(refusal(after(rig, { do: 'addConverter', with: { id: 'c', part: 'dcdc-20' } }), { do: 'hang', with: { thing: 'c', on: charger } })).toContain('from: sun-charger charges from panels too');
    expect(refusal(mains, { do: 'hang', with: { thing: 'c', on: 'm' } })).toContain('from: m has no DC output that another box takes');
  });

  it('on the charger’s own bank is a stop, until a press lets it feed the charger alone', () => {
    const both = structuredClone(rig);
    both.converters[step]!.bank = 'house';
    const found = of(both).open.find((f) => f.rule === 'not-carried')!;
    const done = editDesign(both, found.presses[0]!.patch);
    if (!done.ok) throw new Error(done.message);
    expect(done.design.converters[step]!.bank).toBeNull();
    expect(of(done.design).open.some((f) => f.rule === 'not-carried')).toBeFalse();
  });

  it('has no panels of its own: they would charge nothing', () => {
    const odd = structuredClone(rig);
    odd.arrays['panel']!.into = { in: 'converters', id: step };
    expect(of(odd).open.find((f) => f.rule === 'not-carried')!.values['what']).toBe('panels on a box that feeds another box alone');
  });

  it('goes along when the bank behind it stands apart', () => {
    const shed = structuredClone(rig);
    shed.banks['shed'] = { ...shed.banks['house']!, order: 9, batteries: { 'shed-cells': Object.values(shed.banks['house']!.batteries)[0]! } };
    shed.converters[charger]!.bank = 'shed';
    const { vehicles, converters } = after(shed, { do: 'changeThing', with: { thing: step, set: { name: 'box' } } });
    expect(Object.keys(converters)).toEqual([]);
    expect(Object.keys(vehicles['shed']!.converters)).toEqual([step, charger]);
  });
});

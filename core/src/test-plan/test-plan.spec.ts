import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { blankDesign, copyDesign, type Design, OWN, recordKey, recordsOf, supplyOf } from '../design/index.js';
import { after } from '../testing/commanded.js';
import { besideKey, impossiblePairs, judgeRow, testPlan, type TestGroup, type TestPlan, type TestRow } from './index.js';

const demo = (key: string): Design => copyDesign(DEMO_JOBS.find((j) => j.key === key)!.design);
const planOf = (design: Design): TestPlan => testPlan(design, SHIPPED_CATALOGUE)!;
const groupOf = (plan: TestPlan, id: string): TestGroup => plan.groups.find((g) => g.id === id)!;
const rowOf = (plan: TestPlan, id: string): readonly [TestRow, TestGroup] => {
  const group = plan.groups.find((g) => g.rows.some((r) => r.id === id))!;
  return [group.rows.find((r) => r.id === id)!, group];
};

describe('the test plan', () => {
  const vet = planOf(demo('vet'));
  const [inV, inA, outV, outA] = vet.converters[0]!.rows;

  it('is none without a circuit', () => {
    const bare = blankDesign('Spinifex Track Care');
    supplyOf(bare).battery.part = null;
    expect(testPlan(bare, SHIPPED_CATALOGUE)).toBeNull();
  });

  it('brings a rig up in order: still, loaded, each source alone, held', () => {
    expect(vet.groups.map((g) => g.id)).toEqual(['rest', 'loads', 'idle', 'engine', 'sun', 'full', 'set points', 'soak']);
    expect(planOf(demo('bookmobile')).groups.map((g) => g.id)).toContain('mains');
  });
  it('has every reading once, in words, with a tolerance, in every demo job', () => {
    for (const { design, key } of DEMO_JOBS) {
      const rows = planOf(design).groups.flatMap((g) => g.rows);
      expect(new Set(rows.map((r) => r.id)).size)
        .withContext(key)
        .toBe(rows.length);
      for (const r of rows)
        expect([r.where.length > 8, r.tolerance > 0, Number.isFinite(r.expected)])
          .withContext(`${key} ${r.id}`)
          .toEqual([true, true, true]);
    }
  });
  it('keeps its readings with the vehicle they belong to, in a job of several', () => {
    const kept = Object.fromEntries(vet.groups.flatMap((g) => [...g.rows.map((r) => r.id), ...g.also.map((what) => besideKey(g.id, what))]).map((id) => [recordKey(OWN, id), 1]));
    expect(recordsOf(OWN, kept)).toEqual(kept);
    expect(recordsOf('camper', Object.fromEntries(Object.keys(kept).map((id) => [recordKey('camper', id), 1])))).toEqual(kept);
  });
  it('reads each battery of a bank, each box, each array', () => {
    const plan = planOf(demo('bookmobile'));
    const ids = plan.groups.flatMap((g) => g.rows.map((r) => r.id));
    for (const id of ['rest.volts:battery1', 'rest.volts:battery2', 'loads.amps:battery2', 'rest.draw', 'idle.volts:starting', 'loads.display-clamp']) expect(ids).toContain(id);
    expect(groupOf(plan, 'sun').rows.map((r) => r.unit)).toEqual(['V', 'A', 'V']);
    expect(groupOf(plan, 'mains').rows.length).toBeGreaterThan(0);
  });
  it('turns to a second bank, and has the charge go where the charging selector stands', () => {
    const two = after(demo('vet'), { do: 'addBank', with: { id: 'spare', part: 'bat-lfp-100', selector: 'switch' } });
    const one = planOf(two);
    const at = (plan: TestPlan, id: string): number => rowOf(plan, id)[0].expected;
    expect(one.groups.map((g) => g.id)).toEqual(['rest', 'loads', 'idle', 'engine', 'sun', 'second', 'full', 'set points', 'soak']);
    expect(at(one, 'second.amps:house')).toBe(0);
    expect(at(one, 'second.amps:spare')).toBeGreaterThan(5);
    expect(rowOf(one, 'second.volts:spare')[0].tolerance).toBeGreaterThanOrEqual(0.5);
    const plan = planOf(after(two, { do: 'chargingSelector', with: { part: 'sel-500' } }));
    expect(at(plan, 'apart.amps:spare')).toBeGreaterThan(20);
    // What is in use carries the loads and is given nothing.
    expect(at(plan, 'apart.amps:house') / at(plan, 'second.amps:spare')).toBeCloseTo(1, 1);
    const [row, group] = rowOf(plan, 'apart.amps:spare');
    expect(judgeRow(row, group, { [row.id]: 0 })!.verdict).toBe('off');
    expect(row.look).toContain('charging selector');
  });
  it('expects of a charger what the solved network gives: amps out as rated, more watts in than out', () => {
    const at = (id: string): number => rowOf(vet, id)[0].expected;
    expect(at(outA)).toBeCloseTo(40, 0);
    const ratio = (at(outV) * at(outA)) / (at(inV) * at(inA));
    expect(ratio).toBeGreaterThan(0.8);
    expect(ratio).toBeLessThan(0.98);
  });
  it('calls a bank at rest right from half to full', () => {
    const [row, group] = rowOf(vet, 'rest.volts:battery1');
    for (const volt of [13.1, 13.4]) expect(judgeRow(row, group, { [row.id]: volt })!.verdict).toBe('agrees');
    expect(judgeRow(row, group, { [row.id]: 11.2 })!.verdict).toBe('off');
  });
  it('never calls that a fault which a full bank or a dull sky explains', () => {
    const [charger, engine] = rowOf(vet, outA);
    const low = { [charger.id]: 12 };
    expect(judgeRow(charger, engine, low)!.verdict).toBe('off');
    expect(judgeRow(charger, engine, { ...low, [besideKey('engine', 'charge')]: 60 })!.verdict).toBe('off');
    const full = judgeRow(charger, engine, { ...low, [besideKey('engine', 'charge')]: 97 })!;
    expect([full.verdict, full.say]).toEqual(['not-yet', jasmine.stringContaining('nearly full')]);
    const panels = groupOf(vet, 'sun').rows.find((r) => r.unit === 'A')!;
    const dull = judgeRow(panels, groupOf(vet, 'sun'), { [panels.id]: 2, [besideKey('sun', 'sun')]: 300 })!;
    expect([dull.verdict, dull.say]).toEqual(['not-yet', jasmine.stringContaining('light is too weak')]);
    const [volts] = rowOf(vet, inV);
    expect(judgeRow(volts, engine, { [inV]: 12.3 })!.verdict).toBe('off');
    expect(judgeRow(volts, engine, { [inV]: 12.3, [besideKey('engine', 'charge')]: 97 })!.verdict).toBe('not-yet');
    expect(judgeRow(charger, engine, { [charger.id]: 70, [besideKey('engine', 'charge')]: 97 })!.verdict).toBe('off');
    // Open volts are not excused by a full bank.
    const open = groupOf(vet, 'sun').rows[0]!;
    expect(judgeRow(open, groupOf(vet, 'sun'), { [open.id]: 8, [besideKey('sun', 'charge')]: 100 })!.verdict).toBe('off');
  });
  it('says where to look when something draws while it is parked', () => {
    const [row, group] = rowOf(vet, 'rest.draw');
    expect(judgeRow(row, group, { [row.id]: 0.04 })!.verdict).toBe('agrees');
    expect(judgeRow(row, group, { [row.id]: 0.6 })!.say).toContain('pull fuses one at a time');
  });
  it('finds four readings at a charger that cannot be true together, and the likeliest liar', () => {
    const pair = impossiblePairs(vet, { [inV]: 9.2, [inA]: 20, [outV]: 13.9, [outA]: 15 });
    expect(pair.map((p) => p.say)).toEqual([jasmine.stringMatching(/184 W in and 209 W out, 1\.13 of it: the four cannot be true together\. Of the four the amps out/)]);
    expect(impossiblePairs(vet, { [inV]: 11.9, [inA]: 51.9, [outV]: 13.6, [outA]: 40 })).toEqual([]);
    expect(impossiblePairs(vet, { [inV]: 9.2, [inA]: 20, [outV]: 13.9 })).toEqual([]);
  });
  it('asks for nothing of the engine where nothing hangs on one', () => {
    const d = demo('vet');
    for (const [id, c] of Object.entries(d.converters)) if (SHIPPED_CATALOGUE.parts.find((p) => p.id === c.part)?.kind === 'dcdc') delete d.converters[id];
    d.links = {};
    const plan = planOf(d);
    for (const stand of ['idle', 'engine', 'full']) expect(plan.groups.map((g) => g.id)).not.toContain(stand);
    expect(plan.converters).toEqual([]);
  });
  it('reads what switches by itself at its set point: isolator, disconnect, fan', () => {
    const bees = demo('bees');
    bees.air['box'] = { outM3h: 60, inM3h: 60, fromC: 40 };
    const points = groupOf(planOf(bees), 'set points');
    const part = SHIPPED_CATALOGUE.find('isolator', Object.values(bees.links)[0]!.part)!;
    const at = (id: string): TestRow => points.rows.find((r) => r.id.startsWith(id))!;
    expect([at('set.closes:').expected, at('set.fan:box').expected, at('set.fan:box').unit]).toEqual([part.closeV, 40, '°C']);
    expect(at('set.fan:box').where).toContain('under-tray box');
    const says = (id: string, value: number): readonly string[] => {
      const j = judgeRow(at(id), points, { [at(id).id]: value })!;
      return [j.verdict, j.say];
    };
    expect(says('set.fan:box', 42)[0]).toBe('agrees');
    expect(says('set.fan:box', 55)).toEqual(['off', jasmine.stringContaining('thermostat’s bulb')]);
    expect(says('set.closes:', part.closeV + 0.1)[0]).toBe('agrees');
    expect(says('set.closes:', part.closeV - 0.9)).toEqual(['off', jasmine.stringContaining('sense lead')]);
  });
});

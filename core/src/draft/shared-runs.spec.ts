import { assess, type Assessment } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { circuitPlan, isolationMap, PARKED, settle } from '../circuit/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import type { Design, Feed, Trace } from '../design/index.js';
import { buildDiagram } from '../diagram/index.js';
import { carriesA } from '../protection/index.js';
import type { SizedRun } from '../routes/index.js';
import { inWords } from '../rules/index.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
const run = (a: Assessment, id: string): Extract<SizedRun, { ok: true }> => {
  const r = a.runs.find((x) => x.spec.id === id);
  if (!r?.ok) throw new Error(`${id}: ${r ? r.error : 'not there'}`);
  return r;
};
const said = (d: Design, rule: string): string =>
  of(d)
    .findings.filter((f) => f.rule === rule)
    .map((f) => `${inWords(f).say} ${inWords(f).fix}`)
    .join(' | ');

/** Lights and fan of the bookmobile behind one row of switches. */
function behindSwitches(fuses: 'one for all' | 'one each' = 'one for all'): Design {
  const d = demo('bookmobile');
  d.groups = { g1: { order: 1, name: 'ceiling switches', kind: 'switch bank', fuses } };
  for (const id of ['l1', 'l2', 'l6']) d.loads[id]!.feed = { by: 'group', group: 'g1' };
  return d;
}

const WIRE: Trace = {
  order: 1,
  colour: 'brown',
  from: 'fuse box',
  to: 'rear lamp',
  live: 'always',
  areaMm2: 2.5,
  lengthM: 4,
  fuseA: 10,
  verdict: 'keep',
  run: null,
  fedFrom: 'house',
  presentA: 2,
  slot: 'F7, left blade',
  safety: false,
};

/** One load of the vet's on a wire that is there. */
function onWire(wire: Partial<Trace> = {}, how: Extract<Feed, { by: 'wire' }>['how'] = 'joint', load = 'examination light'): Design {
  const d = demo('vet');
  d.brief.traces['w1'] = { ...WIRE, ...wire };
  const [id] = Object.entries(d.loads).find(([, l]) => l.name === load)!;
  d.loads[id]!.feed = { by: 'wire', wire: 'w1', how };
  return d;
}

describe('loads behind one row of switches', () => {
  const a = of(behindSwitches());
  const feed = run(a, 'group-g1');
  const tails = ['l1', 'l2', 'l6'].map((id) => run(a, `load-${id}`));

  it('share a feed that carries them all, with one fuse', () => {
    expect(feed.spec.from.gear).toBe('block');
    expect(feed.figures.currentA).toBeGreaterThanOrEqual(tails.reduce((s, t) => s + t.figures.currentA, 0) - 1e-9);
    expect(carriesA('blade', feed.figures.fuseA, feed.spec.fuseAirC)).toBeGreaterThanOrEqual(feed.figures.currentA - 1e-9);
    expect(a.runs.filter((r) => r.spec.from.gear === 'block').length).toBe(of(demo('bookmobile')).runs.filter((r) => r.spec.from.gear === 'block').length - 2);
  });

  it('have tails that the feed’s fuse protects: none thinner than it allows, a short at each far end clears by it', () => {
    for (const t of tails) {
      expect([t.spec.protectedBy, t.spec.ends.length]).toEqual(['group-g1', 0]);
      expect(t.figures.fuseA).toBe(feed.figures.fuseA);
      expect(t.figures.ampacityA).toBeGreaterThanOrEqual(feed.figures.fuseA);
      expect(t.figures.fuses.map((f) => [f.of, f.fault!.clearsIn5s && f.fault!.cableSurvives])).toEqual([['group-g1', true]]);
      expect(t.figures.pathDropPercent).toBeLessThanOrEqual(t.spec.pathLimitPercent! + 1e-9);
    }
  });

  it('find a tail that a person made too thin for that fuse', () => {
    const d = behindSwitches();
    d.loads['l6']!.draw = { by: 'plate', unit: 'A', value: 18 };
    d.runs['load-l2'] = { areaMm2: 0.5 };
    expect(run(of(d), 'group-g1').figures.fuseA).toBeGreaterThan(20);
    expect(said(d, 'run-fails')).toMatch(/step light: a \d+ A fuse does not protect the cable of \d+ A/);
  });

  it('may each have a fuse of their own instead, which then opens before the feed’s', () => {
    const each = of(behindSwitches('one each'));
    expect(run(each, 'load-l2').spec.ends.map((e) => e.at)).toEqual(['from']);
    expect(run(each, 'load-l2').figures.fuseA).toBeLessThan(run(each, 'group-g1').figures.fuseA);
    expect(each.order.lines.find((l) => l.what.startsWith('switch bank'))!.what).toBe('switch bank, 3 ways, a fuse in each');
  });

  it('stand in the circuit: they are fed through their feed, and dark with it', () => {
    const plan = circuitPlan(behindSwitches(), SHIPPED_CATALOGUE, a)!;
    const r = settle(plan, PARKED);
    if (!r.ok) throw new Error(r.error);
    const through = ['l1', 'l2', 'l6'].reduce((s, id) => s + r.runs.get(`load-${id}`)!.amp, 0);
    expect(r.runs.get('group-g1')!.amp).toBeCloseTo(through, 6);
    const cut = circuitPlan(behindSwitches(), SHIPPED_CATALOGUE, { ...a, runs: a.runs.filter((x) => x.spec.id !== 'group-g1') })!;
    expect(cut.leftOut.length).toBe(3);
    const without = settle(cut, PARKED);
    expect(without.ok && without.loads.map((l) => l.id).filter((id) => ['load:l1', 'load:l2', 'load:l6'].includes(id))).toEqual([]);
    expect(isolationMap(plan).rows.some((row) => row.gear === 'load:l1')).toBeTrue();
  });

  it('are drawn once, with one fuse for all', () => {
    const d = buildDiagram({ design: behindSwitches(), gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: a.bond });
    expect(d.nodes.filter((n) => n.id === 'group:g1').length).toBe(1);
    expect(d.nodes.filter((n) => n.run === 'load-l2' && n.symbol === 'fuse').length).toBe(0);
    expect(d.nodes.filter((n) => n.run === 'group-g1' && n.symbol === 'fuse').length).toBe(1);
  });

  it('are said where their feed is gone', () => {
    const d = behindSwitches();
    d.groups = {};
    expect(said(d, 'feed-missing').split(' | ').length).toBe(3);
  });
});

describe('a load on a wire that is there', () => {
  it('keeps wire and fuse as traced, adds what it draws, and buys neither', () => {
    const a = of(onWire());
    const there = run(a, 'wire-w1');
    expect([there.figures.areaMm2, there.figures.fuseA, there.spec.outM, there.spec.existing]).toEqual([2.5, 10, 4, true]);
    const added = run(a, a.runs.find((r) => r.spec.parent === 'wire-w1')!.spec.id);
    expect(Math.abs(there.figures.currentA - 2 - added.figures.currentA)).toBeLessThan(0.1 * added.figures.currentA);
    expect(a.order.cuts.some((c) => c.run === there.spec.number)).toBeFalse();
    expect(a.order.cuts.some((c) => c.run === added.spec.number)).toBeTrue();
    expect(a.fit.map((s) => s.id)).toContain('tap-wire-w1');
    expect(a.fit.map((s) => s.id)).not.toContain('pull-wire-w1');
    expect(a.findings.filter((f) => f.rule.startsWith('tap-')).map((f) => f.rule)).toEqual([]);
  });

  it('is told when it no longer fits: by the fuse, by the wire, by what is lost', () => {
    expect(said(onWire({ presentA: 7.9 }), 'run-fails')).toMatch(/10 A fuse carries less than the .* Never raise the fuse of a wire that is there/);
    expect(said(onWire({ areaMm2: 0.75, fuseA: 30 }), 'run-fails')).toMatch(/30 A fuse does not protect the cable/);
    expect(said(onWire({ areaMm2: 1, lengthM: 14, presentA: 5 }), 'run-fails')).toMatch(/: \d+\.\d % at the .*; the limit is 3 %/);
  });

  it('is not hung on what nobody has measured', () => {
    for (const gap of ['areaMm2', 'fuseA', 'presentA'] as const) {
      const d = onWire({ [gap]: null });
      expect(of(d).runs.some((r) => r.spec.id === 'wire-w1')).toBeFalse();
      expect(said(d, 'tap-unknown')).toContain('brown wire to rear lamp, but not known');
    }
  });

  it('is refused on a safety circuit, on a dead wire, and on a piercing tap that carries much', () => {
    expect(said(onWire({ safety: true }), 'tap-unsafe')).toContain('safety circuit');
    expect(said(onWire({ live: 'never' }), 'tap-not-live')).toContain('is live: never');
    expect(said(onWire({ live: 'not tested' }), 'tap-not-live')).toContain('nobody has tested');
    const severity = (d: Design): string[] =>
      of(d)
        .findings.filter((f) => f.rule === 'tap-piercing')
        .map((f) => f.severity);
    expect(severity(onWire({}, 'piercing tap'))).toEqual(['look']);
    const heavy = onWire({ areaMm2: 6, fuseA: 15 }, 'piercing tap');
    for (const l of Object.values(heavy.loads)) if (l.feed.by === 'wire') l.draw = { by: 'plate', unit: 'A', value: 6 };
    expect(severity(heavy)).toEqual(['stop']);
    expect(severity(onWire())).toEqual([]);
  });

  it('of the house side, with what hung on it before, is carried by the main run it is sized for', () => {
    const d = onWire({ areaMm2: 16, fuseA: 40, presentA: 25 });
    const a = of(d);
    const demand = (x: Assessment): number => {
      const { demand: of } = run(x, 'house-bus').spec;
      return 'currentA' in of ? of.currentA : 0;
    };
    expect(demand(a)).toBeGreaterThan(demand(of(demo('vet'))) + 24);
    const r = settle(circuitPlan(d, SHIPPED_CATALOGUE, a)!, { ...PARKED, postsV: 12 });
    if (!r.ok) throw new Error(r.error);
    expect(Math.abs(r.runs.get('wire-w1')!.amp)).toBeGreaterThan(26);
    for (const { spec, figures } of a.runs.flatMap((x) => (x.ok ? [x] : [])))
      expect(Math.abs(r.runs.get(spec.id)?.amp ?? 0))
        .withContext(spec.id)
        .toBeLessThanOrEqual((figures.currentA * figures.perPole * 1.02 * spec.sourceV) / figures.arrivesV + 0.05);
  });

  it('by a fuse tap has its own second fuse and adds nothing to the wire', () => {
    const a = of(onWire({}, 'fuse tap'));
    const tail = a.runs.find((r) => r.spec.parent === 'wire-w1')!;
    expect([tail.spec.protectedBy, tail.spec.ends.length]).toEqual([null, 1]);
    expect(run(a, 'wire-w1').figures.currentA).toBeCloseTo(2, 6);
    expect(a.order.lines.some((l) => l.what.startsWith('fuse tap'))).toBeTrue();
  });

  it('of the vehicle’s own draws on the starting battery, not on the house', () => {
    const house = of(demo('vet'));
    const a = of(onWire({ fedFrom: 'vehicle', fuseA: 15 }));
    expect(a.day.whDay).toBeLessThan(house.day.whDay);
    expect(a.day.onVehicle.map((l) => l.name)).toEqual(['examination light']);
    expect(a.supply.drains.some((x) => x.path.startsWith('examination light, on the vehicle’s brown wire'))).toBeTrue();
    expect(a.supply.daysToNoCrank).toBeLessThan(house.supply.daysToNoCrank);
    const plan = circuitPlan(onWire({ fedFrom: 'vehicle', fuseA: 15 }), SHIPPED_CATALOGUE, a)!;
    const r = settle(plan, PARKED);
    if (!r.ok) throw new Error(`${r.error} ${r.at.join()}`);
    expect(r.batteries.find((b) => b.id === 'starting')!.amp).toBeGreaterThan(2);
  });
});

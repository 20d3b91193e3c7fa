import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { glandSaws, legsOf, matings, type PlugPair } from './index.js';
import { vehicleOf } from '../vehicle/index.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const of = (d: Design) => assess(d, SHIPPED_CATALOGUE);
const half = (more: Partial<PlugPair>): PlugPair => ({
  id: 'a',
  name: 'a',
  run: null,
  kind: '50 A',
  ratingA: 50,
  carries: 'trailer feed',
  colour: 'red',
  nominalV: 12,
  regulated: true,
  swapped: false,
  live: { source: true, sink: false },
  areaMm2: null,
  mount: 'bracket',
  cover: true,
  isolator: true,
  reaches: '',
  ...more,
});
const wrong = (...pairs: PlugPair[]) =>
  matings(pairs)
    .filter((m) => m.wrong.length)
    .map((m) => [m.source.id, m.sink.id, ...m.wrong]);

describe('plugs', () => {
  it('are there where a run crosses the coupling, for a portable panel, and in the tow bar', () => {
    const d = demo('bookmobile');
    expect(of(d).layout.pairs.map((p) => [p.id, p.kind, p.colour])).toEqual([
      ['plug-start-charger', '175 A', 'red'],
      ['plug-trailer-socket', 'trailer socket', 'blue'],
    ]);
    supplyOf(d).sun.portable = { panel: 'pv-120-fold', regulated: true, into: 'bank', hours: 6 };
    expect(of(d).layout.pairs.find((p) => p.id === 'plug-portable')).toEqual(jasmine.objectContaining({ carries: 'house battery', colour: 'grey', live: { source: true, sink: true } }));
    expect(of(demo('cinema')).layout.pairs).toEqual([]);
  });
  it('know that a fridge socket reaches no battery', () => expect(of(demo('bookmobile')).layout.pairs[1]!.reaches).toContain('no battery'));
  it('mate only in one kind and colour', () => {
    expect(matings([half({ id: 'a' }), half({ id: 'b' })]).length).toBe(4);
    expect(matings([half({ id: 'a' }), half({ id: 'b', colour: 'grey' }), half({ id: 'c', kind: '175 A' })]).length).toBe(3);
  });
  it('do harm by volts, polarity, regulation and back-feed, and by nothing else', () => {
    expect(wrong(half({ id: 'a' }), half({ id: 'b' }))).toEqual([]);
    expect(wrong(half({ id: 'a' }), half({ id: 'b', nominalV: 24 }))).toEqual([
      ['a', 'b', 'volts'],
      ['b', 'a', 'volts'],
    ]);
    expect(wrong(half({ id: 'a', swapped: true }))).toEqual([['a', 'a', 'polarity']]);
    expect(wrong(half({ id: 'a' }), half({ id: 'p', carries: 'panels', regulated: false }))).toEqual([['p', 'a', 'regulation']]);
    expect(wrong(half({ id: 'a' }), half({ id: 'h', carries: 'house battery', live: { source: true, sink: true } }))).toEqual([['a', 'h', 'back-feed']]);
  });
});

describe('thin leads', () => {
  it('are drafted with plug, longest length and polarity, each along its own way', () => {
    const { leads, stretches } = of(demo('bookmobile')).layout;
    expect(leads.map((l) => l.kind)).toEqual(['trigger', 'temperature', 'sense', 'data', 'data']);
    for (const l of leads)
      expect(l.lengthM > 0 && l.longestM > 0 && l.polarity.length > 3 && l.plugMm > 0)
        .withContext(l.name)
        .toBeTrue();
    expect(stretches.find((s) => s.way.along === 'inside the drawbar leg')!.runs).toContain(leads[0]!.number);
  });
  it('have no trigger where the charger goes by volts, and a live one where it is so', () => {
    const d = demo('vet');
    supplyOf(d).trigger = 'volts';
    expect(of(d).layout.leads.some((l) => l.kind === 'trigger')).toBeFalse();
    supplyOf(d).trigger = 'always-live wire';
    expect(of(d).layout.leads.find((l) => l.kind === 'trigger')!.from).toBe('starting battery');
  });
});

describe('a run in its vehicle', () => {
  it('takes ambient, laying and length from its way', () => {
    const d = demo('cinema');
    const r = of(d).runs.find((x) => x.spec.id === 'start-charger')!.spec;
    expect([r.lengthFrom, r.laid, r.ambientC]).toEqual(['routed', 'conduit', 70]);
    expect(legsOf(vehicleOf(d), r).reduce((s, l) => s + l.lengthMm, 0)).toBeCloseTo(r.route!.alongMm, 6);
  });
  it('follows its gear: an inverter that is moved away loses more, or takes more copper and money', () => {
    const d = demo('vet');
    delete d.runs['bus-inverter'];
    const near = of(d);
    d.places['inverter'] = { zone: 'canopy', on: { face: 'canopy-floor', u: 800, v: 700, turn: 0 }, when: 'now' };
    const far = of(d);
    const run = (a: typeof near) => a.runs.find((r) => r.spec.id === 'bus-inverter')!;
    expect(run(far).spec.outM).toBeGreaterThan(run(near).spec.outM + 0.8);
    expect(far.order.total).toBeGreaterThan(near.order.total);
    expect(far.order.kg).toBeGreaterThan(near.order.kg);
  });
  it('returns through the body with its ohms and short leads, when it is told to', () => {
    const d = demo('bees');
    const before = of(d).runs.find((r) => r.spec.id === 'load-l4')!.spec;
    d.runs['load-l4'] = { outM: 2.8, back: 'chassis' };
    const after = of(d).runs.find((r) => r.spec.id === 'load-l4')!;
    expect(before.chassisOhm).toBe(0);
    expect([after.spec.back, after.spec.chassisOhm]).toEqual(['chassis', 1.5e-3]);
    expect(after.ok && after.figures.ohm).toBeGreaterThan(1.5e-3);
  });
  it('is pulled with coils for what comes later, and not at all for what is only thought of', () => {
    const d = demo('vet');
    const now = of(d);
    d.places['inverter'] = { ...d.places['inverter']!, when: 'provision' };
    delete d.runs['bus-inverter'];
    const provision = of(d);
    expect(provision.runs.find((r) => r.spec.id === 'bus-inverter')!.spec.provision).toBeTrue();
    expect(provision.order.lines.some((l) => l.what.startsWith('inverter'))).toBeFalse();
    expect(provision.fit.find((s) => s.id === 'provision-bus-inverter')!.detail).toContain('cap and insulate');
    d.places['inverter'] = { ...d.places['inverter']!, when: 'later' };
    expect(of(d).runs.length).toBe(now.runs.length - 1);
  });
  it('leaves the board through a gland of its own', () => {
    const a = of(demo('vet'));
    expect(glandSaws(demo('vet').board, a.gear, a.runs).length).toBe(
      a.runs.filter((r) => ['bus', 'inverter', 'charger', 'block'].includes(r.spec.from.gear) !== ['bus', 'inverter', 'charger', 'block'].includes(r.spec.to.gear)).length,
    );
  });
});

import fc from 'fast-check';
import { assess, type Assessment } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { VEHICLE_KINDS, type Design, supplyOf } from '../design/index.js';
import { rerate } from '../protection/index.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
const ids = (d: Design): string[] => of(d).runs.map((r) => r.spec.id);
const spec = (d: Design, id: string) => of(d).runs.find((r) => r.spec.id === id)!.spec;

/** Paths at which a figure is not a number. JSON would print them as null and hide them. */
function notNumbers(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isNaN(value) ? [path] : [];
  if (typeof value === 'string') return value.includes('NaN') ? [path] : [];
  return typeof value === 'object' && value !== null ? Object.entries(value).flatMap(([k, v]) => notNumbers(v, `${path}/${k}`)) : [];
}

describe('the draft of runs', () => {
  it('goes the way of the current: starting battery, charger, house, distribution, loads, sun', () => {
    expect(ids(demo('vet'))).toEqual(['start-charger', 'charger-bus', 'house-bus', 'bus-inverter', 'bus-block', 'load-l1', 'load-l2', 'load-l3', 'load-l4', 'load-l5', 'panel-regulator']);
  });

  it('numbers the runs without gaps', () => {
    for (const { design } of DEMO_JOBS) expect(of(design).runs.map((r) => r.spec.number)).toEqual(of(design).runs.map((_, i) => i + 1));
  });

  it('gives every battery of a bank its own lead and fuse, another part’s too: one size, one length, for the largest share', () => {
    const d = demo('vet');
    supplyOf(d).second = { part: 'bat-lfp-100', count: 1, joined: 'parallel' };
    const mains = of(d).runs.filter((r) => /^house\d-bus$/.test(r.spec.id));
    expect(mains.length).toBe(2);
    const all = of(demo('vet')).runs.find((r) => r.spec.id === 'house-bus')!.spec;
    for (const { spec } of mains) expect(spec.usualA / all.usualA).toBeCloseTo(2 / 3, 6);
    expect(new Set(mains.map((r) => (r.ok ? `${r.figures.cable} ${r.figures.fuseA} ${r.spec.outM}` : ''))).size).toBe(1);
    // Both feed a short behind the bus bars: it is stronger than one battery’s.
    const short = (design: Design) => {
      const r = of(design).runs.find((x) => x.spec.id === 'bus-block')!;
      return r.ok ? r.figures.fuses[0]!.maxA : 0;
    };
    // The same sizes in both, so that only the second battery makes the difference.
    const typed = { 'bus-block': { areaMm2: 25, fuseA: 50 }, 'house-bus': { areaMm2: 70, fuseA: 250 }, 'house1-bus': { areaMm2: 70, fuseA: 250 }, 'house2-bus': { areaMm2: 70, fuseA: 250 } };
    expect(short({ ...d, runs: typed })).toBeGreaterThan(1.03 * short({ ...demo('vet'), runs: typed }));
  });

  it('gives a second charger its own feed and output', () => {
    const d = demo('vet');
    supplyOf(d).dcdcSecond = 'dcdc-20';
    const run = (id: string) => of(d).runs.find((r) => r.spec.id === id)!;
    for (const id of ['start-charger', 'charger-bus', 'start-charger2', 'charger2-bus']) expect(run(id).ok).withContext(id).toBeTrue();
    expect(run('start-charger2').spec.from.gear).toBe('starting');
    expect(of(d).runs.map((r) => r.spec.number)).toEqual(of(d).runs.map((_, i) => i + 1));
  });

  it('draws a charger’s output at half power where it is set so', () => {
    const d = demo('vet');
    supplyOf(d).dcdcHalf = true;
    const run = (id: string) => of(d).runs.find((r) => r.spec.id === id)!;
    expect(run('charger-bus').spec.lastingA).toBe(20);
    expect(run('start-charger').spec.lastingA).toBeCloseTo(spec(demo('vet'), 'start-charger').lastingA / 2, 9);
    expect(run('start-charger').spec.lastingWhy).toMatch(/half power.*turned up it takes 55 A/);
  });

  it('has no run for a mains load: that is the electrician’s', () => expect(ids(demo('vet'))).not.toContain('load-l6'));

  it('gives a load too big for a way its own fuse at the bus bars', () => {
    const d = demo('bookmobile');
    expect(spec(d, 'load-l3').from.gear).toBe('bus');
    d.loads['l3']!.draw = { by: 'plate', unit: 'A', value: 20 };
    expect(spec(d, 'load-l3').from.gear).toBe('block');
  });

  it('takes every load to the bus bars when there is no fuse block', () => {
    const d = demo('bees');
    supplyOf(d).fuseBlock = null;
    expect(
      of(d)
        .runs.filter((r) => r.spec.group === 'loads')
        .every((r) => r.spec.from.gear === 'bus'),
    ).toBeTrue();
  });

  it('couples a trailer’s feed by a plug that carries its fuse', () => {
    const near = demo('playgroup');
    near.runs['start-charger'] = { outM: 2 };
    expect(spec(near, 'start-charger').limitingParts).toEqual([{ what: '50 A plug', ratingA: 50, kind: 'plug' }]);
    // Its 39 A fit the smaller plug, but over 7.8 m they want more copper than its contacts take.
    expect(spec(demo('playgroup'), 'start-charger').limitingParts).toEqual([{ what: '175 A plug', ratingA: 175, kind: 'plug' }]);
    expect(spec(demo('bookmobile'), 'start-charger').limitingParts).toEqual([{ what: '175 A plug', ratingA: 175, kind: 'plug' }]);
    expect(spec(demo('vet'), 'start-charger').limitingParts).toEqual([]);
  });

  it('fuses what can feed a fault, at its end, and no end that cannot', () => {
    const ends = (id: string, d = demo('vet')) => spec(d, id).ends.map((e) => e.at);
    expect(ends('start-charger')).toEqual(['from']);
    expect(ends('charger-bus')).toEqual(['to']);
    expect(ends('load-l1')).toEqual(['from']);
    expect([...ends('start-isolator', demo('bees')), ...ends('isolator-bus', demo('bees'))]).toEqual(['from', 'to']);
  });

  it('sizes a charger’s feed for what lasts at warm idle, its drop at nominal volts, and its fuse above what passes at the cut-out', () => {
    const s = spec(demo('vet'), 'start-charger');
    const inW = (14.4 * 40) / 0.88;
    expect(s.lastingA).toBeCloseTo(inW / (12.4 - 0.6), 9);
    expect(s.usualA).toBeCloseTo(inW / 12, 9);
    expect(s.passingA).toBeCloseTo(inW / 10.5, 9);
    const { figures } = of(demo('vet')).runs.find((r) => r.spec.id === 'start-charger') as Extract<Assessment['runs'][number], { ok: true }>;
    expect(s.passingA).toBeLessThanOrEqual(figures.fuseA * rerate(figures.fuseType, s.fuseAirC));
    expect(s.lastingA).toBeLessThanOrEqual(0.8 * figures.fuseA * rerate(figures.fuseType, s.fuseAirC));
  });

  it('brings panels to the charger’s own input or to a controller, never to both', () => {
    const d = demo('vet');
    expect(ids(d)).not.toContain('controller-bus');
    supplyOf(d).sun.controller = 'mppt-20';
    expect(ids(d)).toContain('controller-bus');
    expect(spec(d, 'panel-regulator').to.gear).toBe('controller');
  });

  it('takes the hottest zone on the way', () => {
    expect(spec(demo('vet'), 'start-charger').ambientC).toBe(70);
    expect(spec(demo('vet'), 'load-l1').ambientC).toBe(55);
    const d = demo('vet');
    d.runs['start-charger'] = { ambientC: 85 };
    expect(spec(d, 'start-charger')).toEqual(jasmine.objectContaining({ ambientC: 85, ambientWhy: 'typed' }));
  });

  it('keeps what was typed of a run when the supply is drafted anew', () => {
    const d = demo('vet');
    supplyOf(d).battery = { part: 'bat-agm-120', count: 2 };
    d.loads['new'] = { ...d.loads['l2']!, order: 0.5, name: 'first of all' };
    expect(spec(d, 'load-l1').outM).toBe(2.3);
    expect(spec(d, 'start-charger').lengthFrom).toBe('typed');
  });

  it('lets the return be longer than the feed', () => {
    const d = demo('vet');
    d.runs['load-l1'] = { outM: 2, backM: 5 };
    expect([spec(d, 'load-l1').outM, spec(d, 'load-l1').backM]).toEqual([2, 5]);
  });

  it('holds a fridge to 3 % and lights to 5, or all to 5 by the other school', () => {
    const d = demo('vet');
    expect([spec(d, 'load-l1').pathLimitPercent, spec(d, 'load-l2').pathLimitPercent]).toEqual([3, 5]);
    d.settings.dropSchool = '5 % everywhere';
    expect(spec(d, 'load-l1')).toEqual(jasmine.objectContaining({ pathLimitPercent: 5, limitWhy: jasmine.stringMatching('school') }));
  });

  it('stands any vehicle, any battery and any parts without falling over', () => {
    const part = (kind: 'battery' | 'dcdc' | 'isolator' | 'panel' | 'solar-controller' | 'mains-charger' | 'inverter' | 'fuse-block') =>
      fc.constantFrom(null, ...SHIPPED_CATALOGUE.ofKind(kind).map((p) => p.id));
    const change = fc.record({
      kind: fc.constantFrom(...VEHICLE_KINDS),
      battery: part('battery'),
      count: fc.integer({ min: 1, max: 6 }),
      houseV: fc.constantFrom(12 as const, 24 as const),
      vehicleV: fc.constantFrom(12 as const, 24 as const),
      isolation: fc.constantFrom('dcdc' as const, 'isolator' as const, 'none' as const),
      dcdc: part('dcdc'),
      isolator: part('isolator'),
      panel: part('panel'),
      panels: fc.integer({ min: 1, max: 6 }),
      controller: part('solar-controller'),
      mains: part('mains-charger'),
      inverter: part('inverter'),
      block: part('fuse-block'),
      dcdcSecond: part('dcdc'),
      inSeries: fc.constantFrom(1, 2, 4),
      shade: fc.constantFrom(0, 0.3, 1),
      portable: fc.constantFrom(null, { panel: 'pv-120-fold', regulated: true, into: 'bank' as const, hours: 6 }, { panel: 'pv-200-fold', regulated: false, into: 'panels' as const, hours: 8 }),
      second: fc.constantFrom(null, { part: 'bat-agm-100', count: 2, joined: 'parallel' as const }, { part: 'bat-lfp-200', count: 2, joined: 'selector' as const }),
      metres: fc.constantFrom(0, 0.1, 3, 40, 200),
      series: fc.constantFrom('metric' as const, 'gauge' as const),
      insulationC: fc.constantFrom(70 as const, 90 as const, 105 as const, 125 as const),
      watts: fc.constantFrom(0, 1, 60, 900, 100000),
      ambientC: fc.integer({ min: -40, max: 60 }),
    });
    fc.assert(
      fc.property(change, (c) => {
        const d = demo('vet');
        d.brief.vehicleKind = c.kind;
        d.brief.vehicleV = c.vehicleV;
        d.brief.trip = { ...d.brief.trip, region: null, ambientC: c.ambientC };
        d.settings = { ...d.settings, series: c.series, insulationC: c.insulationC };
        Object.assign(supplyOf(d), {
          houseV: c.houseV,
          battery: { part: c.battery, count: c.count },
          isolation: c.isolation,
          dcdc: c.dcdc,
          isolator: c.isolator,
          second: c.second,
          dcdcSecond: c.dcdcSecond,
          sun: { ...supplyOf(d).sun, panel: c.panel, count: c.panels, inSeries: c.inSeries, shade: c.shade, portable: c.portable, controller: c.controller },
          mains: { charger: c.mains },
          inverter: c.inverter,
          fuseBlock: c.block,
        });
        d.loads['l1']!.draw = { by: 'plate', unit: 'W', value: c.watts };
        d.runs['load-l1'] = { outM: c.metres };
        d.runs['start-charger'] = { outM: c.metres };
        const a = of(d);
        expect(notNumbers({ runs: a.runs, order: a.order, findings: a.findings, day: a.day, supply: a.supply, prove: a.prove, tellTales: a.tellTales })).toEqual([]);
        for (const r of a.runs) {
          if (!r.ok) continue;
          expect(r.figures.fuseA).toBeLessThanOrEqual(r.figures.ampacityA + 1e-6);
          for (const f of r.figures.fuses)
            expect(Number.isFinite(f.maxA) && f.maxA >= f.minA)
              .withContext(r.spec.name)
              .toBeTrue();
        }
      }),
      { numRuns: 120 },
    );
  });
});

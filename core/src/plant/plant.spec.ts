import fc from 'fast-check';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { blankDesign, type Design, type Ref, supplyOf, rigOf } from '../design/index.js';
import { withPort, partsOf, plant, type Plant } from './index.js';

const of = (d: Design): Plant => plant(d, SHIPPED_CATALOGUE);
const idsOf = (kind: Parameters<typeof SHIPPED_CATALOGUE.ofKind>[0]): (string | null)[] => [null, ...SHIPPED_CATALOGUE.ofKind(kind).map((p) => p.id)];
const oneOf = <T>(list: readonly T[]): fc.Arbitrary<T> => fc.constantFrom(...list);

/** Any supply that the document can say, sensible or not. */
const design: fc.Arbitrary<Design> = fc
  .record({
    isolation: oneOf(['dcdc', 'isolator', 'none'] as const),
    battery: oneOf(idsOf('battery')),
    count: fc.integer({ min: 1, max: 6 }),
    second: oneOf([null, 'parallel', 'selector'] as const),
    dcdc: oneOf(idsOf('dcdc')),
    dcdcSecond: oneOf(idsOf('dcdc')),
    half: fc.boolean(),
    isolator: oneOf(idsOf('isolator')),
    panel: oneOf(idsOf('panel')),
    portable: oneOf([null, 'bank', 'panels'] as const),
    controller: oneOf(idsOf('solar-controller')),
    mains: oneOf(idsOf('mains-charger')),
    inverter: oneOf(idsOf('inverter')),
    hub: oneOf(idsOf('hub')),
    block: oneOf(idsOf('fuse-block')),
    shunt: oneOf(idsOf('shunt')),
    mainSwitch: oneOf(idsOf('switch')),
    disconnect: oneOf(idsOf('disconnect')),
  })
  .map((p) => {
    const d = blankDesign('anyone');
    const s = supplyOf(d);
    s.isolation = p.isolation;
    s.battery = { part: p.battery, count: p.count };
    s.second = p.second && { part: 'bat-lfp-100', count: 2, joined: p.second };
    [s.dcdc, s.dcdcSecond, s.dcdcHalf, s.isolator, s.hub, s.fuseBlock, s.shunt, s.mainSwitch, s.inverter] = [
      p.dcdc,
      p.dcdcSecond,
      p.half,
      p.isolator,
      p.hub,
      p.block,
      p.shunt,
      p.mainSwitch,
      p.inverter,
    ];
    s.sun = { ...s.sun, panel: p.panel, controller: p.controller, portable: p.portable && { panel: 'pv-120-fold', regulated: p.portable === 'bank', into: p.portable, hours: 6 } };
    s.mains.charger = p.mains;
    s.disconnect = { part: p.disconnect, pole: 'positive' };
    return d;
  });

const things = (p: Plant): readonly Ref[] => [
  ...[...p.vehicles, ...p.banks, ...p.converters, ...p.links, ...p.arrays, ...p.distribution, ...p.switchgear, ...p.monitors].map((t) => t.ref),
  ...p.inlets,
];
const key = (r: Ref): string => `${r.in}/${r.id}`;

describe('the plant', () => {
  it('has each thing once', () => {
    fc.assert(
      fc.property(design, (d) => {
        const keys = things(of(d)).map(key);
        expect(new Set(keys).size).toBe(keys.length);
      }),
    );
  });

  it('refers to nothing that is not there, but to a bank that is still to be chosen', () => {
    fc.assert(
      fc.property(design, (d) => {
        const p = of(d);
        const there = new Set(things(p).map(key));
        for (const c of p.converters) {
          for (const i of c.inputs)
            expect(there.has(key(i.ref)))
              .withContext(`${c.ref.id} takes from ${i.ref.id}`)
              .toBeTrue();
          for (const bank of [c.charges, c.draws]) expect(bank === null || there.has(key(bank)) || supplyOf(d).battery.part === null).toBeTrue();
        }
      }),
    );
  });

  it('has an array on one converter at most', () => {
    fc.assert(
      fc.property(design, (d) => {
        const p = of(d);
        for (const a of p.arrays) expect(p.converters.filter((c) => c.inputs.some((i) => key(i.ref) === key(a.ref))).length).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('loses with a part what is that part, and nothing else', () => {
    fc.assert(
      fc.property(design, (d) => {
        const before = of(d);
        for (const c of before.converters) {
          const without = structuredClone(d);
          const s = supplyOf(without);
          if (c.part.kind === 'dcdc') s[c === withPort(before, 'dcIn')[0] && s.dcdc === c.part.id ? 'dcdc' : 'dcdcSecond'] = null;
          else if (c.part.kind === 'solar-controller') s.sun.controller = null;
          else if (c.part.kind === 'mains-charger') s.mains.charger = null;
          else s.inverter = null;
          const gone = new Set(things(of(without)).map(key));
          const lost = things(before).filter((t) => !gone.has(key(t)));
          expect(lost.every((t) => key(t) === key(c.ref) || t.in === 'outlets' || t.id === 'remote'))
            .withContext(lost.map(key).join())
            .toBeTrue();
          expect(lost.some((t) => key(t) === key(c.ref))).toBeTrue();
        }
      }),
    );
  });

  for (const { key: job, design: d } of DEMO_JOBS)
    it(`${job}: every part that the document names is a thing, as often as it says`, () => {
      const named = JSON.stringify(rigOf(d));
      const parts = partsOf(of(d));
      for (const t of parts) expect(named).toContain(t.part.id);
      expect(parts.filter((t) => t.part.kind === 'battery').reduce((s, t) => s + t.quantity, 0)).toBe(supplyOf(d).battery.count + (supplyOf(d).second?.count ?? 0));
    });

  it('says of an inverter-charger that it charges and draws, and of a charger set to half what it gives', () => {
    const d = blankDesign('anyone');
    supplyOf(d).dcdc = SHIPPED_CATALOGUE.ofKind('dcdc').find((p) => p.halfPower)!.id;
    supplyOf(d).dcdcHalf = true;
    const both = SHIPPED_CATALOGUE.ofKind('inverter').find((p) => p.charger);
    supplyOf(d).inverter = both?.id ?? SHIPPED_CATALOGUE.ofKind('inverter')[0]!.id;
    const p = of(d);
    expect(withPort(p, 'dcIn').map((c) => c.share)).toEqual([0.5]);
    expect(withPort(p, 'mainsOut').map((c) => [c.charges !== null, c.draws !== null])).toEqual([[both !== undefined, true]]);
  });
});

import fc from 'fast-check';
import { clearingTimes } from './clearing.js';
import { breakingCapacityA, FUSE_KINDS, FUSE_TYPES, fuseOhm, rerate } from './kinds.js';
import { sizeRun, type SizingInput } from './size-run.js';
import { fuseWindow } from './window.js';

const type = fc.constantFrom(...FUSE_TYPES);
const run: fc.Arbitrary<SizingInput> = fc.record({
  outM: fc.double({ min: 0.3, max: 10, noNaN: true }),
  backM: fc.double({ min: 0.3, max: 10, noNaN: true }),
  currentA: fc.double({ min: 0.5, max: 150, noNaN: true }),
  insulationC: fc.constantFrom(70, 90, 105, 125) as fc.Arbitrary<105>,
  ambientC: fc.double({ min: 0, max: 65, noNaN: true }),
  grouped: fc.integer({ min: 1, max: 6 }),
  laid: fc.constantFrom('air', 'conduit'),
  contactsMilliohm: fc.double({ min: 0, max: 3, noNaN: true }),
  tinned: fc.boolean(),
  dropLimitPercent: fc.constantFrom(2, 3, 5),
  nominalV: fc.constantFrom(12, 24),
  series: fc.constantFrom('metric', 'gauge'),
  fuseType: type,
  minAreaMm2: fc.constantFrom(1, 4),
  connectorA: fc.constantFrom(null, 50, 175),
});

describe('laws of protection', () => {
  it('a sized run never has a fuse above its cable or connector, a load above 0.8 of it, or a drop above its limit', () => {
    fc.assert(
      fc.property(run, (input) => {
        const r = sizeRun(input);
        if (!r.ok) return;
        expect(r.fuseA).toBeLessThanOrEqual(r.ampacityA + 1e-6);
        expect(r.fuseA).toBeLessThanOrEqual(input.connectorA ?? Infinity);
        expect(r.currentA).toBeLessThanOrEqual(0.8 * r.fuseA + 1e-6);
        expect(r.dropPercent).toBeLessThanOrEqual(input.dropLimitPercent + 1e-6);
        expect(r.areaMm2).toBeGreaterThanOrEqual(input.minAreaMm2 - 1e-6);
      }),
    );
  });

  it('the size below the chosen one fails at something, unless the smallest allowed was enough', () => {
    fc.assert(
      fc.property(run, (input) => {
        const r = sizeRun(input);
        if (r.ok && r.boundBy !== 'minimum') expect(r.below!.meetsDrop && r.below!.meetsHeat).toBeFalse();
      }),
    );
  });

  it('a fuse opens sooner at more amps, and its fast edge is never behind its slow one', () => {
    fc.assert(
      fc.property(type, fc.double({ min: 1, max: 12, noNaN: true }), fc.double({ min: 1.001, max: 2, noNaN: true }), (t, multiple, more) => {
        const [a, b] = [clearingTimes(t, 100, 100 * multiple), clearingTimes(t, 100, 100 * multiple * more)];
        expect(b.slowS).toBeLessThanOrEqual(a.slowS * (1 + 1e-9));
        expect(b.fastS).toBeLessThanOrEqual(a.fastS * (1 + 1e-9));
        expect(a.fastS).toBeLessThanOrEqual(a.slowS);
      }),
    );
  });

  it('below its first gate a fuse never opens', () => expect(clearingTimes('blade', 10, 10.9)).toEqual({ fastS: Infinity, slowS: Infinity }));
  it('a breaker never opens faster than its contacts move', () => expect(clearingTimes('breaker', 10, 5000).slowS).toBe(0.02));

  it('a closed window offers nothing and names the weakest part', () => {
    const w = fuseWindow('blade', 20, [
      { what: 'cable', ratingA: 30 },
      { what: 'way', ratingA: 15 },
    ]);
    expect(w.fitsA).toEqual([]);
    expect(w.to.what).toBe('way');
  });

  it('ratings fall with heat, breakers faster than fuses', () => {
    expect(rerate('blade', 55)).toBeCloseTo(0.955, 9);
    expect(rerate('breaker', 55)).toBeCloseTo(0.85, 9);
  });

  it('a terminal-post fuse breaks more at 12 V than at 24 V', () => expect([breakingCapacityA('terminal-post', 14.4), breakingCapacityA('terminal-post', 28.8)]).toEqual([10000, 5000]));
  it('a blade fuse drops 0.09 V at its rating, its holder apart', () => expect(fuseOhm('blade', 10) - FUSE_KINDS.blade.holderOhm).toBeCloseTo(0.009, 12));
});

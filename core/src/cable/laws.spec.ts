import fc from 'fast-check';
import { ampacityA, groupingFactor, type Laying } from './ampacity.js';
import { constantPowerA, operate, type RunPath } from './operating.js';
import { resistanceOhmPerM } from './resistance.js';
import { METRIC_AREAS_MM2 } from './sizes.js';

const insulation = fc.constantFrom(70, 90, 105, 125) as fc.Arbitrary<70 | 90 | 105 | 125>;
const laying: fc.Arbitrary<Laying> = fc.record({
  insulationC: insulation,
  ambientC: fc.double({ min: -10, max: 60, noNaN: true }),
  grouped: fc.integer({ min: 1, max: 20 }),
  laid: fc.constantFrom('air', 'conduit', 'insulation'),
});
const area = fc.double({ min: 0.4, max: 150, noNaN: true });
const path = (l: Laying, m: number): RunPath => ({ ...l, outM: m, backM: m, contactsMilliohm: 1, tinned: false });

describe('laws of cable', () => {
  it('a thicker cable never carries less, and never loses more', () => {
    fc.assert(
      fc.property(laying, fc.integer({ min: 0, max: 13 }), fc.double({ min: 0.1, max: 20, noNaN: true }), fc.double({ min: 0.1, max: 30, noNaN: true }), (l, i, m, currentA) => {
        const [thin, thick] = [METRIC_AREAS_MM2[i]!, METRIC_AREAS_MM2[i + 1]!];
        expect(ampacityA(thick, l)).toBeGreaterThanOrEqual(ampacityA(thin, l));
        const [a, b] = [operate(thin, path(l, m), { currentA }), operate(thick, path(l, m), { currentA })];
        if (a.ok && b.ok) expect(b.dropV).toBeLessThanOrEqual(a.dropV + 1e-12);
      }),
    );
  });

  it('the drop grows with length', () => {
    fc.assert(
      fc.property(laying, area, fc.double({ min: 0.1, max: 20, noNaN: true }), (l, a, m) => {
        const [near, far] = [operate(a, path(l, m), { currentA: 5 }), operate(a, path(l, m * 1.5), { currentA: 5 })];
        if (near.ok && far.ok) expect(far.dropV).toBeGreaterThan(near.dropV);
      }),
    );
  });

  it('a constant-power load settles where volts times amps is its power', () => {
    fc.assert(
      fc.property(laying, fc.double({ min: 1, max: 100, noNaN: true }), fc.double({ min: 10.5, max: 14, noNaN: true }), (l, powerW, sourceV) => {
        const point = operate(16, path(l, 3), { powerW, sourceV });
        if (point.ok) expect((sourceV - point.dropV) * point.currentA).toBeCloseTo(powerW, 6);
      }),
    );
  });

  it('a power beyond V²/4R has no current', () => {
    expect(constantPowerA(12, 0.1, 361)).toBeNull();
    expect(constantPowerA(12, 0.1, 360)).toBeCloseTo(60, 6);
  });

  it('an ambient at the insulation’s rating leaves nothing', () => {
    expect(ampacityA(16, { insulationC: 70, ambientC: 70, grouped: 1, laid: 'air' })).toBe(0);
    expect(operate(16, path({ insulationC: 70, ambientC: 85, grouped: 1, laid: 'air' }, 1), { currentA: 1 })).toEqual({ ok: false, error: 'too-hot' });
  });

  it('bunching never raises the share', () => {
    const shares = Array.from({ length: 20 }, (_, i) => groupingFactor(i + 1));
    expect([...shares].sort((a, b) => b - a)).toEqual(shares);
  });

  it('copper warms by 0.393 % of its resistance a kelvin', () => expect(resistanceOhmPerM(16, false, 70) / resistanceOhmPerM(16, false, 20)).toBeCloseTo(1 + 50 * 0.00393, 9));
});

import fc from 'fast-check';
import { inTolerances, type Meter, meterTolerance, METER_DEFAULTS } from './meter.js';
import { verdictOf, verdictSchema } from './verdict.js';

const verdict = (input: object): ReturnType<typeof verdictOf> => verdictOf(verdictSchema.parse(input));
const volts = (value: number, expected: number, more: object = {}): ReturnType<typeof verdictOf> => verdict({ kind: 'reading', value, expected, meter: { kind: 'volt' }, ...more });
const exact: Meter = { kind: 'volt', share: 0, absolute: 0.5 };
const num = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const aMeter: fc.Arbitrary<Meter> = fc.record({ kind: fc.constantFrom('volt', 'clamp', 'shunt'), share: num(0, 0.05), absolute: num(0, 0.5) });
const read = (value: number, kind = 'clamp'): object => ({ value, meter: { kind } });

describe('the tolerance of a meter', () => {
  it('has its own share and fixed part, each alone', () => {
    expect(meterTolerance({ kind: 'clamp', share: 0 }, 40)).toBe(METER_DEFAULTS.clamp.absolute);
    expect(meterTolerance({ kind: 'clamp', absolute: 0 }, -40)).toBe(1);
  });
  it('counts nothing as none, and something in nothing as endless', () => expect([inTolerances(0, 0), inTolerances(0.1, 0)]).toEqual([0, null]));
});

describe('the verdict on a reading', () => {
  const at = (value: number): string => volts(value, 12, { meter: exact, modelShare: 0 }).verdict;
  it('is the milder word on the limit itself', () => expect([12.5, 12.75, 13, 13.01].map(at)).toEqual(['agrees', 'near', 'near', 'off']));
  it('knows swapped leads and a slip of units', () => expect([-12.1, 12100, 0.0121, 0].map(at)).toEqual(['reversed', 'unit', 'unit', 'off']));
  it('rests an amp reading on the expected amps, a volt reading on the drop', () => {
    const amps = verdict({ kind: 'reading', value: 40, expected: 40, meter: { kind: 'shunt', share: 0 } });
    expect(amps).toEqual(jasmine.objectContaining({ tolerance: 0.03 * 40 }));
    expect(volts(12, 12, { meter: { kind: 'volt', share: 0, absolute: 0 }, dropV: 0.5 })).toEqual(jasmine.objectContaining({ tolerance: 0.015, z: 0 }));
  });

  const excuses = { batteryFull: true, sunBelowWm2: 200, startDelayS: 30 };
  const sun = (value: number, state: object): object => verdict({ kind: 'reading', value, expected: 10, meter: { kind: 'clamp' }, excuses, state });
  it('is “not yet” where the state explains a low one, with every reason', () => {
    expect(sun(2, { batteryFull: true, sunWm2: 150, secondsSinceStart: 10 })).toEqual(jasmine.objectContaining({ verdict: 'not-yet', because: ['battery-full', 'no-sun', 'start-delay'] }));
  });
  it('excuses nothing that the state does not say, nor a limit just met', () => {
    for (const state of [{}, { batteryFull: null, sunWm2: 200, secondsSinceStart: 30 }]) expect(sun(2, state)).toEqual(jasmine.objectContaining({ verdict: 'off', because: [] }));
  });
  it('excuses no reading that is too high', () => expect(sun(14, { sunWm2: 0 })).toEqual(jasmine.objectContaining({ verdict: 'off' })));

  it('never grows worse as the reading comes nearer', () => {
    const order = ['agrees', 'near', 'off'];
    fc.assert(
      fc.property(num(10, 14), num(0, 1), num(0, 1), aMeter, (expected, far, part, meter) => {
        const rank = (by: number): number => order.indexOf(verdict({ kind: 'reading', value: expected + by, expected, meter: { ...meter, kind: 'volt', share: 0 }, dropV: 0.2 }).verdict);
        return rank(far * part) <= rank(far);
      }),
    );
  });
});

describe('two meters on one wire', () => {
  it('agree up to the root-sum-square of their tolerances', () => {
    fc.assert(
      fc.property(num(1, 100), num(0, 10), aMeter, aMeter, (value, apart, a, b) => {
        const limit = Math.hypot(meterTolerance(a, value), meterTolerance(b, value + apart));
        const got = verdict({ kind: 'pair', a: { value, meter: a }, b: { value: value + apart, meter: b } });
        return (got.verdict === 'disagree') === Math.abs(value - (value + apart)) > limit;
      }),
    );
  });
  const pair = (a: object, b: object | null, estimate?: number): object => verdict({ kind: 'pair', a, b, estimate });
  it('are told apart only by an estimate, and only where one is nearer', () => {
    expect(pair(read(20), read(30))).toEqual(jasmine.objectContaining({ verdict: 'disagree', zA: null, nearer: null }));
    expect(pair(read(20), read(30), 29)).toEqual(jasmine.objectContaining({ nearer: 'b' }));
    const none = (value: number): object => ({ value, meter: { kind: 'shunt', share: 0 } });
    expect(pair(none(1), none(2), 5)).toEqual(jasmine.objectContaining({ verdict: 'disagree', zA: null, zB: null, nearer: null }));
  });
  it('may be one alone', () => expect(pair(read(20), null, 20)).toEqual({ verdict: 'alone', difference: null, limit: null, zA: 0, zB: null, nearer: null }));
});

describe('the four sides of a converter', () => {
  const four = (inV: number, inA: number, outV: number, outA: number, more: object = {}): object =>
    verdict({ kind: 'converter', inV: read(inV, 'volt'), inA: read(inA), outV: read(outV, 'volt'), outA: read(outA), ratedW: 420, efficiency: 0.88, ...more });
  it('cannot give more than they take, and one of them needs the least error', () => expect(four(9.2, 20, 13.9, 15)).toEqual(jasmine.objectContaining({ verdict: 'impossible', liar: 'outA' })));
  it('idle at nothing, but give nothing from nothing', () => {
    expect(four(12.5, 0.1, 12.9, 0)).toEqual(jasmine.objectContaining({ verdict: 'idle', ratio: null }));
    const got = four(12.5, 0, 13.5, 20) as { verdict: string; z: Record<string, number | null> };
    expect([got.verdict, got.z['inV']]).toEqual(['impossible', null]);
  });
  it('may lose much while next to nothing runs, not at load', () =>
    expect([four(12.8, 3, 14, 0.5), four(12.8, 30, 14, 6)].map((v) => (v as { verdict: string }).verdict)).toEqual(['possible', 'impossible']));
  it('say nothing before they are steady', () => expect(four(9.2, 20, 13.9, 15, { steady: false })).toEqual(jasmine.objectContaining({ verdict: 'not-yet', z: null, liar: null })));
  it('are believed at any real efficiency, read by honest meters', () => {
    fc.assert(
      fc.property(num(11, 14), num(5, 40), num(12, 14.6), num(0.55, 0.95), (v, a, out, efficiency) => (four(v, a, out, (v * a * efficiency) / out) as { verdict: string }).verdict === 'possible'),
    );
  });
});

describe('sums', () => {
  it('of amps into a bar are nothing, within their meters', () => {
    expect(verdict({ kind: 'node', branches: [] })).toEqual({ verdict: 'agrees', residual: 0, limit: 0 } as never);
    expect(verdict({ kind: 'node', branches: [read(20), read(-20.5)] }).verdict).toBe('agrees');
    expect(verdict({ kind: 'node', branches: [read(20), read(-15)] }).verdict).toBe('sum');
  });
  it('of charge may fall on a net gain, not rise on a net loss', () => {
    const charge = (from: number, to: number, inAh: number, outAh: number): string => verdict({ kind: 'charge', fromPercent: from, toPercent: to, inAh, outAh, hours: 4 }).verdict;
    expect([charge(62, 70, 3, 20), charge(74, 65, 15, 6), charge(62, 63.4, 3, 20)]).toEqual(['impossible', 'possible', 'possible']);
  });
});

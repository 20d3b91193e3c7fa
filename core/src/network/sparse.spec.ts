import fc from 'fast-check';
import { eliminate } from './elimination.js';
import { SparseSymmetric } from './sparse.js';

interface Drawn {
  readonly size: number;
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly siemens: readonly number[];
}

/** A random pattern of conductances, each unknown also tied to ground, so that the matrix is positive definite. */
const drawn: fc.Arbitrary<Drawn> = fc
  .record({
    size: fc.integer({ min: 1, max: 20 }),
    links: fc.array(fc.tuple(fc.double({ min: 0, max: 0.999, noNaN: true }), fc.double({ min: 0, max: 0.999, noNaN: true }), fc.double({ min: 0.1, max: 100, noNaN: true })), { maxLength: 50 }),
  })
  .map(({ size, links }) => {
    const ends = links.map(([p, q, g]) => ({ a: Math.floor(p * size), b: Math.floor(q * size), g })).filter((l) => l.a !== l.b);
    const toGround = Array.from({ length: size }, (_, a) => ({ a, b: -1, g: 0.5 }));
    const all = [...ends, ...toGround];
    return { size, from: Int32Array.from(all, (l) => l.a), to: Int32Array.from(all, (l) => l.b), siemens: all.map((l) => l.g) };
  });

function filled(d: Drawn): SparseSymmetric {
  const m = new SparseSymmetric(d.size, d.from, d.to);
  m.clear();
  d.siemens.forEach((g, i) => {
    const [a, b] = [d.from[i]!, d.to[i]!];
    m.add(m.slot(a, a), g);
    m.add(m.slot(b, b), g);
    m.add(m.slot(a, b), -g);
  });
  return m;
}

/** The matrix times a vector, from the conductances alone. */
function times(d: Drawn, x: Float64Array): number[] {
  const y = Array<number>(d.size).fill(0);
  d.siemens.forEach((g, i) => {
    const [a, b] = [d.from[i]!, d.to[i]!];
    const flow = g * (x[a]! - (b < 0 ? 0 : x[b]!));
    y[a]! += flow;
    if (b >= 0) y[b]! -= flow;
  });
  return y;
}

describe('the elimination order', () => {
  it('takes every unknown once', () => {
    fc.assert(
      fc.property(drawn, (d) => {
        const { order, place } = eliminate(d.size, d.from, d.to);
        expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: d.size }, (_, i) => i));
        order.forEach((u, position) => expect(place[u]).toBe(position));
      }),
    );
  });

  it('fills nothing in along a chain', () => {
    const n = 50;
    const { below } = eliminate(
      n,
      Int32Array.from({ length: n - 1 }, (_, i) => i),
      Int32Array.from({ length: n - 1 }, (_, i) => i + 1),
    );
    expect(below.reduce((sum, rows) => sum + rows.length, 0)).toBe(n - 1);
  });

  it('touches only what is eliminated later', () => {
    fc.assert(
      fc.property(drawn, (d) => {
        eliminate(d.size, d.from, d.to).below.forEach((rows, k) => rows.forEach((r) => expect(r).toBeGreaterThan(k)));
      }),
    );
  });
});

describe('the sparse factorisation', () => {
  it('solves what it factored', () => {
    fc.assert(
      fc.property(drawn, fc.array(fc.double({ min: -10, max: 10, noNaN: true }), { minLength: 20, maxLength: 20 }), (d, rhs) => {
        const m = filled(d);
        expect(m.factor()).toBeTrue();
        const b = Float64Array.from(rhs.slice(0, d.size));
        const x = new Float64Array(d.size);
        m.solve(b, x);
        times(d, x).forEach((y, i) => expect(y).toBeCloseTo(b[i]!, 7));
      }),
    );
  });

  it('may write its answer over the question', () => {
    const m = new SparseSymmetric(2, Int32Array.of(0), Int32Array.of(1));
    m.add(m.slot(0, 0), 2);
    m.add(m.slot(1, 1), 2);
    m.add(m.slot(0, 1), -1);
    m.factor();
    const v = Float64Array.of(3, 0);
    m.solve(v, v);
    expect([v[0], v[1]].map((x) => Math.round(x! * 1e9) / 1e9)).toEqual([2, 1]);
  });

  it('refuses a matrix that is not positive definite', () => {
    const m = new SparseSymmetric(2, Int32Array.of(0), Int32Array.of(1));
    m.add(m.slot(0, 0), 1);
    m.add(m.slot(1, 1), 1);
    m.add(m.slot(0, 1), -2);
    expect(m.factor()).toBeFalse();
  });

  it('leaves ground out', () => {
    const m = new SparseSymmetric(1, Int32Array.of(0), Int32Array.of(-1));
    expect([m.slot(-1, -1), m.slot(0, -1), m.slot(0, 0)]).toEqual([-1, -1, 0]);
  });
});

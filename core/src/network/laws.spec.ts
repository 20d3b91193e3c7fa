import fc from 'fast-check';
import type { Circuit } from './circuit.js';
import { shortCurrents } from './shorts.js';
import { loadsAlone } from './single-loads.js';
import { solveCircuit } from './solve.js';

/** A random tree of wires with a battery at its root, loads on its nodes and some cross links. */
const circuit: fc.Arbitrary<Circuit> = fc
  .record({
    parents: fc.array(fc.double({ min: 0, max: 0.999, noNaN: true }), { minLength: 2, maxLength: 25 }),
    ohms: fc.array(fc.double({ min: 0.0005, max: 0.05, noNaN: true }), { minLength: 60, maxLength: 60 }),
    watts: fc.array(fc.double({ min: 0.5, max: 12, noNaN: true }), { minLength: 30, maxLength: 30 }),
    links: fc.array(fc.tuple(fc.double({ min: 0, max: 0.999, noNaN: true }), fc.double({ min: 0, max: 0.999, noNaN: true })), { maxLength: 5 }),
  })
  .map(({ parents, ohms, watts, links }) => {
    const nodes = ['g', ...parents.map((_, i) => `n${i}`)];
    const live = nodes.slice(1);
    const tree = parents.slice(1).map((p, i) => ({ id: `w${i}`, a: live[Math.floor(p * (i + 1))]!, b: live[i + 1]!, ohm: ohms[i]! }));
    const cross = links.map(([p, q], i) => ({ id: `x${i}`, a: live[Math.floor(p * live.length)]!, b: live[Math.floor(q * live.length)]!, ohm: ohms[40 + i]! })).filter((r) => r.a !== r.b);
    const loads = live.slice(1).map((n, i) => ({
      id: `l${i}`,
      plus: n,
      minus: 'g',
      kind: (['power', 'current', 'resistance'] as const)[i % 3]!,
      value: i % 3 === 2 ? watts[i]! + 2 : i % 3 === 1 ? watts[i]! / 12 : watts[i]!,
    }));
    return { ground: 'g', nodes, resistors: [...tree, ...cross], sources: [{ id: 'battery', plus: 'n0', minus: 'g', volt: 12.8, ohm: 0.004 }], loads };
  });

/** Plain dense elimination with partial pivoting, for comparison. */
function dense(matrix: number[][], rhs: number[]): number[] {
  const n = rhs.length;
  const m = matrix.map((row, i) => [...row, rhs[i]!]);
  for (let k = 0; k < n; k++) {
    let p = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(m[i]![k]!) > Math.abs(m[p]![k]!)) p = i;
    [m[k], m[p]] = [m[p]!, m[k]!];
    for (let i = k + 1; i < n; i++) {
      const f = m[i]![k]! / m[k]![k]!;
      for (let j = k; j <= n; j++) m[i]![j]! -= f * m[k]![j]!;
    }
  }
  const x = Array<number>(n).fill(0);
  for (let k = n - 1; k >= 0; k--) x[k] = (m[k]![n]! - x.reduce((s, v, j) => (j > k ? s + m[k]![j]! * v : s), 0)) / m[k]![k]!;
  return x;
}

/** Volts by fixed-point iteration on a dense matrix: slow, plain, and written apart from the solver. */
function plainVolts(c: Circuit): Record<string, number> {
  const names = c.nodes.filter((n) => n !== c.ground);
  const at = new Map(names.map((n, i) => [n, i]));
  let volts: Record<string, number> = Object.fromEntries(names.map((n) => [n, 12]));
  for (let round = 0; round < 300; round++) {
    const m = names.map(() => Array<number>(names.length).fill(0));
    const rhs = Array<number>(names.length).fill(0);
    const conduct = (a: string, b: string, g: number): void => {
      const [i, j] = [at.get(a), at.get(b)];
      if (i !== undefined) m[i]![i]! += g;
      if (j !== undefined) m[j]![j]! += g;
      if (i !== undefined && j !== undefined) ((m[i]![j]! -= g), (m[j]![i]! -= g));
    };
    for (const r of c.resistors) conduct(r.a, r.b, 1 / r.ohm);
    for (const s of c.sources) (conduct(s.plus, s.minus, 1 / s.ohm), (rhs[at.get(s.plus)!]! += s.volt / s.ohm));
    for (const l of c.loads) {
      if (l.kind === 'resistance') conduct(l.plus, l.minus, 1 / l.value);
      else rhs[at.get(l.plus)!]! -= l.kind === 'current' ? l.value : l.value / volts[l.plus]!;
    }
    const x = dense(m, rhs);
    const next = Object.fromEntries(names.map((n, i) => [n, x[i]!]));
    const moved = Math.max(...names.map((n) => Math.abs(next[n]! - volts[n]!)));
    volts = next;
    if (moved < 1e-13) break;
  }
  return volts;
}

describe('laws of the network', () => {
  it('agrees with a plain dense solver', () => {
    fc.assert(
      fc.property(circuit, (c) => {
        const solved = solveCircuit(c);
        if (!solved.ok) return;
        const plain = plainVolts(c);
        for (const [n, v] of Object.entries(plain)) expect(solved.nodeVolt[n]!).toBeCloseTo(v, 8);
      }),
      { numRuns: 60 },
    );
  });

  it('currents into every node sum to nothing', () => {
    fc.assert(
      fc.property(circuit, (c) => {
        const solved = solveCircuit(c);
        if (!solved.ok) return;
        const sum = new Map(c.nodes.map((n) => [n, 0]));
        const flow = (from: string, to: string, a: number): void => void (sum.set(from, sum.get(from)! - a), sum.set(to, sum.get(to)! + a));
        for (const r of c.resistors) flow(r.a, r.b, solved.branchAmp[r.id]!);
        for (const s of c.sources) flow(s.minus, s.plus, solved.branchAmp[s.id]!);
        for (const l of c.loads) {
          const v = solved.nodeVolt[l.plus]! - solved.nodeVolt[l.minus]!;
          flow(l.plus, l.minus, l.kind === 'power' ? l.value / v : l.kind === 'current' ? l.value : v / l.value);
        }
        for (const left of sum.values()) expect(Math.abs(left)).toBeLessThan(1e-7);
      }),
      { numRuns: 60 },
    );
  });

  it('power delivered is power used and lost', () => {
    fc.assert(
      fc.property(circuit, (c) => {
        const solved = solveCircuit(c);
        if (!solved.ok) return;
        const s = c.sources[0]!;
        const given = s.volt * solved.branchAmp[s.id]! - s.ohm * solved.branchAmp[s.id]! ** 2;
        const lost = c.resistors.reduce((w, r) => w + r.ohm * solved.branchAmp[r.id]! ** 2, 0);
        const used = c.loads.reduce((w, l) => {
          const v = solved.nodeVolt[l.plus]! - solved.nodeVolt[l.minus]!;
          return w + (l.kind === 'power' ? l.value : l.kind === 'current' ? v * l.value : (v * v) / l.value);
        }, 0);
        expect(given).toBeCloseTo(lost + used, 6);
      }),
      { numRuns: 60 },
    );
  });

  it('a short found by Thevenin is the short of the full circuit', () => {
    fc.assert(
      fc.property(circuit, (c) => {
        const bare = { ...c, loads: [] };
        const far = c.nodes[c.nodes.length - 1]!;
        const [fast] = shortCurrents(bare, [{ plus: far, minus: 'g', branch: 'w0' }]);
        const full = solveCircuit({ ...bare, resistors: [...bare.resistors, { id: 'fault', a: far, b: 'g', ohm: 1e-9 }] });
        if (full.ok) expect(fast!).toBeCloseTo(Math.abs(full.branchAmp['w0']!), 1);
      }),
      { numRuns: 40 },
    );
  });

  it('a load alone has the volts and amps of the full solution with that one load', () => {
    fc.assert(
      fc.property(circuit, (c) => {
        const alone = loadsAlone({ ...c, loads: [] }, c.loads, { plus: 'n0', minus: 'g' });
        for (const [i, load] of c.loads.entries()) {
          const full = solveCircuit({ ...c, loads: [load] });
          expect(alone[i] !== null).toBe(full.ok);
          if (!full.ok || !alone[i]) continue;
          expect(alone[i].volt).toBeCloseTo(full.nodeVolt[load.plus]! - full.nodeVolt[load.minus]!, 8);
          expect(alone[i].watchedV).toBeCloseTo(full.nodeVolt['n0']!, 8);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('names the node that floats, and the load that collapses the wire', () => {
    const base: Circuit = {
      ground: 'g',
      nodes: ['g', 'p', 'far'],
      resistors: [{ id: 'wire', a: 'p', b: 'far', ohm: 0.2 }],
      sources: [{ id: 'battery', plus: 'p', minus: 'g', volt: 12, ohm: 0.01 }],
      loads: [],
    };
    expect(solveCircuit({ ...base, nodes: [...base.nodes, 'lamp'] })).toEqual({ ok: false, error: 'floating-node', at: ['lamp'] });
    expect(solveCircuit({ ...base, loads: [{ id: 'inverter', plus: 'far', minus: 'g', kind: 'power', value: 500 }] })).toEqual({ ok: false, error: 'no-operating-point', at: ['inverter'] });
    expect(solveCircuit({ ...base, loads: [{ id: 'x', plus: 'nowhere', minus: 'g', kind: 'power', value: 5 }] })).toEqual({ ok: false, error: 'unknown-node', at: ['nowhere'] });
  });
});

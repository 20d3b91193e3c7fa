import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { circuitPlan, NAMED_STATES, settle, sweep } from '../circuit/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { circuitsCsv } from './circuits.js';
import { netlist } from './netlist.js';

/** As small a general simulator as reads what is written: dense, by Newton on the nodes, told nothing of how it was made. */
function simulate(text: string): Map<string, number> {
  const lines = text.split('\n').filter((l) => l && !l.startsWith('*') && !l.startsWith('.'));
  const start = new Map([...text.matchAll(/^\.nodeset v\((\w+)\)=(.+)$/gm)].map((m) => [m[1]!, Number(m[2])]));
  const nodes = [...new Set(lines.flatMap((l) => l.split(' ').slice(1, 3)))].filter((n) => n !== '0');
  const sources = lines.filter((l) => l.startsWith('v'));
  const size = nodes.length + sources.length;
  const at = (n: string): number => nodes.indexOf(n);
  const x = [...nodes.map((n) => start.get(n) ?? 12), ...sources.map(() => 0)];
  const volt = (n: string): number => (n === '0' ? 0 : x[at(n)]!);
  for (let round = 0; round < 60; round++) {
    const a = Array.from({ length: size }, () => new Float64Array(size));
    const f = new Float64Array(size);
    const add = (r: number, c: number, v: number): void => {
      if (r >= 0 && c >= 0) a[r]![c]! += v;
    };
    const branch = (p: string, m: string, amp: number, slope: number): void => {
      if (p !== '0') f[at(p)]! += amp;
      if (m !== '0') f[at(m)]! -= amp;
      for (const [r, s] of [
        [p, 1],
        [m, -1],
      ] as const)
        if (r !== '0') {
          if (p !== '0') add(at(r), at(p), s * slope);
          if (m !== '0') add(at(r), at(m), -s * slope);
        }
    };
    for (const l of lines) {
      const [name, p, m, value] = l.split(' ') as [string, string, string, string];
      const v = volt(p) - volt(m);
      if (name.startsWith('r')) branch(p, m, v / Number(value), 1 / Number(value));
      else if (name.startsWith('i')) branch(p, m, Number(value), 0);
      else if (name.startsWith('b')) {
        const watts = Number(/^I=(.+)\/V/.exec(value)![1]);
        branch(p, m, watts / v, -watts / (v * v));
      }
    }
    for (const [k, l] of sources.entries()) {
      const [, p, m, value] = l.split(' ') as [string, string, string, string];
      const row = nodes.length + k;
      f[row] = volt(p) - volt(m) - Number(value);
      for (const [n, s] of [
        [p, 1],
        [m, -1],
      ] as const)
        if (n !== '0') {
          add(row, at(n), s);
          add(at(n), row, s);
          f[at(n)]! += s * x[row]!;
        }
    }
    const step = gauss(a, f);
    let most = 0;
    for (let i = 0; i < size; i++) {
      x[i]! -= step[i]!;
      most = Math.max(most, Math.abs(step[i]!));
    }
    if (most < 1e-12) break;
  }
  return new Map(nodes.map((n, i) => [n, x[i]!]));
}

function gauss(a: Float64Array[], f: Float64Array): number[] {
  const n = f.length;
  const b = [...f];
  for (let k = 0; k < n; k++) {
    let best = k;
    for (let r = k; r < n; r++) if (Math.abs(a[r]![k]!) > Math.abs(a[best]![k]!)) best = r;
    [a[k], a[best]] = [a[best]!, a[k]!];
    [b[k], b[best]] = [b[best]!, b[k]!];
    for (let r = k + 1; r < n; r++) {
      const m = a[r]![k]! / a[k]![k]!;
      if (!m) continue;
      for (let c = k; c < n; c++) a[r]![c]! -= m * a[k]![c]!;
      b[r]! -= m * b[k]!;
    }
  }
  for (let k = n - 1; k >= 0; k--) {
    for (let c = k + 1; c < n; c++) b[k]! -= a[k]![c]! * b[c]!;
    b[k]! /= a[k]![k]!;
  }
  return b;
}

describe('a state as a netlist', () => {
  for (const key of ['vet', 'bees', 'playgroup']) {
    for (const name of ['parked, everything on', 'driving, loads on', 'driving, nearly full']) {
      it(`gives a general simulator the same volts: ${key}, ${name}`, () => {
        const { design } = DEMO_JOBS.find((j) => j.key === key)!;
        const r = settle(circuitPlan(design, SHIPPED_CATALOGUE, assess(design, SHIPPED_CATALOGUE))!, NAMED_STATES[name]!);
        if (!r.ok) throw new Error(r.error);
        const text = netlist(r.circuit, name, r.solved.nodeVolt);
        const volts = simulate(text);
        let compared = 0;
        for (const [node, v] of Object.entries(r.solved.nodeVolt)) {
          const plain = node
            .replace(/\+$/, '_p')
            .replace(/-$/, '_n')
            .replace(/[^A-Za-z0-9]/g, '_')
            .toLowerCase();
          if (!volts.has(plain)) continue;
          expect(volts.get(plain)!).withContext(node).toBeCloseTo(v, 6);
          compared++;
        }
        expect(compared).toBeGreaterThan(10);
      });
    }
  }

  it('keeps nodes apart whose names differ only in what a netlist cannot write', () => {
    const text = netlist({ ground: 'g', nodes: ['g', 'a.b', 'a:b'], resistors: [{ id: 'r', a: 'a.b', b: 'a:b', ohm: 1 }], sources: [], loads: [] }, 'x\ny');
    expect(text.split('\n')[0]).toBe('* x y');
    expect(text).toContain('rr a_b a_b_2 1');
  });
});

describe('the list of circuits', () => {
  it('has a line for each run with what it is made of and the most it carries', () => {
    const { design } = DEMO_JOBS.find((j) => j.key === 'vet')!;
    const a = assess(design, SHIPPED_CATALOGUE);
    const lines = circuitsCsv(a.runs, sweep(circuitPlan(design, SHIPPED_CATALOGUE, a)!))
      .trim()
      .split('\r\n');
    expect(lines.length).toBe(1 + a.runs.length);
    expect(lines[4]).toMatch(/^4,Bus bars → inverter,bus bars,inverter 1600 W,house,50 mm²,0.7,cable,terminal-post,200,bus bars,/);
  });

  it('says why a run has no size', () => {
    const design = structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
    design.runs['start-charger'] = { ambientC: 110 };
    expect(circuitsCsv(assess(design, SHIPPED_CATALOGUE).runs, null)).toContain('no size: too-hot');
  });
});

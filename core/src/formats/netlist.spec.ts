import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { assess } from '../assess/index.js';
import { catalogueOf, SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { circuitPlan, namedStates, settle, sweep } from '../circuit/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { EXAMPLE_VEHICLES } from '../testing/rigs.js';
import { solveCircuit, type Circuit } from '../network/index.js';
import { circuitsCsv } from './circuits.js';
import { netlist } from './netlist.js';

/** Volts of a netlist's nodes as the general simulator on this machine finds them by itself, from its batch mode's own table. */
function simulate(text: string): Map<string, number> {
  const folder = mkdtempSync(join(tmpdir(), 'netlist-'));
  const file = join(folder, 'circuit.cir');
  try {
    writeFileSync(file, text);
    const { stdout, stderr, status } = spawnSync('ngspice', ['-b', file], { encoding: 'utf8' });
    if (status !== 0) throw new Error(`ngspice ended with ${status}: ${stderr}`);
    const table = stdout.slice(stdout.indexOf('Voltage'), stdout.indexOf('Source\tCurrent'));
    return new Map([...table.matchAll(/^\s+(\S+)\s+(-?\d\S*)$/gm)].map((m): [string, number] => [m[1]!, Number(m[2])]));
  } finally {
    rmSync(folder, { recursive: true });
  }
}

const plain = (node: string): string =>
  node
    .replace(/\+$/, '_p')
    .replace(/-$/, '_n')
    .replace(/[^A-Za-z0-9]/g, '_')
    .toLowerCase();

/** Its table has six digits. */
const near = (v: number): number => 2e-5 * Math.max(1, Math.abs(v));

describe('a state as a netlist', () => {
  for (const { key, design } of [...DEMO_JOBS, ...EXAMPLE_VEHICLES])
    it(`gives a general simulator the same volts in every named state: ${key}`, () => {
      const plan = circuitPlan(design, catalogueOf(design), assess(design, catalogueOf(design)))!;
      for (const [name, state] of Object.entries(namedStates(plan))) {
        const r = settle(plan, state);
        if (!r.ok) {
          expect([name, r.error]).toEqual(['main switch open', 'no-operating-point']);
          continue;
        }
        const text = netlist(r.circuit, name, r.solved.nodeVolt);
        expect(text).not.toContain('.nodeset');
        const volts = simulate(text);
        const solved = Object.entries(r.solved.nodeVolt).filter(([node]) => node !== r.circuit.ground);
        expect(solved.length).toBeGreaterThan(10);
        for (const [node, v] of solved)
          expect(Math.abs((volts.get(plain(node)) ?? NaN) - v))
            .withContext(`${name}: ${node}`)
            .toBeLessThanOrEqual(near(v));
      }
    });

  it('finds no other root from no start, though a constant power has a low one', () => {
    const c: Circuit = {
      ground: 'g',
      nodes: ['g', 'a', 'b'],
      resistors: [{ id: 'wire', a: 'a', b: 'b', ohm: 0.05 }],
      sources: [{ id: 's', plus: 'a', minus: 'g', volt: 12, ohm: 0.01 }],
      loads: [{ id: 'l', plus: 'b', minus: 'g', kind: 'power', value: 400 }],
    };
    const solved = solveCircuit(c);
    if (!solved.ok) throw new Error(solved.error);
    expect(simulate(netlist(c, 'x', solved.nodeVolt)).get('b')).toBeCloseTo(solved.nodeVolt['b']!, 4);
  });

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

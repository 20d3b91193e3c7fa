import { answer, type Question } from '../case-files/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { circuitSchema, solveCircuit } from '../network/index.js';
import { differences, networkVectors, vectorFile } from './vectors.js';

const FILES: readonly (readonly [Question, string])[] = [
  ['size', 'run-sizing.json'],
  ['fuse', 'fuse-clearing.json'],
  ['formula', 'formulas.json'],
  ['trip', 'trips.json'],
  ['rigtrip', 'rig-trips.json'],
  ['verdict', 'verdicts.json'],
  ['infer', 'faults.json'],
  ['cut', 'cutting.json'],
  ['sequence', 'build-order.json'],
  ['week', 'week.json'],
];

describe('reference vectors', () => {
  for (const [question, file] of FILES) {
    const { cases, tolerance } = vectorFile(file);
    it(`${file} has cases`, () => expect(cases.length).toBeGreaterThanOrEqual(10));
    for (const c of cases) {
      it(`${file}: ${c.name}`, () => {
        const got = answer(question, c.input, c.formula);
        expect(got.ok)
          .withContext(got.ok ? '' : got.message)
          .toBeTrue();
        if (got.ok) expect(differences(got.result, c.expect, tolerance)).toEqual([]);
      });
    }
  }

  it('do not move when parts of the catalogue change', () => {
    const parts = SHIPPED_CATALOGUE.parts as unknown as Record<string, unknown>[];
    const before = parts.map((p) => ({ ...p }));
    for (const p of parts) for (const [key, value] of Object.entries(p)) if (typeof value === 'number') p[key] = value * 1.7;
    try {
      for (const [question, file] of FILES) {
        const { cases, tolerance } = vectorFile(file);
        for (const c of cases) {
          const got = answer(question, c.input, c.formula);
          expect(got.ok && differences(got.result, c.expect, tolerance))
            .withContext(c.name)
            .toEqual([]);
        }
      }
    } finally {
      parts.forEach((p, i) => Object.assign(p, before[i]));
    }
  });

  for (const vector of networkVectors()) {
    it(`network: ${String(vector['name'])}`, () => {
      const solved = solveCircuit(circuitSchema.parse(vector));
      const expected = vector['expect'] as { error?: string; nodeVolt: Record<string, number>; branchAmp: Record<string, number> };
      if (expected.error !== undefined || !solved.ok) {
        expect(solved.ok ? 'solved' : solved.error).toBe(expected.error ?? 'solved');
        return;
      }
      const voltsOff = Object.entries(expected.nodeVolt).filter(([n, v]) => !(Math.abs(solved.nodeVolt[n]! - v) <= 1e-6));
      const ampsOff = Object.entries(expected.branchAmp).filter(([b, a]) => !(Math.abs(solved.branchAmp[b]! - a) <= 1e-6 * Math.max(1, Math.abs(a))));
      expect(voltsOff).toEqual([]);
      expect(ampsOff).toEqual([]);
    });
  }
});

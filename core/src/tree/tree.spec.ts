import fc from 'fast-check';
import { answer } from '../case-files/index.js';
import { differences, vectorFile } from '../testing/vectors.js';
import { leastCopper, pathLosses, type SizeStep, type TreeRun } from './least-copper.js';
import { aloneStep, sensibleCopper } from './sense.js';

describe('a tree of runs', () => {
  const file = vectorFile('tree-sizing.json');
  for (const c of file.cases)
    it(`is sized as in the reference ${c.name}`, () => {
      const a = answer('tree', c.input);
      if (!a.ok) throw new Error(a.message);
      expect(differences(a.result, c.expect, file.tolerance)).toEqual([]);
    });
});

const step = fc.record({ copper: fc.integer({ min: 1, max: 60 }), dropPercent: fc.integer({ min: 1, max: 12 }) });
/** Sizes of a run as they are in a shop: the more copper, the less is lost. */
const steps = fc.array(step, { minLength: 1, maxLength: 4 }).map((list): [SizeStep, ...SizeStep[]] => {
  const copper = [...new Set(list.map((s) => s.copper))].sort((a, b) => a - b);
  const drop = list.map((s) => s.dropPercent / 4).sort((a, b) => b - a);
  return copper.map((c, i) => ({ copper: c, price: 0, dropPercent: drop[i]! })) as [SizeStep, ...SizeStep[]];
});
/** Small trees of any shape: each run hangs on an earlier one or starts at a source. */
const trees = fc.array(fc.record({ hangsOn: fc.nat({ max: 6 }), limit: fc.option(fc.integer({ min: 20, max: 90 }), { freq: 3 }), steps }), { minLength: 1, maxLength: 6 }).map((list) =>
  list.map((r, i): TreeRun => ({
    id: `r${i}`,
    parent: r.hangsOn < i ? `r${r.hangsOn}` : null,
    limitPercent: r.limit === null ? null : r.limit / 10,
    steps: r.steps,
  })),
);

const copperOf = (runs: readonly TreeRun[], stepOf: (r: TreeRun) => number): number => runs.reduce((sum, r) => sum + r.steps[stepOf(r)]!.copper, 0);
const holds = (runs: readonly TreeRun[], stepOf: (r: TreeRun) => number): boolean => {
  const lost = pathLosses(runs, stepOf);
  return runs.every((r) => r.limitPercent === null || lost.get(r.id)! <= r.limitPercent + 1e-9);
};

/** Every choice of sizes tried. */
function byForce(runs: readonly TreeRun[]): number | null {
  let best: number | null = null;
  const pick = runs.map(() => 0);
  const walk = (i: number): void => {
    if (i < runs.length) {
      for (pick[i] = 0; pick[i]! < runs[i]!.steps.length; pick[i]!++) walk(i + 1);
      return;
    }
    const now = pick.slice();
    const of = (r: TreeRun): number => now[runs.indexOf(r)]!;
    if (holds(runs, of)) best = Math.min(best ?? Infinity, copperOf(runs, of));
  };
  walk(0);
  return best;
}

describe('least copper', () => {
  it('is what trying every choice of sizes finds, on trees of any shape', () => {
    let solved = 0;
    fc.assert(
      fc.property(trees, (runs) => {
        const want = byForce(runs);
        if (want === null) {
          expect(() => leastCopper(runs)).toThrowError(/meet the limit/);
          return;
        }
        solved++;
        const chosen = leastCopper(runs);
        const of = (r: TreeRun): number => chosen.get(r.id)!;
        expect(holds(runs, of)).toBeTrue();
        expect(copperOf(runs, of)).toBe(want);
      }),
      { numRuns: 400 },
    );
    expect(solved).toBeGreaterThan(100);
  });

  it('takes the cheaper of two sizes with as much copper', () => {
    const s = (price: number, dropPercent: number): SizeStep => ({ copper: 10, price, dropPercent });
    expect(leastCopper([{ id: 'a', parent: null, limitPercent: 3, steps: [s(5, 2), s(4, 1)] }]).get('a')).toBe(1);
  });
});

describe('sense', () => {
  it('never leaves a run more than two sizes above what it needs alone, and misses a limit by at most one per cent where copper could meet it', () => {
    fc.assert(
      fc.property(trees, (runs) => {
        const chosen = sensibleCopper(runs);
        for (const r of runs) expect(chosen.get(r.id)!).toBeLessThanOrEqual(aloneStep(r) + 2);
      }),
      { numRuns: 300 },
    );
  });

  it('keeps a run to the thickest step that is named for it, and lets the limits of its paths give way', () => {
    const s = (copper: number, dropPercent: number): SizeStep => ({ copper, price: 0, dropPercent });
    const trunk: TreeRun = { id: 't', parent: null, limitPercent: null, steps: [s(10, 2), s(20, 1), s(30, 0.1)] };
    const leaf: TreeRun = { id: 'l', parent: 't', limitPercent: 3, steps: [s(5, 2.6)] };
    expect([...sensibleCopper([trunk, leaf]).values()]).toEqual([2, 0]);
    expect([...sensibleCopper([{ ...trunk, most: 1 }, leaf]).values()]).toEqual([1, 0]);
    // What would be missed by more than one per cent is missed: the thickest that sense allows stays.
    expect([...sensibleCopper([{ ...trunk, most: 0 }, leaf]).values()]).toEqual([0, 0]);
  });

  it('changes nothing where the optimum already has it', () => {
    fc.assert(
      fc.property(trees, (runs) => {
        if (byForce(runs) === null) return;
        const best = leastCopper(runs);
        if (runs.some((r) => best.get(r.id)! > aloneStep(r) + 2)) return;
        expect([...sensibleCopper(runs)]).toEqual([...best]);
      }),
      { numRuns: 200 },
    );
  });
});

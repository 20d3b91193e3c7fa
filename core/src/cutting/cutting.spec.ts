import fc from 'fast-check';
import { vectorFile } from '../testing/vectors.js';
import { leastCents, nearPlan } from './near.js';
import { cuttingPlan, type CuttingPlan } from './plan.js';
import { type CuttingTask, cuttingSchema, mmOf, shelfOf } from './task.js';

/** Figures of a plan worked out from its pieces alone; a word where it cannot be cut. */
function figuresOf(task: CuttingTask, plan: CuttingPlan): string | Record<string, number> {
  const mm = new Map(task.cuts.map((c) => [c.id, mmOf(c.lengthM)]));
  const [loss, keep] = [mmOf(task.lossM), mmOf(task.keepM)];
  if (
    plan.pieces
      .flatMap((p) => p.cuts)
      .sort()
      .join() !== [...mm.keys()].sort().join()
  )
    return 'a cut is missing or made twice';
  const shelf = new Map(task.offcuts.map((o) => [o.id, mmOf(o.lengthM)]));
  let [price, bought, kept, waste] = [0, 0, 0, 0];
  for (const piece of plan.pieces) {
    const sold = typeof piece.from === 'number' ? task.sold.find((s) => s.lengthM === piece.from) : null;
    const length = sold ? mmOf(sold.lengthM) : shelf.get(String(piece.from));
    if (length === undefined || piece.cuts.length === 0) return `no piece ${piece.from}`;
    if (sold) [price, bought] = [price + Math.round(sold.price * 100), bought + 1];
    else shelf.delete(String(piece.from));
    const used = piece.cuts.reduce((s, c) => s + mm.get(c)!, 0);
    if (used + (piece.cuts.length - 1) * loss > length) return 'too much out of one piece';
    const rest = Math.max(0, length - used - piece.cuts.length * loss);
    const keeps = rest >= keep ? rest : 0;
    kept += keeps;
    waste += length - used - keeps;
  }
  for (const left of shelf.values()) if (left >= keep) kept += left;
  return { price: price / 100, boughtPieces: bought, keptM: kept / 1000, wasteM: waste / 1000 };
}

const said = ({ price, boughtPieces, keptM, wasteM }: CuttingPlan): Record<string, number> => ({ price, boughtPieces, keptM, wasteM });
const keyOf = (f: Record<string, number>): number[] => [f['price']!, f['boughtPieces']!, -f['keptM']!, f['wasteM']!];
const before = (a: number[], b: number[]): boolean => {
  const i = a.findIndex((v, k) => Math.abs(v - b[k]!) > 1e-9);
  return i >= 0 && a[i]! < b[i]!;
};

/** Every way to share the cuts out to pieces. */
function* allPlans(task: CuttingTask, at = 0, pieces: { from: string | number; cuts: string[] }[] = []): Generator<CuttingPlan> {
  const cut = task.cuts[at];
  if (!cut) {
    yield { price: 0, boughtPieces: 0, keptM: 0, wasteM: 0, bought: {}, pieces };
    return;
  }
  for (const [i, p] of pieces.entries())
    yield* allPlans(
      task,
      at + 1,
      pieces.map((q, k) => (k === i ? { ...p, cuts: [...p.cuts, cut.id] } : q)),
    );
  for (const from of [...task.sold.map((s) => s.lengthM), ...task.offcuts.filter((o) => !pieces.some((p) => p.from === o.id)).map((o) => o.id)])
    yield* allPlans(task, at + 1, [...pieces, { from, cuts: [cut.id] }]);
}

const length = (min: number, max: number): fc.Arbitrary<number> => fc.integer({ min: min * 20, max: max * 20 }).map((n) => n / 20);
const task = (most: number): fc.Arbitrary<CuttingTask> =>
  fc.record({
    lossM: fc.constantFrom(0, 0.02, 0.05),
    keepM: fc.constantFrom(0.5, 1),
    sold: fc.uniqueArray(fc.record({ lengthM: length(2, 10), price: fc.integer({ min: 1, max: 30 }) }), { selector: (s) => s.lengthM, minLength: 1, maxLength: 2 }),
    offcuts: fc.array(length(0.5, 4), { maxLength: 2 }).map((o) => o.map((lengthM, i) => ({ id: `rest-${i}`, lengthM }))),
    cuts: fc.array(length(0.3, 5), { minLength: 1, maxLength: most }).map((c) => c.map((lengthM, i) => ({ id: `run-${i}`, lengthM }))),
  });

describe('a cutting plan', () => {
  for (const c of vectorFile('cutting.json').cases) {
    const answer = cuttingPlan(cuttingSchema.parse(c.input));
    if (!('error' in answer)) it(`${c.name}: its pieces give what it says`, () => expect(figuresOf(cuttingSchema.parse(c.input), answer)).toEqual(said(answer)));
  }

  it('is the best of all ways to share the cuts out', () => {
    fc.assert(
      fc.property(task(5), (t) => {
        const all = [...allPlans(t)].map((p) => figuresOf(t, p)).filter((f) => typeof f !== 'string');
        const answer = cuttingPlan(t);
        if ('error' in answer) return all.length === 0;
        const own = figuresOf(t, answer);
        return typeof own !== 'string' && JSON.stringify(own) === JSON.stringify(said(answer)) && !all.some((f) => before(keyOf(f), keyOf(own)));
      }),
      { numRuns: 150 },
    );
  });

  it('of a long list can be cut, and costs no more than it says', () => {
    const t: CuttingTask = {
      lossM: 0.01,
      keepM: 1,
      sold: [
        { lengthM: 10, price: 24 },
        { lengthM: 30, price: 66 },
      ],
      offcuts: [{ id: 'rest', lengthM: 3.2 }],
      cuts: Array.from({ length: 40 }, (_, i) => ({ id: `run-${i}`, lengthM: 0.4 + ((i * 37) % 61) / 17 })),
    };
    const plan = cuttingPlan(t);
    if ('error' in plan) throw new Error(plan.error);
    expect(figuresOf(t, plan)).toEqual(said(plan));
    expect(plan.atMostAbovePercent).toBeLessThan(15);
  });

  it('found the quick way is never better than the best, whose price is never below the bound', () => {
    fc.assert(
      fc.property(task(6), (t) => {
        const best = cuttingPlan(t);
        const cuts = t.cuts.map((c) => ({ id: c.id, mm: mmOf(c.lengthM) }));
        const near = nearPlan(cuts, shelfOf(t));
        if ('error' in best) return near === null;
        return (
          best.price * 100 >= leastCents(cuts, shelfOf(t)) - 1e-6 &&
          (near === null || (near.flatMap((o) => o.cuts).length === cuts.length && near.reduce((c, o) => c + (o.stock.cents ?? 0), 0) >= best.price * 100 - 1e-6))
        );
      }),
    );
  });
  it('of nothing is nothing', () => expect(cuttingPlan({ lossM: 0, keepM: 1, sold: [], offcuts: [], cuts: [] })).toEqual(jasmine.objectContaining({ price: 0, pieces: [] })));
});

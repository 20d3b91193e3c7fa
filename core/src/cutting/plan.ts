import { centsPaid, costOf, FREE, sum } from './cost.js';
import { exactPlan, MOST_STEPS, type Opened, stepsOf } from './exact.js';
import { leastCents, nearPlan } from './near.js';
import { type CuttingTask, fits, mmOf, type Shelf, shelfOf } from './task.js';

/** A piece that is opened or bought, with the cuts that come out of it. */
export interface CutPiece {
  /** An offcut's id, or the sold length in metres. */
  readonly from: string | number;
  readonly cuts: readonly string[];
}

export interface CuttingPlan {
  readonly price: number;
  readonly boughtPieces: number;
  /** What lies in pieces worth keeping afterwards, m: rests, and offcuts that nobody opened. */
  readonly keptM: number;
  /** What is thrown away of the pieces that are opened, m, the cuts' own losses with it. */
  readonly wasteM: number;
  /** Pieces to buy, by sold length in metres. */
  readonly bought: Readonly<Record<string, number>>;
  readonly pieces: readonly CutPiece[];
  /** Only where the list was too long to try all: the price is at most so many per cent above the least; null where the bound is 0. */
  readonly atMostAbovePercent?: number | null;
}

export type CuttingAnswer = CuttingPlan | { readonly error: 'longer-than-any-stock'; readonly cut: string } | { readonly error: 'not-enough-stock'; readonly cuts: readonly string[] };

interface Cut {
  readonly id: string;
  readonly mm: number;
}

function planOf(opened: readonly Opened<Cut>[], shelf: Shelf): CuttingPlan {
  const total = opened.reduce(
    (c, o) =>
      sum(
        c,
        costOf(
          o.stock,
          o.cuts.reduce((s, x) => s + x.mm, 0),
          o.cuts.length,
          shelf,
        ),
      ),
    FREE,
  );
  const bought: Record<string, number> = {};
  let [keptMm, wasteMm] = [0, 0];
  for (const { stock, cuts } of opened) {
    const used = cuts.reduce((s, x) => s + x.mm, 0);
    const rest = Math.max(0, stock.mm - used - cuts.length * shelf.lossMm);
    const kept = rest >= shelf.keepMm ? rest : 0;
    keptMm += kept;
    wasteMm += stock.mm - used - kept;
    if (stock.cents !== null) bought[String(stock.from)] = (bought[String(stock.from)] ?? 0) + 1;
  }
  for (const o of shelf.offcuts) if (o.mm >= shelf.keepMm && !opened.some((p) => p.stock === o)) keptMm += o.mm;
  return {
    price: centsPaid(total) / 100,
    boughtPieces: Object.values(bought).reduce((a, b) => a + b, 0),
    keptM: keptMm / 1000,
    wasteM: wasteMm / 1000,
    bought,
    pieces: opened.map((o) => ({ from: o.stock.from, cuts: o.cuts.map((c) => c.id) })),
  };
}

/** Cuts that no sold length gives: the shelf has to. */
const shelfOnly = (cuts: readonly Cut[], shelf: Shelf): Cut[] => cuts.filter((c) => !shelf.sold.some((s) => fits(s, c.mm, 1, shelf)));

/**
 * How to cut one kind of cable: least price, then fewest pieces bought, then most metres left in pieces worth keeping, then
 * least waste. The best of all plans while they can be tried (some fourteen different cuts); a longer list gets a good plan and
 * says how far above the least its price can be.
 *
 * @example cuttingPlan({ lossM: 0.02, keepM: 1, sold: [{ lengthM: 10, price: 24 }], offcuts: [], cuts: [{ id: 'feed', lengthM: 4 }] }).price // 24
 */
export function cuttingPlan(task: CuttingTask): CuttingAnswer {
  const shelf = shelfOf(task);
  const cuts: Cut[] = task.cuts.map((c) => ({ id: c.id, mm: mmOf(c.lengthM) }));
  const tooLong = cuts.find((c) => ![...shelf.offcuts, ...shelf.sold].some((s) => fits(s, c.mm, 1, shelf)));
  if (tooLong) return { error: 'longer-than-any-stock', cut: tooLong.id };
  const lacking = shelfOnly(cuts, shelf);
  const short = { error: 'not-enough-stock', cuts: lacking.map((c) => c.id) } as const;
  if (stepsOf(cuts, shelf) <= MOST_STEPS) {
    const best = exactPlan(cuts, shelf);
    return best ? planOf(best.opened, shelf) : short;
  }
  const opened = nearPlan(cuts, shelf);
  if (!opened) return short;
  const plan = planOf(opened, shelf);
  const least = leastCents(cuts, shelf) / 100;
  return { ...plan, atMostAbovePercent: least > 0 ? Math.round((plan.price / least - 1) * 1000) / 10 : plan.price > 0 ? null : 0 };
}

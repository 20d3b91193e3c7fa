import { type Cost, costOf, FREE, less, sum } from './cost.js';
import { exactPlan, MOST_STEPS, type Opened, stepsOf } from './exact.js';
import { fits, type Shelf, type Stock } from './task.js';

interface Cut {
  readonly mm: number;
}

const sumMm = (cuts: readonly Cut[]): number => cuts.reduce((s, c) => s + c.mm, 0);
const takes = (o: Opened<Cut>, cut: Cut, shelf: Shelf): boolean => fits(o.stock, sumMm(o.cuts) + cut.mm, o.cuts.length + 1, shelf);

/** Longest first, each into the piece that it leaves least of; a new piece of `open` where none takes it. */
function longestFirst<C extends Cut>(cuts: readonly C[], shelf: Shelf, open: Stock | undefined): Opened<C>[] | null {
  const pieces: Opened<C>[] = shelf.offcuts.map((stock) => ({ stock, cuts: [] }));
  for (const cut of [...cuts].sort((a, b) => b.mm - a.mm)) {
    const best = pieces.reduce((found, p, i) => {
      if (!takes(p, cut, shelf)) return found;
      const left = (q: Opened<C>): number => q.stock.mm - sumMm(q.cuts);
      return found < 0 || left(p) < left(pieces[found]!) ? i : found;
    }, -1);
    if (best >= 0) pieces[best] = { stock: pieces[best]!.stock, cuts: [...pieces[best]!.cuts, cut] };
    else {
      const stock = [open, ...shelf.sold].find((s) => s && fits(s, cut.mm, 1, shelf));
      if (!stock) return null;
      pieces.push({ stock, cuts: [cut] });
    }
  }
  return pieces.filter((p) => p.cuts.length > 0);
}

const costOfAll = (opened: readonly Opened<Cut>[], shelf: Shelf): Cost => opened.reduce((c, o) => sum(c, costOf(o.stock, sumMm(o.cuts), o.cuts.length, shelf)), FREE);

/** Some pieces' cuts planned anew, with all the offcuts that the other pieces leave alone. */
function again<C extends Cut>(opened: readonly Opened<C>[], some: readonly Opened<C>[], shelf: Shelf): Opened<C>[] | null {
  const others = opened.filter((o) => !some.includes(o));
  const free = { ...shelf, offcuts: shelf.offcuts.filter((s) => !others.some((o) => o.stock === s)) };
  const cuts = some.flatMap((o) => o.cuts);
  if (stepsOf(cuts, free) > MOST_STEPS / 400) return null;
  const better = exactPlan(cuts, free);
  return better && less(better.cost, costOfAll(some, shelf)) ? [...others, ...better.opened] : null;
}

/** Two pieces at a time planned anew by trying all, until no two do better. */
function improved<C extends Cut>(start: Opened<C>[], shelf: Shelf): Opened<C>[] {
  let opened = start;
  for (let i = 0; i < opened.length; i++)
    for (let j = i; j < opened.length; j++) {
      const better = again(opened, i === j ? [opened[i]!] : [opened[i]!, opened[j]!], shelf);
      if (!better) continue;
      opened = better;
      i = -1;
      break;
    }
  return opened;
}

/** A good plan for a list too long to try all, or null where none was found. */
export function nearPlan<C extends Cut>(cuts: readonly C[], shelf: Shelf): Opened<C>[] | null {
  let best: Opened<C>[] | null = null;
  for (const open of shelf.sold.length ? shelf.sold : [undefined]) {
    const first = longestFirst(cuts, shelf, open);
    if (!first) continue;
    const now = improved(first, shelf);
    if (!best || less(costOfAll(now, shelf), costOfAll(best, shelf))) best = now;
  }
  return best;
}

/**
 * Hundredths below which no plan can stay: what is wanted beyond all offcuts, at the sold length that is cheapest a metre. A
 * piece of L gives cuts that with their losses come to at most L and one loss.
 */
export function leastCents(cuts: readonly Cut[], shelf: Shelf): number {
  const wanted = cuts.reduce((s, c) => s + c.mm + shelf.lossMm, 0) - shelf.offcuts.reduce((s, o) => s + o.mm + shelf.lossMm, 0);
  const perMm = Math.min(...shelf.sold.map((s) => s.cents! / (s.mm + shelf.lossMm)));
  return wanted > 0 && Number.isFinite(perMm) ? Math.ceil(wanted * perMm - 1e-9) : 0;
}

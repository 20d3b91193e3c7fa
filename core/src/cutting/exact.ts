import { type Cost, costOf, less, sum } from './cost.js';
import { fits, type Shelf, type Stock } from './task.js';

/** A piece with the cuts that come out of it. */
export interface Opened<C> {
  readonly stock: Stock;
  readonly cuts: readonly C[];
}

interface Cut {
  readonly mm: number;
}

/** Above so many steps a list is not answered by trying all. */
export const MOST_STEPS = 2e7;

/** Cuts of one length, and the place value of their number in a state. */
interface Kind<C> {
  readonly cuts: readonly C[];
  readonly mm: number;
  readonly place: number;
}

function kindsOf<C extends Cut>(cuts: readonly C[]): { kinds: Kind<C>[]; states: number } {
  const byLength = new Map<number, C[]>();
  for (const c of cuts) byLength.set(c.mm, [...(byLength.get(c.mm) ?? []), c]);
  let states = 1;
  const kinds = [...byLength].map(([mm, of]) => {
    const kind = { cuts: of, mm, place: states };
    states *= of.length + 1;
    return kind;
  });
  return { kinds, states };
}

/** Steps that trying all would take: each set of cuts with each of its parts, for the shelf's pieces and the sold ones. */
export function stepsOf(cuts: readonly Cut[], shelf: Shelf): number {
  return kindsOf(cuts).kinds.reduce((n, k) => (n * (k.cuts.length + 1) * (k.cuts.length + 2)) / 2, shelf.offcuts.length + 1);
}

/** A state is how many cuts of each length are meant, written as one number; this is what each comes to. */
class Sets<C extends Cut> {
  readonly sumMm: Float64Array;
  readonly count: Uint16Array;
  private readonly buffer: Int32Array;

  constructor(
    readonly kinds: readonly Kind<C>[],
    readonly states: number,
  ) {
    this.sumMm = new Float64Array(states);
    this.count = new Uint16Array(states);
    this.buffer = new Int32Array(states);
    for (let s = 0; s < states; s++)
      for (const k of kinds) {
        this.sumMm[s]! += this.digit(s, k) * k.mm;
        this.count[s]! += this.digit(s, k);
      }
  }

  digit(state: number, kind: Kind<C>): number {
    return Math.floor(state / kind.place) % (kind.cuts.length + 1);
  }

  /** All parts of a state, the empty one first; with `first`, only those that hold a cut of its first length. */
  parts(state: number, first: boolean): Int32Array {
    let n = 1;
    let must = first;
    this.buffer[0] = 0;
    for (const k of this.kinds) {
      const most = this.digit(state, k);
      if (most === 0) continue;
      const from = must ? 1 : 0;
      const had = n;
      if (must) this.buffer[0] = k.place;
      must = false;
      for (let d = from + 1; d <= most; d++) for (let i = 0; i < had; i++) this.buffer[n++] = this.buffer[i]! + (d - from) * k.place;
    }
    return this.buffer.subarray(0, n);
  }
}

const NEVER: Cost = { paid: Infinity, left: 0 };

/** Best cost of each state, and the part that its last piece holds. */
interface Table {
  readonly cost: Cost[];
  /** By offcut: the part that it gives in each state, 0 for none. */
  readonly given: Int32Array[];
}

/** What the shelf alone can give: each offcut once, in turn. */
function fromShelf<C extends Cut>(sets: Sets<C>, shelf: Shelf): Table {
  const cost: Cost[] = new Array<Cost>(sets.states).fill(NEVER);
  cost[0] = { paid: 0, left: 0 };
  const given = shelf.offcuts.map((stock) => {
    const part = new Int32Array(sets.states);
    for (let state = sets.states - 1; state > 0; state--)
      for (const p of sets.parts(state, false)) {
        if (p === 0 || cost[state - p] === NEVER || !fits(stock, sets.sumMm[p]!, sets.count[p]!, shelf)) continue;
        const now = sum(cost[state - p]!, costOf(stock, sets.sumMm[p]!, sets.count[p]!, shelf));
        if (!less(now, cost[state]!)) continue;
        cost[state] = now;
        part[state] = p;
      }
    return part;
  });
  return { cost, given };
}

/** The sold length that a part is best cut from, by what it costs. */
function bestSold<C extends Cut>(sets: Sets<C>, shelf: Shelf): { stock: (Stock | null)[]; cost: Cost[] } {
  const stock: (Stock | null)[] = new Array<Stock | null>(sets.states).fill(null);
  const cost: Cost[] = new Array<Cost>(sets.states).fill(NEVER);
  for (let p = 1; p < sets.states; p++)
    for (const s of shelf.sold) {
      if (!fits(s, sets.sumMm[p]!, sets.count[p]!, shelf)) continue;
      const now = costOf(s, sets.sumMm[p]!, sets.count[p]!, shelf);
      if (!less(now, cost[p]!)) continue;
      cost[p] = now;
      stock[p] = s;
    }
  return { stock, cost };
}

function fromSold<C extends Cut>(sets: Sets<C>, one: readonly Cost[]): { cost: Cost[]; part: Int32Array } {
  const cost: Cost[] = new Array<Cost>(sets.states).fill(NEVER);
  const part = new Int32Array(sets.states);
  cost[0] = { paid: 0, left: 0 };
  for (let state = 1; state < sets.states; state++)
    for (const p of sets.parts(state, true)) {
      if (one[p] === NEVER || cost[state - p] === NEVER) continue;
      const now = sum(cost[state - p]!, one[p]!);
      if (!less(now, cost[state]!)) continue;
      cost[state] = now;
      part[state] = p;
    }
  return { cost, part };
}

/** The best of all plans, or null where the cuts do not come out of what there is. Every set of cuts is tried for every piece. */
export function exactPlan<C extends Cut>(cuts: readonly C[], shelf: Shelf): { readonly opened: Opened<C>[]; readonly cost: Cost } | null {
  const { kinds, states } = kindsOf(cuts);
  const sets = new Sets(kinds, states);
  const own = fromShelf(sets, shelf);
  const sold = bestSold(sets, shelf);
  const bought = fromSold(sets, sold.cost);
  let best = NEVER;
  let split = -1;
  for (let state = 0; state < states; state++) {
    const there = own.cost[state]!;
    const rest = bought.cost[states - 1 - state]!;
    if (there === NEVER || rest === NEVER || !less(sum(there, rest), best)) continue;
    best = sum(there, rest);
    split = state;
  }
  if (split < 0) return null;
  const stacks = kinds.map((k) => [...k.cuts]);
  const take = (part: number): C[] => kinds.flatMap((k, i) => stacks[i]!.splice(0, sets.digit(part, k)));
  const opened: Opened<C>[] = [];
  for (let i = shelf.offcuts.length - 1, state = split; i >= 0; i--) {
    const part = own.given[i]![state]!;
    if (part > 0) opened.unshift({ stock: shelf.offcuts[i]!, cuts: take(part) });
    state -= part;
  }
  for (let state = states - 1 - split; state > 0; state -= bought.part[state]!) opened.push({ stock: sold.stock[bought.part[state]!]!, cuts: take(bought.part[state]!) });
  return { opened, cost: best };
}

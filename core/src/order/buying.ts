import type { Design } from '../design/index.js';
import type { OrderLine } from './line.js';
import type { Order } from './list.js';

/** What was got of a line of the order. */
export type Bought = Design['bought'][string];

/** How a line stands: nothing missing, on its way, or still to be ordered. */
export type BuyState = 'here' | 'ordered' | 'to order';

/** A line of the order beside what was got of it. */
export interface BuyLine {
  readonly line: OrderLine;
  readonly bought: Bought | null;
  readonly state: BuyState;
  /** Still to be ordered, in the line’s unit. */
  readonly toOrder: number;
  /** Ordered and not here yet. */
  readonly waiting: number;
  /** Its day has passed. */
  readonly late: boolean;
  readonly price: number;
}

/** What was got and the plan no longer asks for. */
export interface Spare {
  readonly key: string;
  readonly what: string;
  readonly unit: 'pc' | 'm';
  /** More than is wanted: here, to go back or on to the shelf; and on its way, to be called off. */
  readonly here: number;
  readonly waiting: number;
}

/** How far an order is. */
export interface Buying {
  readonly lines: readonly BuyLine[];
  readonly spares: readonly Spare[];
  readonly counts: Readonly<Record<BuyState, number>>;
  /** What is still to be ordered, at planning prices, in the workshop’s money. */
  readonly toOrderPrice: number;
  /** The last day on which something should come; null: nothing is on its way, or nobody said when. */
  readonly allBy: string | null;
  readonly late: number;
}

const NEAR = 1e-6;

function stands(line: OrderLine, bought: Bought | null, today: string): BuyLine {
  const [count, here] = [bought?.count ?? 0, bought?.here ?? 0];
  const toOrder = Math.max(0, line.quantity - count);
  const missing = Math.max(0, line.quantity - here);
  const state = missing < NEAR ? 'here' : toOrder > NEAR ? 'to order' : 'ordered';
  const waiting = Math.max(0, count - here);
  return { line, bought, state, toOrder, waiting, late: missing > NEAR && waiting > NEAR && bought?.due != null && bought.due < today, price: toOrder * line.priceEach };
}

function spareOf(key: string, { what, unit, count, here }: Bought, wanted: number): Spare[] {
  const over = Math.max(0, count - wanted);
  if (over < NEAR) return [];
  // What has not come yet is called off first: nobody has to send it back.
  const waiting = Math.min(over, Math.max(0, count - here));
  return [{ key, what, unit, here: over - waiting, waiting }];
}

/** What was got for all vehicles of a job, line by line. */
export function allBought({ bought, vehicles }: Pick<Design, 'bought' | 'vehicles'>): Design['bought'] {
  const all: Design['bought'] = {};
  for (const [key, b] of [bought, ...Object.values(vehicles).map((v) => v.bought)].flatMap((of) => Object.entries(of))) {
    const there = all[key];
    all[key] = there ? { ...there, count: there.count + b.count, here: there.here + b.here, due: [there.due, b.due].sort().at(-1) ?? null, shelf: there.shelf + b.shelf } : b;
  }
  return all;
}

/**
 * An order beside what was got of it: what is still to be ordered, what is on its way and late, and what a changed plan
 * asks for no more. `today` as `2026-12-03`.
 */
export function buyingOf({ lines }: Pick<Order, 'lines'>, bought: Design['bought'], today: string): Buying {
  const all = lines.map((l) => stands(l, bought[l.key] ?? null, today));
  const wanted = new Map(lines.map((l) => [l.key, l.quantity]));
  const of = (state: BuyState): number => all.filter((l) => l.state === state).length;
  const dues = all.flatMap((l) => (l.waiting > NEAR && l.state !== 'here' && l.bought?.due ? [l.bought.due] : []));
  return {
    lines: all,
    spares: Object.entries(bought).flatMap(([key, b]) => spareOf(key, b, wanted.get(key) ?? 0)),
    counts: { here: of('here'), ordered: of('ordered'), 'to order': of('to order') },
    toOrderPrice: all.reduce((sum, l) => sum + l.price, 0),
    allBy: dues.sort().at(-1) ?? null,
    late: all.filter((l) => l.late).length,
  };
}

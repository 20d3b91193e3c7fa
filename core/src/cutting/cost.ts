import type { Shelf, Stock } from './task.js';

/**
 * What is to be kept small, in turn: hundredths paid, pieces bought, less what stays in pieces worth keeping, waste. Two
 * numbers that add up piece by piece and compare in this order; millimetres and hundredths stay far below what they can hold.
 */
export interface Cost {
  readonly paid: number;
  readonly left: number;
}

const PIECES_IN = 1e4;
const MM_IN = 1e7;

export const FREE: Cost = { paid: 0, left: 0 };

/** A piece that is opened, against leaving it (an offcut) or not buying it. */
export function costOf(stock: Stock, sumMm: number, cuts: number, shelf: Shelf): Cost {
  const rest = Math.max(0, stock.mm - sumMm - cuts * shelf.lossMm);
  const kept = rest >= shelf.keepMm ? rest : 0;
  const keptBefore = stock.cents === null && stock.mm >= shelf.keepMm ? stock.mm : 0;
  const waste = stock.mm - sumMm - kept;
  return { paid: stock.cents === null ? 0 : stock.cents * PIECES_IN + 1, left: (keptBefore - kept) * MM_IN + waste };
}

export const sum = (a: Cost, b: Cost): Cost => ({ paid: a.paid + b.paid, left: a.left + b.left });
export const less = (a: Cost, b: Cost): boolean => a.paid < b.paid || (a.paid === b.paid && a.left < b.left);
export const centsPaid = (c: Cost): number => Math.floor(c.paid / PIECES_IN);

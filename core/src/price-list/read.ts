import { z } from 'zod';
import type { PriceColumns, PriceTable } from './table.js';

/** One thing that a supplier sells. */
export const priceItemSchema = z.object({
  code: z.string().max(80),
  what: z.string().min(1).max(200),
  /** Of one piece or metre, without tax, in the workshop's money. */
  each: z.number().positive().max(1_000_000),
});
export type PriceItem = z.infer<typeof priceItemSchema>;

/** A line that gives no price, with why. */
export interface LeftOut {
  /** As a text editor counts it; the headings are line 1. */
  readonly line: number;
  readonly why: string;
}

export interface PricesRead {
  readonly items: readonly PriceItem[];
  readonly left: readonly LeftOut[];
}

/**
 * An amount as it stands in a file, whatever parts its thousands and decimals; null: it is none. Of a comma or dot alone
 * before exactly three figures nobody knows which it is: with a currency's two decimals it would be one thousand or more.
 * @example amountOf('$1.234,50') // 1234.5
 */
export function amountOf(text: string): number | null {
  const bare = text.replace(/[^\d.,-]/g, '');
  if (!/\d/.test(bare) || bare.includes('-')) return null;
  const last = Math.max(bare.lastIndexOf(','), bare.lastIndexOf('.'));
  if (last < 0) return Number(bare);
  const [before, after] = [bare.slice(0, last), bare.slice(last + 1)];
  const mark = bare[last]!;
  const other = mark === ',' ? '.' : ',';
  const thousands = after.length === 3 && before !== '' && before !== '0' && !before.includes(other);
  const whole = before.replaceAll(',', '').replaceAll('.', '');
  const value = Number(thousands ? `${whole}${after}` : `${whole || '0'}.${after}`);
  return Number.isFinite(value) ? value : null;
}

/** How many pieces or metres a price is for. */
function perOf(text: string): number | null {
  if (text === '') return 1;
  const found = /(\d+(?:[.,]\d+)?)/.exec(text);
  if (!found) return /^(ea|each|pc|pcs|m|metre|meter|per m|unit)\.?$/i.test(text) ? 1 : null;
  const n = Number(found[1]!.replace(',', '.'));
  return n > 0 ? n : null;
}

function itemOf(row: readonly string[], { code, what, price, per }: PriceColumns): PriceItem | string {
  const [said, asked] = [(row[what] ?? '').slice(0, 200), row[price] ?? ''];
  if (!said) return 'nothing says what it is';
  const amount = amountOf(asked);
  if (amount === null || amount <= 0) return `price: ${asked ? `“${asked}”` : 'nothing'}; an amount above 0 is accepted`;
  const share = per === null ? 1 : perOf(row[per] ?? '');
  if (share === null) return `per: “${row[per!]}”; a number of pieces or metres is accepted`;
  const each = Math.round((amount / share) * 10_000) / 10_000;
  return each > 0 && each <= 1_000_000 ? { code: (code === null ? '' : (row[code] ?? '')).slice(0, 80), what: said, each } : `price: ${asked} is for ${share}, which leaves nothing for one`;
}

/** Everything of a file that has a price, and the lines that have none, with why. */
export function readPrices({ rows }: PriceTable, columns: PriceColumns): PricesRead {
  const [items, left]: [PriceItem[], LeftOut[]] = [[], []];
  for (const [i, row] of rows.entries()) {
    const item = itemOf(row, columns);
    if (typeof item === 'string') left.push({ line: i + 2, why: item });
    else items.push(item);
  }
  return { items, left };
}

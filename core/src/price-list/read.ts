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

/** A row that gives no price, with why. */
export interface LeftOut {
  readonly row: number;
  readonly why: string;
}

export interface PricesRead {
  readonly items: readonly PriceItem[];
  readonly left: readonly LeftOut[];
}

/** What stands before the cents in a file; the other of the two parts thousands. */
export type DecimalMark = '.' | ',';

const bareOf = (text: string): string => text.replace(/[^\d.,-]/g, '').replace(/[.,]+$/, '');

/**
 * What a whole column has before its cents: what one amount alone does not tell (`4.125`), the others do (`1.190,00`).
 * Where none tells it is a dot.
 * @example decimalMarkOf(['4.125', '12,50']) // ','
 */
export function decimalMarkOf(amounts: readonly string[]): DecimalMark {
  let commas = 0;
  for (const bare of amounts.map(bareOf)) {
    const marks = bare.replace(/[^.,]/g, '');
    const last = bare[Math.max(bare.lastIndexOf(','), bare.lastIndexOf('.'))];
    if (marks === '' || last === undefined) continue;
    // Both: the last one. One mark twice parts thousands. One alone tells unless three figures follow, which thousands have too.
    const told = marks.includes(',') && marks.includes('.') ? last : marks.length > 1 ? (last === ',' ? '.' : ',') : /[.,]\d{3}$/.test(bare) && !/^0?[.,]/.test(bare) ? null : last;
    if (told !== null) commas += told === ',' ? 1 : -1;
  }
  return commas > 0 ? ',' : '.';
}

/** An amount in a file that has this mark before its cents; null: it is none, or its thousands are parted where none are. @example amountOf('$1.234,50', ',') // 1234.5 */
export function amountOf(text: string, mark: DecimalMark): number | null {
  const bare = bareOf(text);
  const plain = mark === ',' ? bare.replaceAll('.', ' ').replaceAll(',', '.') : bare.replaceAll(',', ' ');
  return /^(\d+|\d{1,3}( \d{3})+)?(\.\d+)?$/.test(plain) && plain !== '' ? Number(plain.replaceAll(' ', '')) : null;
}

/** How many pieces or metres a price is for. */
function perOf(text: string): number | null {
  if (text === '') return 1;
  const found = /(\d+(?:[.,]\d+)?)/.exec(text);
  if (!found) return /^(ea|each|pc|pcs|m|metre|meter|per m|unit)\.?$/i.test(text) ? 1 : null;
  const n = Number(found[1]!.replace(',', '.'));
  return n > 0 ? n : null;
}

function itemOf(row: readonly string[], { code, what, price, per }: PriceColumns, mark: DecimalMark): PriceItem | string {
  const [said, asked] = [(row[what] ?? '').slice(0, 200), row[price] ?? ''];
  if (!said) return 'nothing says what it is';
  const amount = amountOf(asked, mark);
  if (amount === null || amount <= 0) return `price: ${asked ? `“${asked}”` : 'nothing'}; an amount above 0${mark === ',' ? ' with a comma before the cents, as the others have,' : ''} is accepted`;
  const share = per === null ? 1 : perOf(row[per] ?? '');
  if (share === null) return `per: “${row[per!]}”; a number of pieces or metres is accepted`;
  const each = Math.round((amount / share) * 10_000) / 10_000;
  return each > 0 && each <= 1_000_000 ? { code: (code === null ? '' : (row[code] ?? '')).slice(0, 80), what: said, each } : `price: ${asked} is for ${share}, which leaves nothing for one`;
}

/** Everything of a file that has a price, and the rows that have none, with why. */
export function readPrices({ rows }: PriceTable, columns: PriceColumns): PricesRead {
  const mark = decimalMarkOf(rows.map((r) => r.cells[columns.price] ?? ''));
  const [items, left]: [PriceItem[], LeftOut[]] = [[], []];
  for (const { row, cells } of rows) {
    const item = itemOf(cells, columns, mark);
    if (typeof item === 'string') left.push({ row, why: item });
    else items.push(item);
  }
  return { items, left };
}

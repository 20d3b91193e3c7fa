import type { Offers } from '@meridex/contract';
import { createHash } from 'node:crypto';

/** The supplier that ships with the program, to try ordering with: it sells nothing to anybody. */
export const SIMULATED = 'Mulga Bench Supply (simulated)';

/** A number from 0 to 1 that is the same for the same words. */
const share = (...words: readonly string[]): number => createHash('sha256').update(words.join('|')).digest().readUInt32BE(0) / 2 ** 32;

const STOCK = { most: 60, outOf: 0.15 } as const;

/**
 * What the simulated supplier says on a day: a price of its own for each thing, within a fifth of the planned one, that
 * moves by at most 3 % from week to week; stock that changes daily; next to two working days for what it has enough of,
 * four to fifteen for what it must get in. The same question on the same day has the same answer.
 */
export function offersOn(day: string, lines: readonly { readonly key: string; readonly count: number; readonly planned: number }[]): Offers {
  const week = `${Math.floor(Date.parse(day) / (7 * 86_400_000))}`;
  return {
    supplier: SIMULATED,
    on: day,
    offers: lines.map(({ key, count, planned }) => {
      const each = Math.max(0.01, Math.round(100 * planned * (0.8 + 0.4 * share('price', key)) * (0.97 + 0.06 * share('week', key, week))) / 100);
      const has = share('out', key, day) < STOCK.outOf ? 0 : Math.ceil(STOCK.most * share('stock', key, day));
      return { key, each, has, days: has >= count ? 1 + Math.floor(2 * share('soon', key, day)) : 4 + Math.floor(12 * share('late', key, day)) };
    }),
  };
}

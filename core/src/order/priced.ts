import { dayInWords } from '../quantity/index.js';
import type { OrderLine } from './line.js';

/**
 * By whose prices an order is reckoned, in words: those that ship for planning, suppliers' own, or both.
 * @example pricedInWords([]) // 'at planning prices'
 */
export function pricedInWords(lines: readonly OrderLine[]): string {
  const asked = lines.filter((l) => l.priced);
  if (!asked.length) return 'at planning prices';
  const who = [...new Set(asked.map((l) => l.priced!.from))].join(' and ');
  const days = asked.map((l) => l.priced!.on).sort();
  const since = `as of ${dayInWords(days[0]!)}${days[0] === days.at(-1) ? '' : ` to ${dayInWords(days.at(-1)!)}`}`;
  return asked.length === lines.length ? `at the prices of ${who} ${since}` : `${asked.length} of ${lines.length} lines at the prices of ${who} ${since}, the rest at planning prices`;
}

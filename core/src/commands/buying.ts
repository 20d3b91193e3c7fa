import { z } from 'zod';
import type { Design } from '../design/index.js';
import { command, Refused } from './command.js';

const key = z.string().min(1).max(160);
const quantity = z.number().min(0).max(9999);
const line = z.strictObject({ key, what: z.string().max(160), unit: z.enum(['pc', 'm']), count: quantity });

type Bought = Design['bought'][string];

function bought(d: Design, of: string): Bought {
  const found = d.bought[of];
  if (!found) throw new Refused(`key: nothing of ${of} was ordered or taken from the shelf yet`);
  return found;
}

/** Keeps what was got of a line, and forgets it where nothing is left. */
function keep(d: Design, of: string, next: Bought): void {
  if (next.count > 0 || next.here > 0 || next.shelf !== 0) d.bought[of] = next;
  else delete d.bought[of];
}

/** So much more of some lines is ordered, from whom and for which day. */
export const orderParts = command({
  input: z.strictObject({ lines: z.array(line).min(1).max(400), from: z.string().max(80).default(''), due: z.iso.date().nullable().default(null) }),
  words: (i) => (i.lines.length === 1 ? `ordered: ${i.lines[0]!.what}` : `ordered: ${i.lines.length} lines`),
  change: (d, { lines, from, due }) => {
    for (const { key: of, what, unit, count } of lines) {
      const now = d.bought[of];
      keep(d, of, { what, unit, count: (now?.count ?? 0) + count, here: now?.here ?? 0, from: from || (now?.from ?? ''), due: due ?? now?.due ?? null, shelf: now?.shelf ?? 0 });
    }
  },
});

/** So much of some lines is here: it came, or was taken off the shelf (`shelf`), which has so much less then. What was not ordered before is counted as got with it. */
export const partsHere = command({
  input: z.strictObject({ lines: z.array(line).min(1).max(400), from: z.string().max(80).default(''), shelf: z.boolean().default(false) }),
  words: (i) => (i.lines.length === 1 ? `here: ${i.lines[0]!.what}` : `here: ${i.lines.length} lines`),
  change: (d, { lines, from, shelf }) => {
    for (const { key: of, what, unit, count } of lines) {
      const now = d.bought[of];
      const here = (now?.here ?? 0) + count;
      keep(d, of, { what, unit, count: Math.max(now?.count ?? 0, here), here, from: from || (now?.from ?? ''), due: now?.due ?? null, shelf: (now?.shelf ?? 0) + (shelf ? count : 0) });
    }
  },
});

/** Another count, supplier or day of one line. */
export const setBought = command({
  input: z.strictObject({ key, set: z.strictObject({ count: quantity, here: quantity, from: z.string().max(80), due: z.iso.date().nullable() }).partial() }),
  words: (i) => `${Object.keys(i.set).join(', ')} of ${i.key}`,
  change: (d, { key: of, set }) => {
    const next = { ...bought(d, of), ...set };
    if (next.here > next.count) throw new Refused(`here: ${next.here}, of ${next.count} that were ordered; no more than those are accepted`);
    // The shelf gave no more than is here.
    keep(d, of, { ...next, shelf: Math.min(next.shelf, next.here) });
  },
});

/** What a supplier asks for some lines, as of a day, takes the place of what they were reckoned with. */
export const takePrices = command({
  input: z.strictObject({
    prices: z
      .array(z.strictObject({ key, each: z.number().positive().max(1_000_000) }))
      .min(1)
      .max(400),
    from: z.string().max(80),
    on: z.iso.date(),
  }),
  words: (i) => `prices of ${i.from}: ${i.prices.length} ${i.prices.length === 1 ? 'line' : 'lines'}`,
  change: (d, { prices, from, on }) => {
    for (const { key: of, each } of prices) d.prices[of] = { each, from, on };
  },
});

/** Lines are reckoned with the defaults for planning again. */
export const dropPrices = command({
  input: z.strictObject({ keys: z.array(key).min(1).max(400) }),
  words: (i) => `planning prices again: ${i.keys.length} ${i.keys.length === 1 ? 'line' : 'lines'}`,
  change: (d, { keys }) => {
    for (const of of keys) delete d.prices[of];
  },
});

/** What is more than wanted goes back to who sold it, or on to the workshop’s shelf (`shelf`), or is called off. */
export const giveBack = command({
  input: z.strictObject({ key, here: quantity, waiting: quantity, shelf: z.boolean().default(false) }),
  words: (i) => `${i.shelf ? 'on to the shelf' : 'given back'}${i.waiting ? ' or called off' : ''}: ${i.key}`,
  change: (d, { key: of, here, waiting, shelf }) => {
    const now = bought(d, of);
    if (here > now.here) throw new Refused(`here: ${here}, of ${now.here} that are here; no more than those are accepted`);
    if (waiting > now.count - now.here) throw new Refused(`waiting: ${waiting}, of ${now.count - now.here} on their way; no more than those are accepted`);
    keep(d, of, { ...now, count: now.count - here - waiting, here: now.here - here, shelf: now.shelf - (shelf ? here : 0) });
  },
});

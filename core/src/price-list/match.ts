import type { PriceItem } from './read.js';

/** A line of an order, and what of a price list it is. */
export interface Match {
  readonly key: string;
  readonly item: PriceItem;
}

/** What is said in several ways in the trade, by one word of it. */
const ALIKE: Readonly<Record<string, string>> = {
  wire: 'cable',
  terminal: 'lug',
  ring: 'lug',
  rings: 'lug',
  lugs: 'lug',
  sleeve: 'shrink',
  heatshrink: 'shrink',
  blk: 'black',
  adhesive: 'glue',
  lined: 'glue',
  dcdc: 'charger',
  lfp: 'lithium',
  lifepo4: 'lithium',
  breakers: 'breaker',
  fuses: 'fuse',
  holders: 'holder',
  panels: 'panel',
  solar: 'panel',
  labels: 'label',
  clips: 'clip',
  glands: 'gland',
  grommets: 'grommet',
};
const NOISE: ReadonlySet<string> = new Set(['for', 'with', 'and', 'of', 'the', 'a', 'to', 'in', 'x', 'pc', 'm', 'each', 'printed']);
/** What may not differ: a red cable is no black one, a holder no fuse. */
const TELLING: readonly string[] = ['red', 'black', 'holder', 'fuse', 'breaker', 'lug', 'shrink', 'cable', 'label', 'plug', 'switch', 'sensor'];
const UNITS = 'mm2|mm|ah|a|wh|w|v|m|way|ways|core|cores|kw|in';

interface Words {
  readonly figures: ReadonlySet<string>;
  readonly words: ReadonlySet<string>;
}

/** Figures with their units, apart from the words. */
function wordsIn(text: string): Words {
  const low = text
    .toLowerCase()
    .replaceAll('²', '2')
    .replaceAll('sq.mm', 'mm2')
    .replaceAll('sqmm', 'mm2')
    .replaceAll('heat-shrink', 'shrink')
    .replaceAll('heat shrink', 'shrink')
    .replaceAll('dc-dc', 'dcdc');
  const figures = new Set<string>();
  const rest = low
    .replace(/\bm(\d{1,2})\b/g, (_, n: string) => (figures.add(`m${n}`), ' '))
    .replace(new RegExp(`(\\d+(?:\\.\\d+)?)\\s*-?(${UNITS})\\b`, 'g'), (_, n: string, unit: string) => (figures.add(`${Number(n)}${unit.replace(/^way$/, 'ways').replace(/^core$/, 'cores')}`), ' '));
  const words = rest.split(/[^a-z0-9.]+/).filter((w) => w.length > 1 && !NOISE.has(w) && !/^\d/.test(w));
  return { figures, words: new Set(words.map((w) => ALIKE[w] ?? w)) };
}

const LEAST = 0.5;

/** How well a list's words fit a line's; 0: not at all, since a figure or a telling word is another. */
function fit(line: Words, item: Words): number {
  if ([...line.figures].some((f) => !item.figures.has(f))) return 0;
  if (TELLING.some((w) => line.words.has(w) !== item.words.has(w))) return 0;
  const shared = [...line.words].filter((w) => item.words.has(w)).length;
  const all = line.words.size + item.words.size;
  // Figures that a line does not ask for make it another thing: a lug of 16 mm² for M8 is not one for M10.
  const more = [...item.figures].filter((f) => !line.figures.has(f)).length;
  return all ? (2 * shared) / all - 0.1 * more : 0;
}

interface Known extends Words {
  readonly item: PriceItem;
}

/** Things of a list by each figure and word that they say. */
function indexOf(items: readonly PriceItem[]): ReadonlyMap<string, readonly Known[]> {
  const by = new Map<string, Known[]>();
  for (const item of items) {
    const known = { item, ...wordsIn(item.what) };
    for (const said of [...known.figures, ...known.words]) {
      const there = by.get(said);
      if (there) there.push(known);
      else by.set(said, [known]);
    }
  }
  return by;
}

/** What can be a line at all: what has its rarest figure; of a line without figures, what shares a word with it. */
function candidates({ figures, words }: Words, by: ReadonlyMap<string, readonly Known[]>): Iterable<Known> {
  if (!figures.size) return new Set([...words].flatMap((w) => by.get(w) ?? []));
  return [...figures].map((f) => by.get(f) ?? []).sort((a, b) => a.length - b.length)[0]!;
}

/** The one that fits best; none where nothing fits, or others fit as well at another price. */
function bestOf(line: Words, by: ReadonlyMap<string, readonly Known[]>): PriceItem | null {
  let [score, best]: [number, PriceItem[]] = [LEAST, []];
  for (const known of candidates(line, by)) {
    const of = fit(line, known);
    if (of > score || (of === score && !best.length)) [score, best] = [of, [known.item]];
    else if (of === score) best.push(known.item);
  }
  return best[0] && best.every((i) => i.each === best[0]!.each) ? best[0] : null;
}

/**
 * What of a price list each line of an order is: by its figures, which must all be there, the colour and kind, which must
 * be the same, then by its words. Where several fit alike at different prices nobody can tell, and none is proposed.
 * `chosen` says what a person once chose for a line (a code of the list), and goes first; an empty code: none of this list.
 */
export function matchesOf(lines: readonly { readonly key: string; readonly what: string }[], items: readonly PriceItem[], chosen: Readonly<Record<string, string>> = {}): readonly Match[] {
  const byCode = new Map(items.map((i) => [codeOf(i), i]));
  const by = indexOf(items);
  return lines.flatMap(({ key, what }): Match[] => {
    const said = chosen[key];
    const item = said === undefined ? bestOf(wordsIn(what), by) : (byCode.get(said) ?? null);
    return item ? [{ key, item }] : [];
  });
}

/** A list's own name for a thing: its code, or its words where it has no codes. */
export const codeOf = ({ code, what }: PriceItem): string => code || what;

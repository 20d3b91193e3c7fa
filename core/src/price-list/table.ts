import Papa from 'papaparse';

/** A row of a file, with its place in it: the headings are row 1. */
export interface PriceRow {
  readonly row: number;
  readonly cells: readonly string[];
}

/** A supplier's file as it is: its headings and rows, whatever it parts them with. */
export interface PriceTable {
  readonly headings: readonly string[];
  readonly rows: readonly PriceRow[];
}

/** Which column of a file is what; null: the file has none. */
export interface PriceColumns {
  readonly code: number | null;
  readonly what: number;
  readonly price: number;
  /** How many pieces or metres the price is for. */
  readonly per: number | null;
}

const MOST_ROWS = 20_000;
const plain = (heading: string): string => heading.toLowerCase().replace(/[^a-z0-9/ ]/g, ' ');
/** Words of a heading by what the column is, the surest first. */
const HEADINGS: Readonly<Record<keyof PriceColumns, readonly RegExp[]>> = {
  what: [/descr/, /\bwhat\b/, /\bname\b/, /\bproduct\b/, /\bitem\b(?!.*(no|code|number))/, /\bpart\b(?!.*(no|code|number))/],
  price: [/\b(your|trade|net|nett|buy) price\b/, /\bprice\b/, /\bcost\b/, /\btrade\b/, /\bnett?\b/, /\beach\b/],
  code: [/\bcode\b/, /\bsku\b/, /\b(part|item|stock|cat|catalogue|order) (no|number)\b/, /\b(no|number)\b/],
  per: [/\bpack( size| qty)?\b/, /\bprice per\b/, /\bper\b/, /\bqty\b/, /\bquantity\b/, /\broll\b|\breel\b/],
};

/** Cuts a supplier's file into rows; the first line is its headings. @example readPriceTable('code;description;price\nC16R;cable 16 mm2 red;4,10') */
export function readPriceTable(text: string): { readonly ok: true; readonly table: PriceTable } | { readonly ok: false; readonly message: string } {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''));
  const [first, ...rows] = data.map((cells, i): PriceRow => ({ row: i + 1, cells: cells.map((c) => c.trim()) })).filter(({ cells }) => cells.some((c) => c !== ''));
  const headings = first?.cells;
  if (!headings || headings.length < 2) return { ok: false, message: 'file: no table in it; CSV with a line of headings, a description and a price is accepted' };
  if (!rows.length) return { ok: false, message: 'file: headings and no line under them' };
  if (rows.length > MOST_ROWS) return { ok: false, message: `file: ${rows.length} lines; up to ${MOST_ROWS} are accepted` };
  return { ok: true, table: { headings, rows } };
}

/** The columns that a file's headings point at; −1: nothing in them says which. @example guessColumns(['code', 'description', 'price']).price // 2 */
export function guessColumns(headings: readonly string[]): PriceColumns {
  const taken = new Set<number>();
  const find = (patterns: readonly RegExp[]): number => {
    for (const p of patterns) {
      const at = headings.findIndex((h, i) => !taken.has(i) && p.test(plain(h)));
      if (at >= 0) return (taken.add(at), at);
    }
    return -1;
  };
  const [price, code, what, per] = [find(HEADINGS.price), find(HEADINGS.code), find(HEADINGS.what), find(HEADINGS.per)];
  return { code: code < 0 ? null : code, what, price, per: per < 0 ? null : per };
}

import Papa from 'papaparse';
import { readOwnPart, type Part } from '../catalogue/index.js';

export type PartsFile = { readonly ok: true; readonly parts: readonly Part[] } | { readonly ok: false; readonly message: string };

/** A field of a table as a data sheet has it: numbers as numbers, sizes as `410x225x176`, several words with `|` between. */
function valueOf(key: string, raw: string): unknown {
  const text = raw.trim();
  if (text === '') return undefined;
  if (key === 'mm') return text.split(/[x×]/).map(Number);
  if (key === 'profiles') return text.split('|').map((p) => p.trim());
  if (text === 'yes' || text === 'no') return text === 'yes';
  const number = Number(text.replace(',', '.'));
  return key !== 'name' && key !== 'id' && Number.isFinite(number) ? number : text;
}

/** A key with dots stands for a figure inside another: `sunInput.maxA`. */
function nested(flat: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const out: Record<string, unknown> = {};
  for (const [key, value] of Object.entries(flat)) {
    if (value === undefined) continue;
    const [head, inner] = key.split('.') as [string, string?];
    if (inner === undefined) out[head] = value;
    else out[head] = { ...(out[head] as object | undefined), [inner]: value };
  }
  return out;
}

function rowsOf(text: string): { readonly ok: true; readonly rows: readonly unknown[] } | { readonly ok: false; readonly message: string } {
  if (/^\s*[[{]/.test(text)) {
    try {
      const json = JSON.parse(text) as unknown;
      return { ok: true, rows: Array.isArray(json) ? json : [json] };
    } catch (error) {
      return { ok: false, message: `file: not JSON (${(error as Error).message.split('\n')[0]})` };
    }
  }
  const table = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: 'greedy', transformHeader: (h) => h.trim() });
  const trouble = table.errors.find((e) => e.type !== 'Delimiter');
  if (trouble) return { ok: false, message: `line ${(trouble.row ?? 0) + 2}: ${trouble.message}` };
  return { ok: true, rows: table.data.map((row) => nested(Object.fromEntries(Object.entries(row).map(([k, v]) => [k, valueOf(k, v)])))) };
}

/**
 * Data sheets from a file: CSV with a line of headings, or JSON of one or many. The first that cannot be taken ends it,
 * with its line and field: a file is taken whole or not at all.
 * @example readPartsFile('kind,name,chemistry,capacityAh\nbattery,attic 135,agm,135')
 */
export function readPartsFile(text: string): PartsFile {
  const read = rowsOf(text);
  if (!read.ok) return read;
  if (!read.rows.length) return { ok: false, message: 'file: no data sheet in it; a line of headings and a line for each part, or JSON, is accepted' };
  const parts: Part[] = [];
  for (const [i, row] of read.rows.entries()) {
    const own = readOwnPart(row);
    if (!own.ok) return { ok: false, message: `part ${i + 1}: ${own.message}` };
    parts.push(own.part);
  }
  return { ok: true, parts };
}

/** Parts as CSV, a column for each figure that any of them has: what {@link readPartsFile} reads back. */
export function partsCsv(parts: readonly Part[]): string {
  const flat = parts.map((p): Record<string, unknown> =>
    Object.fromEntries(
      Object.entries(p).flatMap(([k, v]): [string, unknown][] => {
        if (k === 'special' || k === 'assumed' || v === null) return [];
        if (k === 'mm') return [[k, (v as number[]).join('x')]];
        if (k === 'profiles') return [[k, (v as string[]).join('|')]];
        if (typeof v === 'boolean') return [[k, v ? 'yes' : 'no']];
        return typeof v === 'object' ? Object.entries(v as object).map(([inner, x]) => [`${k}.${inner}`, x]) : [[k, v]];
      }),
    ),
  );
  const columns = [...new Set(flat.flatMap((f) => Object.keys(f)))];
  return `${Papa.unparse({ fields: columns, data: flat.map((f) => columns.map((c) => f[c] ?? '')) })}\r\n`;
}

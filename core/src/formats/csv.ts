import type { Label, LabelLink } from '../labels/index.js';
import type { Order } from '../order/index.js';

/** One field of a CSV file (RFC 4180); text that a spreadsheet would run as a formula is disarmed. */
export function csvField(value: string | number): string {
  const raw = typeof value === 'number' ? String(Math.round(value * 1000) / 1000) : value;
  const text = typeof value === 'string' && /^[=+\-@\t\r]/.test(raw) ? `'${raw}` : raw;
  return /[",\r\n]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text;
}

export function csv(rows: readonly (readonly (string | number)[])[]): string {
  return rows.map((r) => r.map(csvField).join(',')).join('\r\n') + '\r\n';
}

/** The parts list as CSV. */
export function orderCsv(order: Order): string {
  const rows = order.lines.map((l) => [l.group, l.what, l.quantity, l.unit, l.priceEach, l.quantity * l.priceEach, l.kg, l.uses.join('; ')]);
  return csv([['group', 'part', 'quantity', 'unit', 'price each', 'price', 'kg', 'used in'], ...rows]);
}

/** The cut list as CSV. */
export function cutsCsv(order: Order): string {
  const rows = order.cuts.map((c) => [c.run ?? '', c.name, c.lead, c.size, c.colour, c.lengthM, c.lugs, c.label]);
  return csv([['run', 'name', 'lead', 'size', 'colour', 'length m', 'ends', 'label'], ...rows]);
}

/** Labels as CSV, one a row, for a label printer: three lines at most beside the mark, and what a code on it opens, where that is said. */
export const labelsCsv = (labels: readonly Label[], link: LabelLink | null = null): string =>
  csv([
    ['kind', 'mark', 'line 1', 'line 2', 'line 3', ...(link ? ['opens'] : [])],
    ...labels.map((l) => [l.kind, l.mark, l.lines[0] ?? '', l.lines[1] ?? '', l.lines[2] ?? '', ...(link ? [l.run === undefined ? '' : link(l.run)] : [])]),
  ]);

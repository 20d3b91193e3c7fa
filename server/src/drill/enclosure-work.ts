import { assess, catalogueOf, sheetTemplate } from '@meridex/core';
import type { ToDraw } from './asked.js';
import { templatesDxf } from './dxf.js';
import { templatesPdf, type Paper } from './paper.js';

/** The sheets of a zone's box on paper of a size, or for a machine. */
export interface SheetsAsked {
  readonly draw: ToDraw;
  readonly zone: string;
  readonly as: Paper | 'dxf';
}

/** The sheets of a box as a file; null: there is no such box. */
export default async function sheetsFile({ draw: { design, of, revision }, zone, as }: SheetsAsked): Promise<Uint8Array | string | null> {
  const box = assess(design, catalogueOf(design)).enclosures.find((e) => e.zone === zone);
  if (!box) return null;
  if (as === 'dxf') return templatesDxf(box.sheets.map((s) => ({ template: sheetTemplate(s), name: `${s.name}, ${s.wMm} x ${s.hMm}` })));
  const words = `${of}, ${box.name}, ${revision}`;
  const sheets = box.sheets.map((s) => ({ template: sheetTemplate(s), words: `${words} · ${s.name}, ${s.wMm} × ${s.hMm} mm, seen from outside` }));
  return templatesPdf(`${words}, sheets`, sheets, as);
}

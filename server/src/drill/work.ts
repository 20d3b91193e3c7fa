import { assess, catalogueOf, drillTemplate, glandSaws } from '@meridex/core';
import type { ToDraw } from './asked.js';
import { drillDxf } from './dxf.js';
import { drillPdf, type Paper } from './paper.js';

/** A board's template on paper of a size, or for a machine. */
export interface DrillAsked {
  readonly draw: ToDraw;
  readonly as: Paper | 'dxf';
}

/** The drill template of a board as a file; null: there is no board. */
export default async function drillFile({ draw: { design, of, revision }, as }: DrillAsked): Promise<Uint8Array | string | null> {
  const { gear, runs } = assess(design, catalogueOf(design));
  const template = drillTemplate(design, gear, glandSaws(design.board, gear, runs));
  if (!template) return null;
  return as === 'dxf' ? drillDxf(template) : drillPdf(template, `${of}, board ${template.wMm} × ${template.hMm} mm, ${revision}`, as);
}

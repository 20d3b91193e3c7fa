import type { DrillTemplate } from '../places/index.js';
import { SHEET_MM, type Sheet } from './sheets.js';

/** One side of a box as it is cut and drilled, on paper or for a machine; a vent is cut like a gland. */
export const sheetTemplate = ({ wMm, hMm, holes }: Sheet): DrillTemplate => ({
  wMm,
  hMm,
  thickMm: SHEET_MM,
  outlines: [],
  holes: holes.map((h) => ({ name: h.name, kind: h.kind === 'screw' ? 'screw' : 'gland', x: h.x, y: h.y, diameterMm: h.diameterMm })),
});

import { above } from '../figures.js';
import { defineKind } from '../kind.js';
import { PANEL_PARTS } from './parts.js';
import { panelSchema, type PanelPart } from './schema.js';

/** Figures that a data sheet can get wrong against one another. */
function contradiction(p: PanelPart): string | null {
  if (p.vmpV >= p.vocV) return `vmpV: ${p.vmpV} V is not below the open-circuit ${p.vocV} V; best volts below it are accepted`;
  if (p.impA >= p.iscA) return `impA: ${p.impA} A is not below the short-circuit ${p.iscA} A; a best current below it is accepted`;
  if (Math.abs(p.vmpV * p.impA - p.ratedW) > 0.1 * p.ratedW)
    return `ratedW: ${p.ratedW} W, but ${p.vmpV} V times ${p.impA} A are ${Math.round(p.vmpV * p.impA)} W; figures that agree within a tenth are accepted`;
  return null;
}

export const panel = defineKind({
  kind: 'panel',
  words: 'solar panel',
  schema: panelSchema,
  parts: PANEL_PARTS,
  first: ['ratedW', 'vocV', 'iscA'],
  plate: {
    required: { ratedW: above('W', 1000), vocV: above('V', 150) },
    rest: ({ ratedW, vocV }) => {
      const vmpV = 0.83 * vocV;
      const impA = ratedW / vmpV;
      return { vmpV, impA, iscA: 1.06 * impA, maxFuseA: 1.06 * impA > 9 ? 20 : 15, kg: Math.round(0.6 * ratedW) / 10, mm: [Math.round(6 * ratedW) + 200, 680, 35], price: Math.round(1.2 * ratedW) };
    },
  },
  contradiction,
});

import type { DrillTemplate } from '@meridex/core';
import { Colors, DxfWriter, point3d, Units } from '@tarikjabiri/dxf';

/** Room between templates that stand in one drawing, mm. */
const BETWEEN_MM = 30;

/** Templates as DXF in millimetres, side by side: each its sheet, outlines, and holes by kind, each of these on a layer of its own. */
export function templatesDxf(templates: readonly { readonly template: DrillTemplate; readonly name: string }[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.addLayer('BOARD', Colors.White, 'CONTINUOUS');
  dxf.addLayer('OUTLINES', Colors.Cyan, 'CONTINUOUS');
  dxf.addLayer('SCREWS', Colors.Red, 'CONTINUOUS');
  dxf.addLayer('GLANDS', Colors.Green, 'CONTINUOUS');
  dxf.addLayer('NAMES', Colors.Yellow, 'CONTINUOUS');
  const box = (layer: string, x: number, y: number, w: number, h: number): void => {
    dxf.setCurrentLayerName(layer);
    dxf.addLWPolyline([{ point: { x, y } }, { point: { x: x + w, y } }, { point: { x: x + w, y: y + h } }, { point: { x, y: y + h } }], { flags: 1 });
  };
  const text = (x: number, y: number, words: string): void => {
    dxf.setCurrentLayerName('NAMES');
    dxf.addText(point3d(x, y, 0), 6, words);
  };
  let left = 0;
  for (const { template: t, name } of templates) {
    box('BOARD', left, 0, t.wMm, t.hMm);
    if (name) text(left, t.hMm + 6, name);
    for (const o of t.outlines) {
      box('OUTLINES', left + o.x, o.y, o.w, o.h);
      text(left + o.x + 4, o.y + o.h / 2, o.name);
    }
    for (const h of t.holes) {
      dxf.setCurrentLayerName(h.kind === 'gland' ? 'GLANDS' : 'SCREWS');
      dxf.addCircle(point3d(left + h.x, h.y, 0), h.diameterMm / 2);
    }
    left += t.wMm + BETWEEN_MM;
  }
  return dxf.stringify();
}

/** A board's drill template alone. */
export const drillDxf = (t: DrillTemplate): string => templatesDxf([{ template: t, name: '' }]);

import type { DrillTemplate } from '@meridex/core';
import { Colors, DxfWriter, point3d, Units } from '@tarikjabiri/dxf';

/** A drill template as DXF in millimetres: the board, outlines, and holes by kind, each on a layer of its own. */
export function drillDxf(t: DrillTemplate): string {
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
  box('BOARD', 0, 0, t.wMm, t.hMm);
  for (const o of t.outlines) {
    box('OUTLINES', o.x, o.y, o.w, o.h);
    dxf.setCurrentLayerName('NAMES');
    dxf.addText(point3d(o.x + 4, o.y + o.h / 2, 0), 6, o.name);
  }
  for (const h of t.holes) {
    dxf.setCurrentLayerName(h.kind === 'gland' ? 'GLANDS' : 'SCREWS');
    dxf.addCircle(point3d(h.x, h.y, 0), h.diameterMm / 2);
  }
  return dxf.stringify();
}

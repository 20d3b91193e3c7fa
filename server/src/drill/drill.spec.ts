import { assess, DEMO_JOBS, drillTemplate, type DrillTemplate, glandSaws, SHIPPED_CATALOGUE } from '@meridex/core';
import { circlesIn, drawnIn, linesIn } from '../testing/pdf.js';
import { drillDxf } from './dxf.js';
import { drillPdf, tilesOf } from './paper.js';

const MARGIN_MM = 10;
const SHEET_H_MM = 297;

describe('a drill template', () => {
  let t: DrillTemplate;
  beforeAll(() => {
    const { design } = DEMO_JOBS.find((j) => j.key === 'vet')!;
    const a = assess(design, SHIPPED_CATALOGUE);
    t = drillTemplate(design, a.gear, glandSaws(design.board, a.gear, a.runs))!;
    expect(t.holes.length).toBeGreaterThan(10);
  });

  describe('on paper', () => {
    let pdf: Buffer;
    beforeAll(async () => {
      pdf = await drillPdf(t, 'spec');
    });
    it('has a check line of 100.0 mm on every sheet', () => {
      const lines = linesIn(drawnIn(pdf)).filter((l) => Math.abs(l.lengthMm - 100) < 0.05);
      expect(lines.map((l) => l.sheet)).toEqual(tilesOf(t).map((_, i) => i + 1));
    });
    it('shows each hole where it is to be drilled and as wide, to a twentieth of a millimetre', () => {
      const tiles = tilesOf(t);
      const shown = circlesIn(drawnIn(pdf)).map((c) => {
        const tile = tiles[c.sheet - 1]!;
        return { ...c, x: tile.x + c.x - MARGIN_MM, y: t.hMm - (tile.y + SHEET_H_MM - c.y - MARGIN_MM) };
      });
      for (const hole of t.holes) {
        const here = shown.filter((c) => Math.hypot(c.x - hole.x, c.y - hole.y) < 0.05);
        expect(here.length).withContext(`${hole.name} at ${hole.x}, ${hole.y}`).toBe(tiles.length);
        for (const c of here) expect(Math.abs(c.diameterMm - hole.diameterMm)).toBeLessThan(0.05);
      }
    });
  });

  it('lies on sheets that overlap and leave nothing out', () => {
    for (const [wMm, hMm] of [
      [60, 60],
      [190, 260],
      [191, 261],
      [980, 600],
    ] as const) {
      const tiles = tilesOf({ wMm, hMm });
      const [last] = tiles.slice(-1);
      expect(last!.x + 190).toBeGreaterThanOrEqual(wMm);
      expect(last!.y + 260).toBeGreaterThanOrEqual(hMm);
      expect(tiles.length).toBe((last!.column + 1) * (last!.row + 1));
      for (const tile of tiles) if (tile.column) expect(tiles.find((o) => o.row === tile.row && o.column === tile.column - 1)!.x + 190 - tile.x).toBe(10);
    }
  });

  it('takes fewer sheets on larger paper, to scale on each', async () => {
    const sheets = (['A4', 'A3', 'A2', 'A1'] as const).map((paper) => tilesOf({ wMm: 980, hMm: 600 }, paper).length);
    expect(sheets).toEqual([18, 8, 6, 2]);
    const lines = linesIn(drawnIn(await drillPdf(t, 'spec', 'A2'))).filter((l) => Math.abs(l.lengthMm - 100) < 0.05);
    expect(lines.length).toBe(tilesOf(t, 'A2').length);
  });

  it('as DXF is in millimetres, a circle for each hole on the layer of its kind', () => {
    const words = drillDxf(t)
      .split(/\r?\n/)
      .map((l) => l.trim());
    const value = (from: number, code: string): string => words[words.findIndex((w, i) => i > from && i % 2 === 0 && w === code) + 1]!;
    expect(value(words.indexOf('$INSUNITS'), '70')).toBe('4');
    const circles = words.flatMap((w, i) =>
      w === 'CIRCLE' && words[i - 1] === '0' ? [{ layer: value(i, '8'), x: Number(value(i, '10')), y: Number(value(i, '20')), r: Number(value(i, '40')) }] : [],
    );
    expect(circles).toEqual(t.holes.map((h) => ({ layer: h.kind === 'gland' ? 'GLANDS' : 'SCREWS', x: h.x, y: h.y, r: h.diameterMm / 2 })));
    expect(words.filter((w) => w === 'LWPOLYLINE').length).toBe(1 + t.outlines.length);
  });
});

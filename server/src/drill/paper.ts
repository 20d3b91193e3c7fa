import type { DrillTemplate } from '@meridex/core';
import type { Content } from 'pdfmake';
import { printed } from '../paper/fonts.js';

/** Points of a PDF to a millimetre. */
export const PT_PER_MM = 72 / 25.4;
/** Sheets upright, mm: what a printer or a copy shop takes. */
export const PAPERS = { A4: { w: 210, h: 297 }, A3: { w: 297, h: 420 }, A2: { w: 420, h: 594 }, A1: { w: 594, h: 841 } } as const;
export type Paper = keyof typeof PAPERS;
/** Margin, caption, and what neighbouring sheets share, mm. */
const EDGE = { margin: 10, caption: 17, overlap: 10 } as const;
/** Room for the template on a sheet, mm. */
const tileOf = (paper: Paper): { readonly w: number; readonly h: number } => ({ w: PAPERS[paper].w - 2 * EDGE.margin, h: PAPERS[paper].h - 2 * EDGE.margin - EDGE.caption });
/** Length of the line by which a print is checked, mm. */
export const CHECK_LINE_MM = 100;

interface Tile {
  readonly x: number;
  readonly y: number;
  readonly column: number;
  readonly row: number;
}

const steps = (lengthMm: number, tileMm: number): number[] =>
  Array.from({ length: Math.max(1, Math.ceil((lengthMm - EDGE.overlap) / (tileMm - EDGE.overlap))) }, (_, i) => i * (tileMm - EDGE.overlap));

/** The sheets that a board takes, top row first. */
export function tilesOf(t: Pick<DrillTemplate, 'wMm' | 'hMm'>, paper: Paper = 'A4'): Tile[] {
  const room = tileOf(paper);
  return steps(t.hMm, room.h).flatMap((y, row) => steps(t.wMm, room.w).map((x, column) => ({ x, y, column, row })));
}

const safe = (text: string): string => text.replace(/[<>&"]/g, ' ');

/** Everything on the board, millimetres from its upper left corner. */
function drawing(t: DrillTemplate): string {
  const top = (y: number, h = 0): number => t.hMm - y - h;
  const outlines = t.outlines.map(
    (o) =>
      `<rect x="${o.x}" y="${top(o.y, o.h)}" width="${o.w}" height="${o.h}" fill="none" stroke="#5A6468" stroke-width="0.25"/><text x="${o.x + o.w / 2}" y="${top(o.y, o.h) + o.h / 2}" font-size="4" text-anchor="middle" fill="#5A6468">${safe(o.name)}</text>`,
  );
  const holes = t.holes.map((h) => {
    const [x, y, r] = [h.x, top(h.y), h.diameterMm / 2];
    const cross = Math.max(3, r + 2);
    return `<circle cx="${x}" cy="${y}" r="${r}" fill="none" stroke="#1D2629" stroke-width="0.25"/><path d="M${x - cross} ${y}H${x + cross}M${x} ${y - cross}V${y + cross}" stroke="#1D2629" stroke-width="0.15" fill="none"/><text x="${x + cross + 0.5}" y="${y - 0.8}" font-size="2.4" fill="#1D2629">${h.diameterMm}</text>`;
  });
  return `<rect x="0" y="0" width="${t.wMm}" height="${t.hMm}" fill="none" stroke="#1D2629" stroke-width="0.4"/>${outlines.join('')}${holes.join('')}`;
}

/** One sheet: its part of the drawing at full size, crosses where it meets its neighbours, and the check line. */
function sheet(t: DrillTemplate, tile: Tile, all: string, last: boolean, words: string, paper: Paper): Content[] {
  const room = tileOf(paper);
  const marks = [tile.x + EDGE.overlap / 2, tile.x + room.w - EDGE.overlap / 2].flatMap((x) =>
    [tile.y + EDGE.overlap / 2, tile.y + room.h - EDGE.overlap / 2].map((y) => `<path d="M${x - 3} ${y}h6M${x} ${y - 3}v6" stroke="#A9502A" stroke-width="0.2" fill="none"/>`),
  );
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${tile.x} ${tile.y} ${room.w} ${room.h}">${all}${marks.join('')}</svg>`;
  const y = PAPERS[paper].h - EDGE.margin - EDGE.caption + 4;
  const at = (x: number, down: number): { x: number; y: number } => ({ x: x * PT_PER_MM, y: down * PT_PER_MM });
  const line = { type: 'line' as const, x1: 0, y1: 0, x2: CHECK_LINE_MM * PT_PER_MM, y2: 0, lineWidth: 0.6 };
  const tick = (x: number) => ({ type: 'line' as const, x1: x * PT_PER_MM, y1: -4, x2: x * PT_PER_MM, y2: 4, lineWidth: 0.6 });
  return [
    { svg, width: room.w * PT_PER_MM, height: room.h * PT_PER_MM, absolutePosition: at(EDGE.margin, EDGE.margin) },
    { canvas: [line, tick(0), tick(CHECK_LINE_MM)], absolutePosition: at(EDGE.margin, y) },
    { text: `${CHECK_LINE_MM} mm: measure before drilling; print at 100 %`, absolutePosition: at(EDGE.margin, y + 2.5), fontSize: 8 },
    {
      text: `${words} · sheet ${tile.column + 1} across, ${tile.row + 1} down`,
      absolutePosition: at(EDGE.margin, y + 7),
      fontSize: 7,
      color: '#5A6468',
      ...(last ? {} : { pageBreak: 'after' as const }),
    },
  ];
}

/** Templates at 1:1, each on as many sheets of paper as it takes. */
export function templatesPdf(title: string, templates: readonly { readonly template: DrillTemplate; readonly words: string }[], paper: Paper = 'A4'): Promise<Buffer> {
  const pages = templates.flatMap(({ template, words }) => {
    const all = drawing(template);
    return tilesOf(template, paper).map((tile) => ({ template, tile, all, words }));
  });
  return printed({
    info: { title },
    pageSize: paper,
    pageMargins: 0,
    defaultStyle: { font: 'Archivo', fontSize: 9, color: '#1D2629' },
    content: pages.flatMap(({ template, tile, all, words }, i) => sheet(template, tile, all, i === pages.length - 1, words, paper)),
  });
}

/** The drill template at 1:1 on as many sheets as it takes. */
export const drillPdf = (t: DrillTemplate, words: string, paper: Paper = 'A4'): Promise<Buffer> =>
  templatesPdf(`${words}, drill template`, [{ template: t, words: `${words} · screws as default: mark from each part’s own plate` }], paper);

import { drawingMarks, sheetsOf, type DiagramPaper, type Drawing } from '@meridex/core';
import type { Content } from 'pdfmake';
import { printed } from '../paper/fonts.js';

/** Sheets that lie, pt, the smaller first. */
const SHEETS = [
  { size: 'A4', w: 841.89, h: 595.28 },
  { size: 'A3', w: 1190.55, h: 841.89 },
] as const;
/** Margins with room for references, and the caption's height, pt. */
const EDGE = { margin: 40, caption: 30 } as const;
/** Points of paper to a pixel of the drawing, as far as one sheet takes it: 11 px words come out at 6 to 7.5 pt. */
const PT_PER_PX = { most: 0.68, least: 0.54 } as const;

interface Paper {
  readonly size: 'A4' | 'A3';
  /** Height of a sheet, and room for the drawing on it, pt. */
  readonly h: number;
  readonly room: { readonly w: number; readonly h: number };
  /** Points to a pixel of the drawing. */
  readonly scale: number;
}

/** The smaller sheet where all of it can be read there, else the larger. */
function paperFor(d: Drawing): Paper {
  const papers = SHEETS.map(({ size, w, h }) => {
    const room = { w: w - 2 * EDGE.margin, h: h - EDGE.margin - EDGE.caption - 14 };
    return { size, h, room, fits: Math.min(room.w / d.width, room.h / d.height) };
  });
  const { fits, ...paper } = papers.find((p) => p.fits >= PT_PER_PX.least) ?? papers.at(-1)!;
  return { ...paper, scale: Math.max(PT_PER_PX.least, Math.min(PT_PER_PX.most, fits)) };
}

const CAUTION = 'Drawn from the design as planned, not as built. Follow the makers’ sheets and the rules in force; all 230 V belongs to a licensed electrician.';

/** Words of a reference, outside the sheet's own part of the drawing, in its margin. */
function reference(s: DiagramPaper, r: DiagramPaper['references'][number], scale: number): Content {
  const at = { x: EDGE.margin + (r.x - s.x) * scale, y: EDGE.margin / 2 + (r.y - s.y) * scale };
  const left = { left: 4, right: at.x + 2, top: at.x - 10, bottom: at.x - 10 }[r.edge];
  const top = { left: at.y - 3, right: at.y - 3, top: at.y - 9, bottom: at.y + 2 }[r.edge];
  const width = EDGE.margin - 6;
  return { text: r.text, fontSize: 5.5, color: '#A9502A', absolutePosition: { x: left, y: top }, width, alignment: r.edge === 'left' ? 'right' : 'left' } as Content;
}

function sheet(s: DiagramPaper, all: string, many: number, words: string, { h, scale }: Paper): Content[] {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${s.x} ${s.y} ${s.w} ${s.h}">${all}</svg>`;
  return [
    { svg, width: s.w * scale, height: s.h * scale, absolutePosition: { x: EDGE.margin, y: EDGE.margin / 2 } },
    ...s.references.map((r) => reference(s, r, scale)),
    { text: `${words} · sheet ${s.number} of ${many}`, fontSize: 8, absolutePosition: { x: EDGE.margin, y: h - EDGE.caption } },
    { text: CAUTION, fontSize: 6.5, color: '#5A6468', absolutePosition: { x: EDGE.margin, y: h - EDGE.caption + 11 }, ...(s.number < many ? { pageBreak: 'after' as const } : {}) },
  ];
}

/** The line diagram whole on one sheet of A4 or A3 where it can be read there, else on several of A3, each with the numbers of the sheets its lines go on to. */
export function diagramPdf(d: Drawing, numbers: ReadonlyMap<string, number>, words: string): Promise<Buffer> {
  const paper = paperFor(d);
  const { room, scale } = paper;
  // A hair more than fits, so that what is scaled to one sheet stays on one.
  const sheets = sheetsOf(d, room.w / scale + 1, room.h / scale + 1, numbers);
  const all = drawingMarks(d, 'Archivo');
  return printed({
    info: { title: `${words}, line diagram` },
    pageSize: paper.size,
    pageOrientation: 'landscape',
    pageMargins: 0,
    defaultStyle: { font: 'Archivo', fontSize: 9, color: '#1D2629' },
    content: sheets.flatMap((s) => sheet(s, all, sheets.length, words, paper)),
  });
}

import { drawingMarks, sheetsOf, type DiagramPaper, type Drawing } from '@meridex/core';
import type { Content } from 'pdfmake';
import { printed } from '../paper/fonts.js';

/** A4 lying, its margins with room for references, and the caption's height, pt. */
const SHEET = { w: 841.89, h: 595.28, margin: 40, caption: 30 } as const;
/** Points of paper to a pixel of the drawing, as far as one sheet takes it: 11 px words come out at 6 to 7.5 pt. */
const PT_PER_PX = { most: 0.68, least: 0.54 } as const;
const ROOM_PT = { w: SHEET.w - 2 * SHEET.margin, h: SHEET.h - SHEET.margin - SHEET.caption - 14 } as const;

const scaleOf = (d: Drawing): number => Math.max(PT_PER_PX.least, Math.min(PT_PER_PX.most, ROOM_PT.w / d.width, ROOM_PT.h / d.height));

const CAUTION = 'Drawn from the design as planned, not as built. Follow the makers’ sheets and the rules in force; all 230 V belongs to a licensed electrician.';

/** Words of a reference, outside the sheet's own part of the drawing, in its margin. */
function reference(s: DiagramPaper, r: DiagramPaper['references'][number], scale: number): Content {
  const at = { x: SHEET.margin + (r.x - s.x) * scale, y: SHEET.margin / 2 + (r.y - s.y) * scale };
  const left = { left: 4, right: at.x + 2, top: at.x - 10, bottom: at.x - 10 }[r.edge];
  const top = { left: at.y - 3, right: at.y - 3, top: at.y - 9, bottom: at.y + 2 }[r.edge];
  const width = SHEET.margin - 6;
  return { text: r.text, fontSize: 5.5, color: '#A9502A', absolutePosition: { x: left, y: top }, width, alignment: r.edge === 'left' ? 'right' : 'left' } as Content;
}

function sheet(s: DiagramPaper, all: string, many: number, words: string, scale: number): Content[] {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${s.x} ${s.y} ${s.w} ${s.h}">${all}</svg>`;
  return [
    { svg, width: s.w * scale, height: s.h * scale, absolutePosition: { x: SHEET.margin, y: SHEET.margin / 2 } },
    ...s.references.map((r) => reference(s, r, scale)),
    { text: `${words} · sheet ${s.number} of ${many}`, fontSize: 8, absolutePosition: { x: SHEET.margin, y: SHEET.h - SHEET.caption } },
    { text: CAUTION, fontSize: 6.5, color: '#5A6468', absolutePosition: { x: SHEET.margin, y: SHEET.h - SHEET.caption + 11 }, ...(s.number < many ? { pageBreak: 'after' as const } : {}) },
  ];
}

/** The line diagram on as many A4 sheets as it takes, each with the numbers of the sheets its lines go on to. */
export function diagramPdf(d: Drawing, numbers: ReadonlyMap<string, number>, words: string): Promise<Buffer> {
  const scale = scaleOf(d);
  // A hair more than fits, so that what is scaled to one sheet stays on one.
  const sheets = sheetsOf(d, ROOM_PT.w / scale + 1, ROOM_PT.h / scale + 1, numbers);
  const all = drawingMarks(d, 'Archivo');
  return printed({
    info: { title: `${words}, line diagram` },
    pageSize: 'A4',
    pageOrientation: 'landscape',
    pageMargins: 0,
    defaultStyle: { font: 'Archivo', fontSize: 9, color: '#1D2629' },
    content: sheets.flatMap((s) => sheet(s, all, sheets.length, words, scale)),
  });
}

import { LABEL } from './words.js';
import { FRAME_NAME_PX, type DrawnFrame, type Drawing, type DrawnText } from './drawing.js';
import type { LineKind } from './element.js';

/** Colours by what a line carries; each also has its own weight or dash, so that colour is never alone. */
export const LINE_LOOK: Readonly<Record<LineKind, { readonly colour: string; readonly width: number; readonly dash: string }>> = {
  feed: { colour: '#9E2B25', width: 1.6, dash: '' },
  return: { colour: '#2B2F31', width: 1.2, dash: '' },
  signal: { colour: '#6B3A75', width: 1, dash: '4 3' },
  mains: { colour: '#0F6A6E', width: 1.2, dash: '9 3 2 3' },
};
const INK = '#1D2629';

const escape = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

function textSvg(t: DrawnText, font: string): string {
  return t.lines
    .map(
      (line, i) =>
        `<text x="${round(t.x)}" y="${round(t.y + i * LABEL.height)}" font-family="${font}" font-size="11" fill="${t.what === 'title' ? INK : '#5A6468'}" text-anchor="${t.anchor}">${escape(line)}</text>`,
    )
    .join('');
}

const round = (n: number): number => Math.round(n * 10) / 10;

/** A vehicle: a ground under what lies in it, its edge dashed, its name in its corner. */
function frameSvg(f: DrawnFrame, font: string): string {
  return `<rect x="${round(f.x)}" y="${round(f.y)}" width="${round(f.w)}" height="${round(f.h)}" rx="10" fill="${INK}" fill-opacity="0.04" stroke="#5A6468" stroke-dasharray="7 4"/><text x="${round(f.x + 10)}" y="${round(f.y + FRAME_NAME_PX)}" font-family="${font}" font-size="12" font-weight="600" fill="${INK}">${escape(f.name)}</text>`;
}

/** The strokes and words of a drawing, without a frame around them. */
export function drawingMarks(d: Drawing, font = 'Archivo Narrow, Arial Narrow, sans-serif'): string {
  const lines = d.lines.map((l) => {
    const look = LINE_LOOK[l.kind];
    return `<path d="${l.d}" fill="none" stroke="${look.colour}" stroke-width="${look.width}"${look.dash ? ` stroke-dasharray="${look.dash}"` : ''}/>`;
  });
  const dots = d.dots.map((p) => `<circle cx="${round(p.x)}" cy="${round(p.y)}" r="2.6" fill="${p.pole === 'plus' ? LINE_LOOK.feed.colour : LINE_LOOK.return.colour}"/>`);
  const nodes = d.nodes.map((n) => {
    const strokes = n.strokes.map((s) => `<path d="${s.d}" fill="${s.fill ? INK : 'none'}" stroke="${INK}" stroke-width="${s.thick ? 3 : 1.3}"/>`).join('');
    return `<g transform="translate(${round(n.x)} ${round(n.y)})">${strokes}</g>`;
  });
  return [...d.frames.map((f) => frameSvg(f, font)), ...lines, ...nodes, ...dots, ...d.texts.map((t) => textSvg(t, font))].join('');
}

/** A drawing as an SVG file that stands alone. */
export function drawingSvg(d: Drawing, name: string): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${d.width}" height="${d.height}" viewBox="0 0 ${d.width} ${d.height}"><title>${escape(name)}</title>${drawingMarks(d)}</svg>`;
}

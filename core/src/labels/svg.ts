import { codePath } from './code.js';
import type { Label } from './label.js';
import { A4_MM, placesOn, type LabelSheet } from './sheet.js';

/** Edge of a label that nothing is printed on: sheets shift in a printer, mm. */
const EDGE_MM = 2.5;
/** Of a label's height: its mark, and each line under it. */
const SHARE = { mark: 0.34, line: 0.17 } as const;
/** Smallest letters that are read, mm high; mean width of a letter over its height. */
const LEAST_MM = 1.7;
const LETTER = { plain: 0.56, bold: 0.66 } as const;

const INK = { cable: '#1D2629', fuse: '#1D2629', 'thin lead': '#4A5357', switch: '#1D2629', caution: '#9E1B32' } as const;

const safe = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');

/** Text as large as it may be and fits; what does not fit at the smallest ends in an ellipsis. */
function fitted(text: string, wMm: number, mostMm: number, letter: number): { readonly text: string; readonly sizeMm: number } {
  const sizeMm = Math.max(LEAST_MM, Math.min(mostMm, wMm / (letter * Math.max(1, text.length))));
  const most = Math.floor(wMm / (letter * sizeMm) + 1e-6);
  return { text: text.length > most ? `${text.slice(0, Math.max(1, most - 1))}…` : text, sizeMm };
}

/** A piece of text where it stands, mm from the sheet’s upper left corner. */
export interface LabelText {
  readonly xMm: number;
  readonly yMm: number;
  readonly sizeMm: number;
  readonly bold: boolean;
  readonly ink: string;
  readonly text: string;
}

/** A sheet as it is printed: the edges of the labels that are used, and all that stands on them. */
export interface LabelPage {
  readonly edges: readonly { readonly xMm: number; readonly yMm: number }[];
  readonly texts: readonly LabelText[];
  /** Paths of the codes to point a phone at. */
  readonly codes: readonly string[];
}

/** Where the code of a run leads; codes are printed only where it is said. */
export type LabelLink = (run: string) => string;

/** A code stands at the right, as high as the label lets it, no wider than this of it, and no larger than a phone needs, mm. */
const CODE = { share: 0.45, mostMm: 20 } as const;

function codeOf(label: Label, s: LabelSheet, x: number, y: number, link: LabelLink | null): { readonly path: string; readonly sizeMm: number } | null {
  if (!link || label.run === undefined) return null;
  const sizeMm = Math.min(s.hMm - 2 * EDGE_MM, CODE.share * s.wMm, CODE.mostMm);
  const path = codePath(link(label.run), x + s.wMm - EDGE_MM - sizeMm, y + (s.hMm - sizeMm) / 2, sizeMm);
  return path === null ? null : { path, sizeMm };
}

function textsOf(label: Label, s: LabelSheet, x: number, y: number, besideMm: number): LabelText[] {
  const wMm = s.wMm - 2 * EDGE_MM - besideMm;
  const hMm = s.hMm - 2 * EDGE_MM;
  const at = (down: number): Pick<LabelText, 'xMm' | 'yMm' | 'ink'> => ({ xMm: x + EDGE_MM, yMm: y + EDGE_MM + down, ink: INK[label.kind] });
  return [
    { ...at(0.85 * SHARE.mark * hMm), bold: true, ...fitted(label.mark, wMm, SHARE.mark * hMm, LETTER.bold) },
    ...label.lines.map((line, i) => ({ ...at(SHARE.mark * hMm + (i + 1) * (SHARE.line * hMm + 0.6)), bold: false, ...fitted(line, wMm, SHARE.line * hMm, LETTER.plain) })),
  ];
}

/**
 * Labels on their sheets, page by page; `first`: the first label that is left on a sheet that was begun, from 1; `link`:
 * what a label’s code opens. Where a label is too small for a code it has none.
 * @example labelPages([], LABEL_SHEETS.large).length // 0
 */
export function labelPages(labels: readonly Label[], s: LabelSheet, first = 1, link: LabelLink | null = null): readonly LabelPage[] {
  const places = placesOn(s, labels.length, first);
  const pages = labels.length ? places.at(-1)!.page + 1 : 0;
  return Array.from({ length: pages }, (_, page): LabelPage => {
    const here = places.flatMap((p, i) => (p.page === page ? [{ ...p, label: labels[i]!, code: codeOf(labels[i]!, s, p.xMm, p.yMm, link) }] : []));
    return { edges: here, texts: here.flatMap((p) => textsOf(p.label, s, p.xMm, p.yMm, p.code?.sizeMm ?? 0)), codes: here.flatMap((p) => p.code?.path ?? []) };
  });
}

/** A page as a picture in millimetres, without the edges, which the paper has. */
export function labelSvg({ texts, codes }: LabelPage): string {
  const all = texts.map((t) => `<text x="${t.xMm.toFixed(2)}" y="${t.yMm.toFixed(2)}" font-size="${t.sizeMm.toFixed(2)}" fill="${t.ink}"${t.bold ? ' font-weight="bold"' : ''}>${safe(t.text)}</text>`);
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${A4_MM.w} ${A4_MM.h}">${all.join('')}${codes.map((d) => `<path d="${d}"/>`).join('')}</svg>`;
}

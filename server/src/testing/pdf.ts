import { constants, inflateSync } from 'node:zlib';

type Matrix = readonly [number, number, number, number, number, number];

/** A drawn path on a sheet of paper: its corners, mm from the lower left of the sheet. */
export interface DrawnPath {
  readonly sheet: number;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  readonly curves: number;
}

const MM_PER_PT = 25.4 / 72;
const PLAIN: Matrix = [1, 0, 0, 1, 0, 0];

/** b after a, as PDF's cm does. */
function joined(a: Matrix, b: Matrix): Matrix {
  return [b[0] * a[0] + b[1] * a[2], b[0] * a[1] + b[1] * a[3], b[2] * a[0] + b[3] * a[2], b[2] * a[1] + b[3] * a[3], b[4] * a[0] + b[5] * a[2] + a[4], b[4] * a[1] + b[5] * a[3] + a[5]];
}

/** What is drawn on the pages, page by page, as text. */
function contents(pdf: Buffer): string[] {
  const raw = pdf.toString('latin1');
  return [...raw.matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)].flatMap((m) => {
    let text: string;
    try {
      // A checksum that ends in a line break looks like the end of the stream: it may lack its last byte.
      text = inflateSync(Buffer.from(m[1]!, 'latin1'), { finishFlush: constants.Z_SYNC_FLUSH }).toString('latin1');
    } catch {
      // Not deflated: a font or a picture, nothing drawn.
      return [];
    }
    return / cm\b/.test(text) && !text.includes('begincmap') ? [text] : [];
  });
}

/** Walks the drawing operators of one page. */
function pathsOf(text: string, sheet: number): DrawnPath[] {
  const paths: DrawnPath[] = [];
  const kept: Matrix[] = [];
  let ctm = PLAIN;
  let numbers: number[] = [];
  let points: { x: number; y: number }[] = [];
  let curves = 0;
  const to = (x: number, y: number): void => void points.push({ x: (ctm[0] * x + ctm[2] * y + ctm[4]) * MM_PER_PT, y: (ctm[1] * x + ctm[3] * y + ctm[5]) * MM_PER_PT });
  const end = (): void => {
    if (points.length) paths.push({ sheet, points, curves });
    [points, curves] = [[], 0];
  };
  for (const word of text.replace(/\[[^\]]*\]|<[^>]*>|\([^)]*\)/g, ' ').split(/\s+/)) {
    const n = Number(word);
    if (word !== '' && Number.isFinite(n)) {
      numbers.push(n);
      continue;
    }
    const [a, b, c, d, e, f] = numbers as [number, number, number, number, number, number];
    if (word === 'q') kept.push(ctm);
    else if (word === 'Q') ctm = kept.pop()!;
    else if (word === 'cm') ctm = joined(ctm, [a, b, c, d, e, f]);
    else if (word === 'm') {
      end();
      to(a, b);
    } else if (word === 'l') to(a, b);
    else if (word === 'c') {
      to(e, f);
      curves++;
    } else if (word === 're') {
      end();
      for (const [x, y] of [
        [a, b],
        [a + c, b],
        [a + c, b + d],
        [a, b + d],
      ] as const)
        to(x, y);
    } else if (['S', 's', 'f', 'n', 'B', 'W'].includes(word)) end();
    numbers = [];
  }
  return paths;
}

/** Every path that a PDF draws, measured as on paper; for specs. */
/** Where each piece of text starts on its sheet, mm from the lower left. */
export const textsIn = (pdf: Buffer): { readonly sheet: number; readonly x: number; readonly y: number }[] =>
  contents(pdf).flatMap((text, i) => {
    const kept: Matrix[] = [];
    let ctm = PLAIN;
    const at: { sheet: number; x: number; y: number }[] = [];
    const operator = /(?:((?:-?[\d.]+\s+){6})(cm|Tm))|\b(q|Q)\b/g;
    for (const [, numbers, of, state] of text.matchAll(operator)) {
      if (state === 'q') kept.push(ctm);
      else if (state === 'Q') ctm = kept.pop() ?? PLAIN;
      else {
        const m = numbers!.trim().split(/\s+/).map(Number) as unknown as Matrix;
        if (of === 'cm') ctm = joined(ctm, m);
        else at.push({ sheet: i + 1, x: joined(ctm, m)[4] * MM_PER_PT, y: joined(ctm, m)[5] * MM_PER_PT });
      }
    }
    return at;
  });

export const drawnIn = (pdf: Buffer): DrawnPath[] => contents(pdf).flatMap((text, sheet) => pathsOf(text, sheet + 1));

/** Circles among the paths: middle and diameter, mm. */
export function circlesIn(paths: readonly DrawnPath[]): { readonly sheet: number; readonly x: number; readonly y: number; readonly diameterMm: number }[] {
  return paths
    .filter((p) => p.curves >= 4)
    .map((p) => {
      const round = p.points.slice(0, p.curves);
      const [x, y] = [round.reduce((s, q) => s + q.x, 0) / round.length, round.reduce((s, q) => s + q.y, 0) / round.length];
      return { sheet: p.sheet, x, y, diameterMm: (2 * round.reduce((s, q) => s + Math.hypot(q.x - x, q.y - y), 0)) / round.length };
    });
}

/** Straight lines of two ends with their length, mm. */
export function linesIn(paths: readonly DrawnPath[]): { readonly sheet: number; readonly lengthMm: number }[] {
  return paths.filter((p) => p.curves === 0 && p.points.length === 2).map((p) => ({ sheet: p.sheet, lengthMm: Math.hypot(p.points[1]!.x - p.points[0]!.x, p.points[1]!.y - p.points[0]!.y) }));
}

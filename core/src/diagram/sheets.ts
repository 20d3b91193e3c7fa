import { LABEL, textWidth } from './words.js';
import type { Drawing } from './drawing.js';

/** Where a line leaves one sheet for another: both print the same words at the same height. */
export interface SheetReference {
  readonly x: number;
  readonly y: number;
  readonly edge: 'left' | 'right' | 'top' | 'bottom';
  readonly text: string;
}

/** A part of a drawing that fits one sheet of paper. */
export interface DiagramPaper {
  readonly number: number;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  readonly references: readonly SheetReference[];
}

type Span = readonly [from: number, to: number];

/** Space that symbols and words take along one direction. */
function spans(d: Drawing, along: 'x' | 'y'): Span[] {
  const nodes = d.nodes.map((n): Span => (along === 'x' ? [n.x, n.x + n.w] : [n.y, n.y + n.h]));
  const texts = d.texts.map((t): Span => {
    const wide = Math.max(...t.lines.map(textWidth));
    if (along === 'x') return t.anchor === 'start' ? [t.x, t.x + wide] : [t.x - wide / 2, t.x + wide / 2];
    return [t.y - LABEL.height, t.y + (t.lines.length - 1) * LABEL.height + 3];
  });
  return [...nodes, ...texts];
}

const STEP_PX = 6;

/** Places to cut, so that no piece is longer than allowed and no symbol or word is cut where that can be helped. */
function cuts(length: number, most: number, taken: readonly Span[]): number[] {
  const out = [0];
  for (let from = 0; length - from > most;) {
    let [best, fewest] = [from + most, Infinity];
    for (let at = from + most; at > from + most / 2; at -= STEP_PX) {
      const cut = taken.filter(([a, b]) => a < at && at < b).length;
      if (cut < fewest) [best, fewest] = [at, cut];
      if (!cut) break;
    }
    out.push(best);
    from = best;
  }
  return [...out, length];
}

interface Crossing {
  readonly at: number;
  readonly run: string;
}

/** Where lines cross x = `at` or y = `at`, by the other coordinate. */
function crossings(d: Drawing, along: 'x' | 'y', at: number, numbers: ReadonlyMap<string, number>): Crossing[] {
  const other = along === 'x' ? 'y' : 'x';
  return d.lines.flatMap((l) =>
    l.points.slice(1).flatMap((q, i): Crossing[] => {
      const p = l.points[i]!;
      const through = Math.min(p[along], q[along]) < at && at < Math.max(p[along], q[along]);
      const name = l.run !== null && numbers.has(l.run) ? `${numbers.get(l.run)}${l.kind === 'return' ? '−' : l.kind === 'feed' ? '+' : ''}` : l.kind === 'mains' ? '230 V' : '';
      return through ? [{ at: p[other], run: name }] : [];
    }),
  );
}

/**
 * Cuts a drawing into sheets of at most so many px, with a reference at every line that crosses a cut: the run and the
 * sheet on which it goes on.
 */
export function sheetsOf(d: Drawing, mostW: number, mostH: number, numbers: ReadonlyMap<string, number>): DiagramPaper[] {
  const [xs, ys] = [cuts(d.width, mostW, spans(d, 'x')), cuts(d.height, mostH, spans(d, 'y'))];
  const columns = xs.length - 1;
  const numberOf = (column: number, row: number): number => row * columns + column + 1;
  const out: DiagramPaper[] = [];
  for (let row = 0; row < ys.length - 1; row++) {
    for (let column = 0; column < columns; column++) {
      const [x, y, w, h] = [xs[column]!, ys[row]!, xs[column + 1]! - xs[column]!, ys[row + 1]! - ys[row]!];
      const references: SheetReference[] = [];
      const look = (edge: SheetReference['edge'], along: 'x' | 'y', at: number, sheet: number, goes: 'to' | 'from'): void => {
        const within = along === 'x' ? ([y, y + h] as const) : ([x, x + w] as const);
        for (const c of crossings(d, along, at, numbers)) {
          if (c.at < within[0] || c.at > within[1]) continue;
          references.push({ edge, text: `${c.run} ${goes} ${sheet}`.trim(), x: along === 'x' ? at : c.at, y: along === 'x' ? c.at : at });
        }
      };
      if (column) look('left', 'x', x, numberOf(column - 1, row), 'from');
      if (column < columns - 1) look('right', 'x', x + w, numberOf(column + 1, row), 'to');
      if (row) look('top', 'y', y, numberOf(column, row - 1), 'from');
      if (row < ys.length - 2) look('bottom', 'y', y + h, numberOf(column, row + 1), 'to');
      out.push({ number: numberOf(column, row), x, y, w, h, references });
    }
  }
  return out;
}

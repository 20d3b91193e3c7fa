import type { Board } from '../design/index.js';
import type { Exit, Gear } from '../places/index.js';
import type { Grid } from '../routes/index.js';

/** A point of the board, mm from its lower left corner as its face counts. */
export interface OnBoard {
  readonly u: number;
  readonly v: number;
}

/** Width of a lane, mm: a pair of thick cables beside each other. */
const LANE_MM = 15;

const OUT: Readonly<Record<Exit, number>> = { right: 0, left: 1, up: 2, down: 3, out: 3 };

/** Where a cable leaves a thing. */
export interface Terminal {
  readonly cell: number;
  /** Direction in which its cable leaves. */
  readonly out: number;
  readonly at: OnBoard;
}

/** A board in lanes: what stands on it shut, and where cables leave its things or the board itself. */
export class Sheet {
  readonly grid: Grid;

  constructor(
    private readonly board: Board,
    gear: readonly Gear[],
  ) {
    const [columns, rows] = [Math.ceil(board.w / LANE_MM), Math.ceil(board.h / LANE_MM)];
    const shut = new Set<number>();
    for (let i = 0; i < columns * rows; i++) {
      const { u, v } = { u: ((i % columns) + 0.5) * LANE_MM, v: (Math.floor(i / columns) + 0.5) * LANE_MM };
      if (gear.some((g) => u > g.u && u < g.u + g.outline.w && v > g.v && v < g.v + g.outline.h)) shut.add(i);
    }
    this.grid = { columns, rows, shut, laid: new Map() };
  }

  at = (cell: number): OnBoard => ({ u: ((cell % this.grid.columns) + 0.5) * LANE_MM, v: (Math.floor(cell / this.grid.columns) + 0.5) * LANE_MM });

  cell(p: OnBoard): number {
    const { columns, rows } = this.grid;
    const within = (x: number, most: number): number => Math.max(0, Math.min(most - 1, Math.floor(x / LANE_MM)));
    return within(p.v, rows) * columns + within(p.u, columns);
  }

  /** The terminals of a thing for what is bound to these places, in their order along the side where its cables leave, so that they need not cross. */
  terminals(g: Gear, bound: readonly OnBoard[]): readonly Terminal[] {
    const { w, h, exit } = g.outline;
    const out = OUT[exit];
    const upright = out > 1;
    const edge = { right: g.u + w, left: g.u, up: g.v + h, down: g.v, out: g.v }[exit];
    const beyond = edge + (out % 2 ? -0.6 : 0.6) * LANE_MM;
    const [from, length] = upright ? [g.u, w] : [g.v, h];
    const along = (p: OnBoard): number => (upright ? p.u : p.v);
    const order = bound.map((_, i) => i).sort((a, b) => along(bound[a]!) - along(bound[b]!));
    const spots = order.map((_, i) => from + ((i + 0.5) * length) / order.length);
    return bound.map((_, i): Terminal => {
      const at = spots[order.indexOf(i)]!;
      const cell = this.cell(upright ? { u: at, v: beyond } : { u: beyond, v: at });
      return { cell, out, at: upright ? { u: this.at(cell).u, v: edge } : { u: edge, v: this.at(cell).v } };
    });
  }

  /** The cell at the side where cables enter that is nearest to where one comes from. */
  edge(from: OnBoard): { readonly cell: number; readonly at: OnBoard } {
    const { w, h, entry } = this.board;
    const over = { bottom: { u: from.u, v: 0 }, top: { u: from.u, v: h }, left: { u: 0, v: from.v }, right: { u: w, v: from.v } }[entry];
    const cell = this.cell(over);
    const middle = this.at(cell);
    return { cell, at: entry === 'bottom' || entry === 'top' ? { u: middle.u, v: over.v } : { u: over.u, v: middle.v } };
  }
}

/** Points without those that lie on the line between their neighbours. */
export function corners(points: readonly OnBoard[]): OnBoard[] {
  const apart = points.filter((p, i) => i === 0 || p.u !== points[i - 1]!.u || p.v !== points[i - 1]!.v);
  return apart.filter((p, i) => {
    const [a, b] = [apart[i - 1], apart[i + 1]];
    return !a || !b || !((a.u === p.u && p.u === b.u) || (a.v === p.v && p.v === b.v));
  });
}

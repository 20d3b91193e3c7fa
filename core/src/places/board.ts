import type { Board, Placement } from '../design/index.js';
import { BOARD_FACE, type Gear } from './gear.js';

/** Margins of the board: to its edge, between neighbours, and for the loom along the entry side, mm. */
export const BOARD_MM = { edge: 25, between: 30, loom: 90 } as const;

/** A hole to drill in the board. */
export interface BoardHole {
  readonly gear: string;
  readonly name: string;
  readonly u: number;
  readonly v: number;
  readonly diameterMm: number;
  readonly kind: 'screw' | 'board' | 'gland';
}

const CORNER_MM = 12;
const BOARD_SCREW_MM = { inset: 20, diameter: 8 } as const;

/** Screw positions of gear: in the corners of its outline until the part's own plate says otherwise. */
export function screwsOf(g: Gear): BoardHole[] {
  const { w, h } = g.outline;
  const inset = Math.min(CORNER_MM, w / 4, h / 4);
  const diameterMm = g.kg > 5 ? 6.5 : 4.5;
  return [
    [inset, inset],
    [w - inset, inset],
    [inset, h - inset],
    [w - inset, h - inset],
  ].map(([du, dv]) => ({ gear: g.id, name: g.name, u: g.u + du!, v: g.v + dv!, diameterMm, kind: 'screw' as const }));
}

/** Glands along the entry side, one for each cable that leaves the board, mm; a row that holds what fits. */
function glands(board: Board, saws: readonly number[]): BoardHole[] {
  const along = board.entry === 'bottom' || board.entry === 'top' ? board.w : board.h;
  let at: number = BOARD_MM.edge + 15;
  const out: BoardHole[] = [];
  for (const d of saws) {
    if (at + d > along - BOARD_MM.edge) break;
    const across = BOARD_MM.edge + 12;
    const middle = at + d / 2;
    const place = { bottom: [middle, across], top: [middle, board.h - across], left: [across, middle], right: [board.w - across, middle] }[board.entry] as [number, number];
    out.push({ gear: 'board', name: `gland ${out.length + 1}`, u: place[0], v: place[1], diameterMm: d, kind: 'gland' });
    at += d + 12;
  }
  return out;
}

/** Everything to drill in a board: its own fixings, the gear's screws, and the glands on the entry side. */
export function boardHoles(board: Board, gear: readonly Gear[], saws: readonly number[]): BoardHole[] {
  const { inset, diameter } = BOARD_SCREW_MM;
  const corners = [
    [inset, inset],
    [board.w - inset, inset],
    [inset, board.h - inset],
    [board.w - inset, board.h - inset],
  ].map(([u, v], i): BoardHole => ({ gear: 'board', name: `board fixing ${i + 1}`, u: u!, v: v!, diameterMm: diameter, kind: 'board' }));
  return [...corners, ...gear.filter((g) => g.face === BOARD_FACE).flatMap(screwsOf), ...glands(board, saws)];
}

/** Cables to undo before the board comes out as one: every run with one end on it. */
export function cablesToUndo(gear: readonly Gear[], runs: readonly { readonly from: string; readonly to: string; readonly back: 'cable' | 'chassis' }[]): number {
  const on = new Set(gear.filter((g) => g.face === BOARD_FACE).map((g) => g.id));
  return runs.filter((r) => on.has(r.from) !== on.has(r.to)).reduce((n, r) => n + (r.back === 'cable' ? 2 : 1), 0);
}

/** Order on a board from the entry side: what thick cables come to first, what is read and reset last. */
const RANK: Readonly<Record<Gear['role'], number>> = { bus: 0, inverter: 1, charger: 2, controller: 3, mains: 4, block: 5, load: 6, house: 7, starting: 8, panel: 9 };

const LIGHT_ENOUGH_KG = 16;
/** Gear that may ride on a board. */
export const boardable = (g: Gear): boolean => !['house', 'starting', 'panel', 'load'].includes(g.role) && g.kg <= LIGHT_ENOUGH_KG;

export interface Arranged {
  readonly placements: Readonly<Record<string, NonNullable<Placement['on']>>>;
  /** What found no room. */
  readonly left: readonly string[];
}

interface Item {
  readonly id: string;
  readonly w: number;
  readonly h: number;
  readonly gapMm: number;
  /** Free length that its cables want below it. */
  readonly bendMm: number;
}

/** Rows as full as the board is wide, in order. */
function rowsOf(items: readonly Item[], widthMm: number): Item[][] {
  const rows: Item[][] = [];
  let used = Infinity;
  for (const item of items) {
    const wanted = item.w + item.gapMm;
    if (used + item.w > widthMm) {
      rows.push([]);
      used = 0;
    }
    rows[rows.length - 1]!.push(item);
    used += wanted;
  }
  return rows;
}

/** A first arrangement in rows from the entry side, each with its air and the bend in front of its cables. */
export function arrangeBoard(board: Board, gear: readonly Gear[], bend: ReadonlyMap<string, number>): Arranged {
  const upright = (g: Gear): { w: number; h: number } => (g.turn % 180 ? { w: g.outline.h, h: g.outline.w } : g.outline);
  const items = [...gear]
    .sort((a, b) => RANK[a.role] - RANK[b.role] || b.kg - a.kg)
    .map((g): Item => ({ id: g.id, ...sides(upright(g)), gapMm: Math.max(BOARD_MM.between, g.fixing.airMm), bendMm: bend.get(g.id) ?? 0 }));
  const placements: Record<string, NonNullable<Placement['on']>> = {};
  const left: string[] = [];
  let v: number = BOARD_MM.edge;
  for (const [i, row] of rowsOf(items, board.w - 2 * BOARD_MM.edge).entries()) {
    v += Math.max(...row.map((r) => Math.max(r.bendMm, i ? r.gapMm : BOARD_MM.loom)));
    let u: number = BOARD_MM.edge;
    for (const r of row) {
      if (v + r.h > board.h - BOARD_MM.edge || u + r.w > board.w - BOARD_MM.edge) left.push(r.id);
      else placements[r.id] = { face: BOARD_FACE, u: Math.round(u), v: Math.round(board.entry === 'top' ? board.h - v - r.h : v), turn: board.entry === 'top' ? 180 : 0 };
      u += r.w + r.gapMm;
    }
    v += Math.max(...row.map((r) => r.h));
  }
  return { placements, left };
}

const sides = ({ w, h }: { readonly w: number; readonly h: number }): { w: number; h: number } => ({ w, h });

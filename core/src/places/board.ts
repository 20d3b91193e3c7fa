import type { Board, Face, Placement } from '../design/index.js';
import { faceBox, facePoint } from '../vehicle/index.js';
import { BOARD_FACE, takes, type Gear } from './gear.js';
import { freeSpot, outlineOn, Shades, type Taken } from './spot.js';

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
const RANK: Readonly<Record<Gear['role'], number>> = { bus: 0, inverter: 1, charger: 2, controller: 3, mains: 4, block: 5, control: 6, load: 7, house: 8, starting: 9, panel: 10, there: 11 };

const LIGHT_ENOUGH_KG = 16;
/** Gear that may ride on a board. */
export const boardable = (g: Gear): boolean => !['house', 'starting', 'panel', 'control', 'load', 'there'].includes(g.role) && g.kg <= LIGHT_ENOUGH_KG;

export interface Arranged {
  readonly placements: Readonly<Record<string, NonNullable<Placement['on']>>>;
  /** What found no room. */
  readonly left: readonly string[];
}

/**
 * A first arrangement on a board, lowest row first: each thing with its air, its distance from 230 V, and the bend before
 * its cables, which leave towards the entry side.
 */
export function arrangeBoard(face: Face, entry: Board['entry'], gear: readonly Gear[], bend: ReadonlyMap<string, number>): Arranged {
  const placements: Record<string, NonNullable<Placement['on']>> = {};
  const left: string[] = [];
  const taken: Taken[] = [];
  const shades = new Shades(taken);
  const turn = entry === 'top' ? 180 : 0;
  const { edge, loom } = BOARD_MM;
  const room: Face = { ...face, at: facePoint(face, edge, edge, 0), w: face.w - 2 * edge, h: face.h - 2 * edge };
  for (const g of [...gear].sort((a, b) => RANK[a.role] - RANK[b.role] || b.kg - a.kg)) {
    const outline = outlineOn(face, g.mm, g.fixing.stands, g.fixing.exit, turn);
    const exitMm = Math.max(loom, bend.get(g.id) ?? 0);
    const near = entry === 'top' ? { u: 0, v: room.h } : null;
    const spot = freeSpot(room, outline, { airMm: Math.max(BOARD_MM.between, g.fixing.airMm), taken: shades, depthMm: Infinity }, { near, exitMm });
    if (!spot) {
      left.push(g.id);
      continue;
    }
    const on = { face: BOARD_FACE, u: Math.round(spot.u + edge), v: Math.round(spot.v + edge), turn } as const;
    placements[g.id] = on;
    const box = faceBox(face, { ...on, w: outline.w, h: outline.h, outMm: outline.outMm });
    taken.push(...takes({ ...g, ...on, outline, box }, face, exitMm));
  }
  return { placements, left };
}

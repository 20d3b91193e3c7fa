import type { Design } from '../design/index.js';
import { mirroredFromFront, vehicleOf } from '../vehicle/index.js';
import { boardHoles, type BoardHole } from './board.js';
import { BOARD_FACE, boardFace, type Gear } from './gear.js';

/** A board as it is drilled: millimetres from its lower left corner, seen from the front. */
export interface DrillTemplate {
  readonly wMm: number;
  readonly hMm: number;
  readonly thickMm: number;
  readonly outlines: readonly { readonly name: string; readonly x: number; readonly y: number; readonly w: number; readonly h: number }[];
  readonly holes: readonly { readonly name: string; readonly kind: BoardHole['kind']; readonly x: number; readonly y: number; readonly diameterMm: number }[];
}

/** The drill template of a design's board; null where it has none. Glands by the saws of the cables that leave it. */
export function drillTemplate(design: Design, gear: readonly Gear[], saws: readonly number[]): DrillTemplate | null {
  const { board } = design;
  const face = boardFace(vehicleOf(design), board);
  if (!board || !face) return null;
  const across = (u: number, w: number): number => (mirroredFromFront(face) ? board.w - u - w : u);
  const on = gear.filter((g) => g.face === BOARD_FACE);
  return {
    wMm: board.w,
    hMm: board.h,
    thickMm: board.thickMm,
    outlines: on.map((g) => ({ name: g.name, x: across(g.u, g.outline.w), y: g.v, w: g.outline.w, h: g.outline.h })),
    holes: boardHoles(board, gear, saws).map((h) => ({ name: h.name, kind: h.kind, x: across(h.u, 0), y: h.v, diameterMm: h.diameterMm })),
  };
}

import type { PartKind } from '../catalogue/index.js';
import type { Board, Box, Design, Face, Placement, Point, Purpose, Ref, Vehicle, Zone } from '../design/index.js';
import { boxMiddle, faceBox, facePoint, vehicleOf } from '../vehicle/index.js';
import type { Fixing, PlacedRole } from './bodies.js';
import { corridor } from './corridor.js';
import { EXIT_MM, outlineOn, type Outline, type Taken, type Turn } from './spot.js';
import type { Wanted } from './wanted.js';

/** A thing that is fitted, with where it goes. */
export interface Gear {
  readonly ref: Ref;
  readonly id: string;
  readonly role: PlacedRole;
  readonly name: string;
  /** Its name without what tells it from others of its kind, or how much it holds. */
  readonly plain: string;
  /** Part of the catalogue that it is; null: none. */
  readonly part: string | null;
  /** Sort of part; null: it is no part of the catalogue. */
  readonly sort: PartKind | null;
  /** It has a lead from the mains inlet. */
  readonly mainsIn: boolean;
  /** What a load is for; null: it is no load. */
  readonly purpose: Purpose | null;
  readonly zone: string;
  readonly zoneName: string;
  readonly ambientC: number;
  readonly people: boolean;
  /** The place was chosen by a person, not drafted. */
  readonly placed: boolean;
  readonly when: Placement['when'];
  readonly face: string;
  readonly faceName: string;
  readonly u: number;
  readonly v: number;
  readonly turn: Turn;
  /** Outside, mm: across, up, out. */
  readonly mm: readonly [number, number, number];
  readonly outline: Outline;
  readonly box: Box;
  /** Middle of the side where its cables leave. */
  readonly terminal: Point;
  /** No free place was found for it: it stands in a corner, over whatever is there. */
  readonly crowded: boolean;
  readonly kg: number;
  readonly heatW: number;
  readonly fixing: Fixing;
}

export const BOARD_FACE = 'board';
/** Room before the board that drafted gear leaves free, mm. */
export const BOARD_ROOM_MM = 150;

/** The mounting board as a face of its zone; null where there is none, or its wall is not there. */
export function boardFace(vehicle: Vehicle, board: Board | null): Face | null {
  const wall = board && vehicle.faces.find((f) => f.id === board.face);
  if (!board || !wall) return null;
  const at = facePoint(wall, board.u, board.v, board.thickMm);
  return { id: BOARD_FACE, zone: wall.zone, name: 'mounting board', normal: wall.normal, at, w: board.w, h: board.h, limitKg: wall.limitKg, depthBehindMm: board.thickMm, trim: '', protrusions: [] };
}

/** The faces that gear may go on: the vehicle's and the board. */
export function facesOf(design: Design): readonly Face[] {
  const vehicle = vehicleOf(design);
  const board = boardFace(vehicle, design.board);
  return board ? [...vehicle.faces, board] : vehicle.faces;
}

function exitPoint(face: Face, o: Outline, u: number, v: number): Point {
  const side = {
    down: [u + o.w / 2, v, o.outMm / 2],
    up: [u + o.w / 2, v + o.h, o.outMm / 2],
    left: [u, v + o.h / 2, o.outMm / 2],
    right: [u + o.w, v + o.h / 2, o.outMm / 2],
    out: [u + o.w / 2, v + o.h / 2, o.outMm],
  } as const;
  return facePoint(face, ...side[o.exit]);
}

/** A vehicle as a draft looks at it. */
export interface Setting {
  readonly vehicle: Vehicle;
  readonly faces: readonly Face[];
  readonly zones: ReadonlyMap<string, Zone>;
}

/** Room out of a face before the zone ends, mm. */
export function depthOf(face: Face, zone: Zone): number {
  return { x: zone.box.l, y: zone.box.w, z: zone.box.h }[face.normal[1] as 'x' | 'y' | 'z'];
}

/** A thing as it stands on a face. */
export function gearOn(s: Setting, t: Wanted, face: Face, on: { u: number; v: number; turn: Turn }, more: Pick<Gear, 'placed' | 'when' | 'crowded'>): Gear {
  const outline = outlineOn(face, t.body.mm, t.fixing.stands, t.fixing.exit, on.turn);
  const zone = s.zones.get(face.zone)!;
  return {
    ref: t.ref,
    id: t.id,
    role: t.role,
    name: t.name,
    plain: t.plain,
    part: t.part,
    sort: t.sort,
    mainsIn: t.mainsIn,
    purpose: t.purpose,
    zone: zone.id,
    zoneName: zone.name,
    ambientC: zone.ambientC,
    people: zone.people,
    face: face.id,
    faceName: face.name,
    u: on.u,
    v: on.v,
    turn: on.turn,
    placed: more.placed,
    when: more.when,
    crowded: more.crowded,
    mm: t.body.mm,
    outline,
    box: faceBox(face, { u: on.u, v: on.v, w: outline.w, h: outline.h, outMm: outline.outMm }),
    terminal: exitPoint(face, outline, on.u, on.v),
    kg: t.body.kg,
    heatW: t.heatW,
    fixing: t.fixing,
  };
}

/** Room for cables on the face while drafting, mm; a panel's leave underneath it, what was there before has its own. */
export const exitMmOf = (role: PlacedRole): number => (role === 'panel' || role === 'there' ? 0 : EXIT_MM);

/** What gear keeps clear of itself: its air where it is warm, a barrier where it has 230 V, and the bend of its cables. */
export function takes(g: Gear, face: Face, exitMm: number = exitMmOf(g.role)): Taken[] {
  const gapMm = g.role === 'inverter' || g.role === 'mains' ? Math.max(60, g.fixing.airMm) : g.heatW > 0 ? g.fixing.airMm : 20;
  return [
    { box: g.box, gapMm },
    { box: corridor(g, face, exitMm), gapMm: 0 },
  ];
}

/** Middle of a piece of gear. */
export const gearMiddle = (g: Gear): Point => boxMiddle(g.box);

import type { Catalogue } from '../catalogue/index.js';
import type { Board, Box, Design, Face, GearRole, Placement, Point, Vehicle, Zone } from '../design/index.js';
import { boxMiddle, faceBox, facePoint, vehicleOf } from '../vehicle/index.js';
import { LOAD_BODY, WEATHER_ORDER, type Fixing } from './bodies.js';
import { corridor } from './corridor.js';
import { EXIT_MM, freeSpot, keptClear, outlineOn, Shades, type Near, type Outline, type Taken, type Turn } from './spot.js';
import { wantedGear, type Wanted } from './wanted.js';

/** A thing that is fitted, with where it goes. */
export interface Gear {
  readonly id: string;
  readonly role: GearRole;
  readonly name: string;
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
const BOARD_ROOM_MM = 150;

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

interface Setting {
  readonly vehicle: Vehicle;
  readonly faces: readonly Face[];
  readonly zones: ReadonlyMap<string, Zone>;
}

/** Room out of a face before the zone ends, mm. */
export function depthOf(face: Face, zone: Zone): number {
  return { x: zone.box.l, y: zone.box.w, z: zone.box.h }[face.normal[1] as 'x' | 'y' | 'z'];
}

function make(s: Setting, t: Wanted, face: Face, on: { u: number; v: number; turn: Turn }, more: Pick<Gear, 'placed' | 'when' | 'crowded'>): Gear {
  const outline = outlineOn(face, t.body.mm, t.fixing.stands, t.fixing.exit, on.turn);
  const zone = s.zones.get(face.zone)!;
  return {
    id: t.id,
    role: t.role,
    name: t.name,
    zone: zone.id,
    zoneName: zone.name,
    ambientC: zone.ambientC,
    people: zone.people,
    face: face.id,
    faceName: face.name,
    ...on,
    ...more,
    mm: t.body.mm,
    outline,
    box: faceBox(face, { ...on, w: outline.w, h: outline.h, outMm: outline.outMm }),
    terminal: exitPoint(face, outline, on.u, on.v),
    kg: t.body.kg,
    heatW: t.heatW,
    fixing: t.fixing,
  };
}

const UP: Readonly<Record<'floor' | 'top', string>> = { floor: '+z', top: '-z' };

/** Faces of the zone where a draft tries, the usual one first, then walls before floors. */
function tries(s: Setting, t: Wanted, zone: string): Face[] {
  const all = s.faces.filter((f) => f.zone === zone && f.id !== BOARD_FACE);
  const usual = s.vehicle.usual[t.role];
  const rank = (f: Face): number => {
    if (t.wall && f.normal === UP[t.wall]) return 0;
    if (byHand(t) && f.normal === '+z') return 5;
    if (f.id === usual) return 1;
    if (f.normal === '-z') return 4;
    return f.normal === '+z' ? (t.fixing.stands ? 1.5 : 3) : t.fixing.stands ? 3.5 : 2;
  };
  return all.sort((a, b) => rank(a) - rank(b));
}

/** Room for cables on the face while drafting, mm; a panel's leave underneath it. */
const exitMmOf = (role: GearRole): number => (role === 'panel' ? 0 : EXIT_MM);

/** What gear keeps clear of itself: its air where it is warm, a barrier where it has 230 V, and the bend of its cables. */
export function takes(g: Gear, face: Face, exitMm: number = exitMmOf(g.role)): Taken[] {
  const gapMm = g.role === 'inverter' || g.role === 'mains' ? Math.max(60, g.fixing.airMm) : g.heatW > 0 ? g.fixing.airMm : 20;
  return [
    { box: g.box, gapMm },
    { box: corridor(g, face, exitMm), gapMm: 0 },
  ];
}

/** Height over the ground at which a display is read best by someone who stands before it, mm. */
const BEST_MM = 1350;

/** Height over the ground at which a plug is put in without stooping or reaching, mm. */
const HAND_MM = 1000;

/** Outlets: used by hand every day. */
const byHand = (t: Wanted): boolean => t.role === 'load' && t.body === LOAD_BODY.sockets;

/** Where a thing should be near to: bus bars to the battery, devices to the bus bars, heavy gear to the middle of the floor. */
function anchor(t: Wanted, face: Face, s: Setting, done: ReadonlyMap<string, Gear>): Near {
  const to = t.role === 'bus' ? done.get('house') : ['charger', 'inverter', 'block', 'controller'].includes(t.role) ? done.get('bus') : undefined;
  // Where a hand finds it and eyes read it: in the middle of the wall, at the height of someone who stands before it.
  if (t.role === 'control' && face.normal[1] !== 'z') return { u: face.w / 2, v: BEST_MM - face.at.z };
  if (byHand(t) && face.normal[1] !== 'z') return { u: face.w / 2, v: HAND_MM - face.at.z };
  const at = to?.terminal ?? (t.body.kg >= 20 && face.normal === '+z' ? { ...boxMiddle(s.zones.get(face.zone)!.box), x: face.at.x } : null);
  if (!at) return null;
  return { u: face.normal[1] === 'x' ? at.y - face.at.y : at.x - face.at.x, v: face.normal[1] === 'z' ? at.y - face.at.y : at.z - face.at.z };
}

const TURNS: readonly Turn[] = [0, 90, 180, 270];

/** What a draft knows while it sets things down one by one. */
interface Underway {
  readonly done: Map<string, Gear>;
  readonly taken: Taken[];
  readonly shades: Shades;
  /** What each face carries so far, kg. */
  readonly kg: Map<string, number>;
  /** Of things alike: the first try that may have room, and its lowest row that may: what had none has none later, since only more is taken. */
  readonly from: Map<string, number>;
  /** Zones to be tried, of things that bear the same. */
  readonly zones: Map<string, readonly string[]>;
  /** Turns to be tried, of several alike on a face. */
  readonly turns: Map<string, readonly Turn[]>;
}

/** Whether so many alike find room on a face beside one another, all turned one way. */
function holdsAll(s: Setting, t: Wanted, face: Face, airMm: number, turn: Turn, taken: readonly Taken[]): boolean {
  const outline = outlineOn(face, t.body.mm, t.fixing.stands, t.fixing.exit, turn);
  const more = [...taken];
  for (let i = 0; i < t.ofAlike; i++) {
    const spot = freeSpot(face, outline, airMm, new Shades(more), depthOf(face, s.zones.get(face.zone)!), null, exitMmOf(t.role));
    if (!spot) return false;
    more.push({ box: faceBox(face, { ...spot, w: outline.w, h: outline.h, outMm: outline.outMm }), gapMm: airMm });
  }
  return true;
}

/** Turns in the order in which a draft tries them: of several alike, that first which lets the face take all of them in rows. */
function turnsFor(s: Setting, t: Wanted, face: Face, airMm: number, d: Underway): readonly Turn[] {
  if (t.ofAlike < 2) return TURNS;
  const key = `${face.id} ${airMm} ${t.role} ${t.body.mm.join()}`;
  const known = d.turns.get(key);
  if (known) return known;
  const first = TURNS.find((turn) => holdsAll(s, t, face, airMm, turn, d.taken)) ?? 0;
  const turns = [first, ...TURNS.filter((turn) => turn !== first)];
  d.turns.set(key, turns);
  return turns;
}

function setDown(s: Setting, d: Underway, gear: Gear): void {
  d.done.set(gear.id, gear);
  if (gear.when !== 'later') d.kg.set(gear.face, (d.kg.get(gear.face) ?? 0) + gear.kg);
  d.taken.push(
    ...takes(
      gear,
      s.faces.find((f) => f.id === gear.face)!,
    ),
  );
}

function draftOne(s: Setting, t: Wanted, zone: string, d: Underway, more: Pick<Gear, 'placed' | 'when'>): Gear | null {
  const faces = tries(s, t, zone);
  const alike = `${zone} ${t.role} ${t.wall} ${t.body.mm.join()} ${t.body.kg} ${t.fixing.airMm} ${t.fixing.stands} ${t.fixing.exit}`;
  // With air and within what the face carries; then without air; a face that carries too much comes last, for the rules to find.
  const rooms = [true, false].flatMap((bears) => [Math.max(30, t.fixing.airMm), 5].map((airMm) => ({ airMm, bears })));
  const all = rooms.length * faces.length * TURNS.length;
  for (let i = d.from.get(alike) ?? 0; i < all; i++) {
    const { airMm, bears } = rooms[Math.floor(i / (faces.length * TURNS.length))]!;
    const face = faces[Math.floor(i / TURNS.length) % faces.length]!;
    if (bears && (d.kg.get(face.id) ?? 0) + t.body.kg > face.limitKg) continue;
    const turn = turnsFor(s, t, face, airMm, d)[i % TURNS.length]!;
    const outline = outlineOn(face, t.body.mm, t.fixing.stands, t.fixing.exit, turn);
    const near = anchor(t, face, s, d.done);
    const row = `${alike} ${i}`;
    const spot = freeSpot(face, outline, airMm, d.shades, depthOf(face, s.zones.get(face.zone)!), near, exitMmOf(t.role), near ? 0 : (d.from.get(row) ?? 0));
    if (!spot) continue;
    d.from.set(alike, i);
    if (!near) d.from.set(row, spot.rowMm);
    return make(s, t, face, { u: spot.u, v: spot.v, turn }, { ...more, crowded: false });
  }
  d.from.set(alike, all);
  return faces[0] ? make(s, t, faces[0], { u: 0, v: 0, turn: 0 }, { ...more, crowded: true }) : null;
}

/** Hottest air that anything but the vehicle's own gear is drafted into, °C. */
const HOT_C = 60;

/** Zones where a draft tries: the usual one of the role, and the others that keep the same weather out, on the same carrier first. */
function zonesFor(s: Setting, t: Wanted): string[] {
  const usual = s.zones.get(s.faces.find((f) => f.id === s.vehicle.usual[t.role])?.zone ?? '') ?? s.vehicle.zones[0]!;
  const bears = (z: Zone): boolean => WEATHER_ORDER.indexOf(z.weather) <= WEATHER_ORDER.indexOf(t.fixing.weather);
  if (t.role === 'starting' || t.role === 'panel') return [usual.id];
  const others = s.vehicle.zones.filter((z) => z !== usual && bears(z) && z.ambientC <= HOT_C && !(z.people && t.role === 'house'));
  const near = (z: Zone): number => (z.carrier === usual.carrier ? 0 : 2) + (z.people === usual.people ? 0 : 1);
  return [...(bears(usual) ? [usual] : []), ...others.sort((a, b) => near(a) - near(b)), usual].map((z) => z.id);
}

/** In its usual zone where that keeps its weather out and has room, else in the next that does; else in its usual one all the same, for the rules to find. */
function draftSomewhere(s: Setting, t: Wanted, d: Underway, more: Pick<Gear, 'placed' | 'when'>): Gear | null {
  const alike = `${t.role} ${t.fixing.weather}`;
  const zones = d.zones.get(alike) ?? zonesFor(s, t);
  d.zones.set(alike, zones);
  let last: Gear | null = null;
  for (const zone of zones) {
    last = draftOne(s, t, zone, d, more);
    if (last && !last.crowded) return last;
  }
  return last;
}

/**
 * What is fitted and where: what a person placed stays where it was put, the rest goes to a free place on its usual
 * face. The same design gives the same places.
 */
export function draftGear(design: Design, catalogue: Catalogue): Gear[] {
  const vehicle = vehicleOf(design);
  const s: Setting = { vehicle, faces: facesOf(design), zones: new Map(vehicle.zones.map((z) => [z.id, z])) };
  const faces = new Map(s.faces.map((f) => [f.id, f]));
  const things = wantedGear(design, catalogue);
  const taken: Taken[] = keptClear(vehicle).map((k) => ({ box: k.box, gapMm: 10 }));
  const d: Underway = { done: new Map(), taken, shades: new Shades(taken), kg: new Map(), from: new Map(), zones: new Map(), turns: new Map() };
  const board = boardFace(vehicle, design.board);
  if (board) d.taken.push({ box: faceBox(board, { u: 0, v: 0, w: board.w, h: board.h, outMm: BOARD_ROOM_MM }), gapMm: 10 });
  for (const t of things) {
    const chosen = design.places[t.id];
    const face = chosen?.on && faces.get(chosen.on.face);
    if (face && s.zones.has(face.zone)) setDown(s, d, make(s, t, face, { u: chosen.on!.u, v: chosen.on!.v, turn: chosen.on!.turn }, { placed: true, when: chosen.when, crowded: false }));
  }
  for (const t of things) {
    if (d.done.has(t.id)) continue;
    const chosen = design.places[t.id];
    const more = { placed: chosen !== undefined, when: chosen?.when ?? 'now' };
    const gear = chosen && s.zones.has(chosen.zone) ? draftOne(s, t, chosen.zone, d, more) : draftSomewhere(s, t, d, more);
    if (gear) setDown(s, d, gear);
  }
  return things.flatMap((t) => d.done.get(t.id) ?? []);
}

/** A free place for a piece of gear on a face, with everything else where it is; null where it finds none. */
export function spotOn(design: Design, gear: readonly Gear[], g: Gear, face: Face): { readonly u: number; readonly v: number; readonly turn: Turn } | null {
  const vehicle = vehicleOf(design);
  const faces = facesOf(design);
  const zone = vehicle.zones.find((z) => z.id === face.zone)!;
  const others = gear
    .filter((o) => o.id !== g.id)
    .flatMap((o) =>
      takes(
        o,
        faces.find((f) => f.id === o.face)!,
      ),
    );
  const taken = new Shades([...keptClear(vehicle).map((k) => ({ box: k.box, gapMm: 10 })), ...others]);
  const bus = gear.find((o) => o.id === (g.role === 'bus' ? 'house' : 'bus'))?.terminal;
  const near = bus ? { u: face.normal[1] === 'x' ? bus.y - face.at.y : bus.x - face.at.x, v: face.normal[1] === 'z' ? bus.y - face.at.y : bus.z - face.at.z } : null;
  for (const turn of TURNS) {
    const outline = outlineOn(face, g.mm, g.fixing.stands, g.fixing.exit, turn);
    const spot = freeSpot(face, outline, Math.max(30, g.fixing.airMm), taken, depthOf(face, zone), near, exitMmOf(g.role));
    if (spot) return { u: spot.u, v: spot.v, turn };
  }
  return null;
}

/** Middle of a piece of gear. */
export const gearMiddle = (g: Gear): Point => boxMiddle(g.box);

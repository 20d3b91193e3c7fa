import { klona } from 'klona/json';
import type { Catalogue } from '../catalogue/index.js';
import { fanLoad, type Design, type Face, type Point, type Vehicle, type Weather, type Zone } from '../design/index.js';
import { boxMiddle, faceBox, onFace, straightMm, vehicleOf } from '../vehicle/index.js';
import { holeIn, openSides, roomBefore, sideTowards } from './box-sides.js';
import { draftGear } from './draft.js';
import { depthOf, type Gear } from './gear.js';

/** A box round gear: what it is called, what it keeps out, and the room in it. */
export interface BoxWanted {
  readonly name: string;
  /** The worst that still comes in. */
  readonly weather: Weather;
  /** Air round the gear, mm. */
  readonly airMm: number;
  /** Sealed towards the people in the room, and vented outside. */
  readonly sealed: boolean;
}

export type Boxed = { readonly ok: true; readonly design: Design } | { readonly ok: false; readonly message: string };

/** Room at the side where cables leave: lug and bend of 35 mm² and less, mm. */
const LUG_MM = 120;
/** Cable that a bend into the gland takes beside the straight way, mm. */
const GLAND_MM = 80;

/** What a thing takes of its face with its air and the room of its cables, mm; none of it off the face. */
function roomOf(g: Gear, face: Face, airMm: number): readonly [u0: number, v0: number, u1: number, v1: number, outMm: number] {
  const { exit, w, h, outMm } = g.outline;
  const at = (side: typeof exit): number => (exit === side ? Math.max(LUG_MM, airMm) : airMm);
  return [Math.max(0, g.u - at('left')), Math.max(0, g.v - at('down')), Math.min(face.w, g.u + w + at('right')), Math.min(face.h, g.v + h + at('up')), outMm + at('out')];
}

/** Letters of a box's name: its wall is called after it, within what a vehicle's file takes. */
const NAME_LETTERS = 46;
const clipped = (text: string): string => text.slice(0, NAME_LETTERS);

const freshId = (vehicle: Vehicle): string => {
  const taken = new Set([...vehicle.zones, ...vehicle.keep, ...vehicle.faces, ...vehicle.waypoints].map((x) => x.id));
  for (let n = 1; ; n++) if (!taken.has(`box-${n}`)) return `box-${n}`;
};

/** The nearest waypoint that cable comes from: of the zone that the box stands in, else of what carries it. */
function entryOf(vehicle: Vehicle, zone: Zone, at: ReturnType<typeof boxMiddle>): Vehicle['waypoints'][number] | null {
  const here = vehicle.waypoints.filter((w) => w.zone === zone.id);
  const from = here.length ? here : vehicle.waypoints.filter((w) => w.carrier === zone.carrier);
  return [...from].sort((a, b) => straightMm(a.at, at) - straightMm(b.at, at))[0] ?? null;
}

/** What cables of boxed gear lead to: bus bars and blocks of the same room, else whatever else is there; null: nothing. */
function leadsTo(all: readonly Gear[], zone: string, boxed: readonly string[]): Point | null {
  const others = all.filter((g) => g.zone === zone && !boxed.includes(g.id));
  const bars = others.filter((g) => g.role === 'bus' || g.role === 'block');
  const ends = (bars.length ? bars : others).map((g) => g.terminal);
  const mean = (a: 'x' | 'y' | 'z'): number => ends.reduce((sum, p) => sum + p[a], 0) / ends.length;
  return ends.length ? { x: mean('x'), y: mean('y'), z: mean('z') } : null;
}

/**
 * Builds a box round gear that is on one face: a space of its own in the vehicle, with its walls, its weather and its
 * heat; cables come in through a hole of their own. Refused in words where it cannot be. `all`: the design's gear, where
 * somebody has it already.
 */
export function boxGear(design: Design, catalogue: Catalogue, ids: readonly string[], wanted: BoxWanted, all: readonly Gear[] = draftGear(design, catalogue)): Boxed {
  const gear = all.filter((g) => ids.includes(g.id));
  const refused = (message: string): Boxed => ({ ok: false, message });
  const [first] = gear;
  if (!first || gear.length !== ids.length) return refused(`gear: got ${ids.join(', ') || 'nothing'}; gear that has a place is accepted`);
  const bound = gear.find((g) => g.role === 'starting' || g.role === 'there' || g.role === 'panel');
  if (bound) return refused(`${bound.name} stays as it is; a box goes round gear that is fitted inside`);
  const apart = gear.find((g) => g.face !== first.face);
  if (apart) return refused(`${apart.name} is on the ${apart.faceName}, ${first.name} on the ${first.faceName}; a box goes round gear on one face`);
  const vehicle = klona(vehicleOf(design));
  const face = vehicle.faces.find((f) => f.id === first.face);
  const zone = vehicle.zones.find((z) => z.id === first.zone);
  if (!face || !zone) return refused(`${first.name} is on the mounting board; a box goes round gear on a wall or floor`);
  if (vehicle.keep.some((k) => k.round === zone.id)) return refused(`${first.name} is in the ${zone.name} already`);

  const rooms = gear.map((g) => roomOf(g, face, wanted.airMm));
  const [u, v] = [Math.min(...rooms.map((r) => r[0])), Math.min(...rooms.map((r) => r[1]))];
  const [w, h] = [Math.max(...rooms.map((r) => r[2])) - u, Math.max(...rooms.map((r) => r[3])) - v];
  const outMm = Math.min(depthOf(face, zone), Math.max(...rooms.map((r) => r[4])));
  const id = freshId(vehicle);
  const name = clipped(wanted.name.trim() || `box of the ${first.plain}`);
  const box = faceBox(face, { u, v, w, h, outMm });
  const { x, y, z } = faceBox(face, { u, v, w: 0, h: 0, outMm: 0 });
  vehicle.zones.push({ ...zone, id, name, weather: wanted.weather, stones: false, people: zone.people && !wanted.sealed, box, nameInside: true, surface: 'wall of the box' });
  vehicle.faces.push({ ...face, id: `${id}-back`, zone: id, name: `${face.normal.endsWith('z') ? 'floor' : 'back'} of the ${name}`, at: { x, y, z }, w, h, protrusions: [] });
  vehicle.keep.push({ id, name, box, round: id });
  const from = entryOf(vehicle, zone, boxMiddle(box));
  const to = leadsTo(all, zone.id, ids) ?? from?.at;
  // Drafted gear makes room for the glands; what was put where it is does not.
  const firm = all.flatMap((g) => (g.zone === zone.id && !ids.includes(g.id) && (g.placed || g.role === 'there' || g.role === 'starting') ? [g.box] : []));
  const side = to ? sideTowards(openSides(box, face.normal, zone.box, firm), first.terminal, to) : undefined;
  const at = side ? holeIn(box, side, first.terminal) : boxMiddle(box);
  if (side) vehicle.keep.push({ id: `${id}-glands`, name: `glands of ${name}`, box: roomBefore(box, face.normal, side) });
  // Cable comes to the hole straight from its own gear in the room, and from elsewhere by the nearest known point.
  const hole = `${id}-hole`;
  const plain = { ambientC: zone.ambientC, hazards: [], conduit: false, movingMm: 0, coupling: false };
  vehicle.waypoints.push({ id: hole, name: `at the ${name}`, at, carrier: zone.carrier, zone: zone.id }, { id, name: `in the ${name}`, at, carrier: zone.carrier, zone: id });
  vehicle.ways.push({ ...plain, id, a: hole, b: id, along: `into the ${name}`, moreMm: GLAND_MM, pass: { stockMm: null, behind: 'wall of the box', outside: WET.includes(zone.weather) } });
  if (from) vehicle.ways.push({ ...plain, id: hole, a: from.id, b: hole, along: `to the ${name}`, moreMm: straightMm(from.at, at) < 1 ? 1 : 0, pass: null });
  const places = Object.fromEntries(gear.map((g) => [g.id, { zone: id, when: g.when, on: { face: `${id}-back`, u: g.u - u, v: g.v - v, turn: g.turn } }]));
  return { ok: true, design: { ...design, vehicle, places: { ...design.places, ...places } } };
}

/** Weather against which a hole is sealed. */
const WET: readonly Weather[] = ['splash', 'spray'];

/** Takes a box away; what is in it stays where it is on the wall behind. */
export function unboxGear(design: Design, zone: string): Design {
  const whole = vehicleOf(design);
  const back = whole.faces.find((f) => f.zone === zone);
  const inside = new Set(whole.waypoints.flatMap((w) => (w.zone === zone ? [w.id] : [])));
  // The hole goes with the box: whatever led into it.
  const ends = new Set([...inside, ...whole.ways.flatMap((w) => (inside.has(w.b) && w.pass ? [w.a] : []))]);
  const without = <T extends { readonly id: string }>(all: readonly T[], gone: (x: T) => boolean): T[] => all.filter((x) => !gone(x));
  const vehicle: Vehicle = {
    ...whole,
    zones: without(whole.zones, (z) => z.id === zone),
    faces: without(whole.faces, (f) => f.zone === zone),
    keep: without(whole.keep, (k) => k.round === zone || k.id === `${zone}-glands`),
    waypoints: without(whole.waypoints, (w) => ends.has(w.id)),
    ways: without(whole.ways, (w) => ends.has(w.a) || ends.has(w.b)),
  };
  const wall = back && vehicle.faces.find((f) => f.normal === back.normal && onFace(f, faceBox(back, { u: 0, v: 0, w: back.w, h: back.h, outMm: 2 })));
  const from = back && wall ? onFace(wall, faceBox(back, { u: 0, v: 0, w: back.w, h: back.h, outMm: 2 })) : null;
  const places = Object.fromEntries(
    Object.entries(design.places).flatMap(([id, p]) => {
      if (p.zone !== zone) return [[id, p]];
      return wall && from && p.on ? [[id, { ...p, zone: wall.zone, on: { ...p.on, face: wall.id, u: p.on.u + from.u, v: p.on.v + from.v } }]] : [];
    }),
  );
  const { [zone]: _fans, ...air } = design.air;
  const { [fanLoad(zone)]: _load, ...loads } = design.loads;
  return { ...design, vehicle, places, air, loads };
}

/** Boxes that were built round gear, by their zones. */
export const boxesOf = (vehicle: Vehicle): readonly Zone[] => vehicle.zones.filter((z) => vehicle.keep.some((k) => k.round === z.id));

import type { Catalogue } from '../catalogue/index.js';
import type { Design, Face } from '../design/index.js';
import { faceBox, vehicleOf } from '../vehicle/index.js';
import { BOARD_ROOM_MM, boardFace, depthOf, exitMmOf, facesOf, gearOn, takes, type Gear, type Setting } from './gear.js';
import { draftOne, draftSomewhere, setDown, type Underway } from './set-down.js';
import { freeSpot, keptClear, outlineOn, Shades, type Taken, type Turn } from './spot.js';
import { TURNS } from './tries.js';
import { wantedGear } from './wanted.js';

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
  const d: Underway = { done: new Map(), taken, shades: new Shades(taken), kg: new Map(), zones: new Map(), searches: new Map() };
  const board = boardFace(vehicle, design.board);
  if (board) d.taken.push({ box: faceBox(board, { u: 0, v: 0, w: board.w, h: board.h, outMm: BOARD_ROOM_MM }), gapMm: 10 });
  for (const t of things) {
    const chosen = design.places[t.id];
    const face = chosen?.on && faces.get(chosen.on.face);
    if (face && s.zones.has(face.zone)) setDown(s, d, gearOn(s, t, face, { u: chosen.on!.u, v: chosen.on!.v, turn: chosen.on!.turn }, { placed: true, when: chosen.when, crowded: false }));
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
    const spot = freeSpot(face, outline, { airMm: Math.max(30, g.fixing.airMm), taken, depthMm: depthOf(face, zone) }, { near, exitMm: exitMmOf(g.role) });
    if (spot) return { u: spot.u, v: spot.v, turn };
  }
  return null;
}

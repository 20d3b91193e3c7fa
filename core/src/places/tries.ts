import type { Face, Zone } from '../design/index.js';
import { boxMiddle, faceBox } from '../vehicle/index.js';
import { LOAD_BODY, WEATHER_ORDER, type PlacedRole } from './bodies.js';
import { BOARD_FACE, depthOf, exitMmOf, type Gear, type Setting } from './gear.js';
import { freeSpot, outlineOn, Shades, type Near, type Taken, type Turn } from './spot.js';
import type { Wanted } from './wanted.js';

const UP: Readonly<Record<'floor' | 'top', string>> = { floor: '+z', top: '-z' };

const usualFace = (s: Setting, role: PlacedRole): string | undefined => (role === 'there' ? undefined : s.vehicle.usual[role]);

/** Faces of the zone where a draft tries, the usual one first, then walls before floors. */
export function tries(s: Setting, t: Wanted, zone: string): Face[] {
  const all = s.faces.filter((f) => f.zone === zone && f.id !== BOARD_FACE);
  const usual = usualFace(s, t.role);
  const rank = (f: Face): number => {
    if (t.wall && f.normal === UP[t.wall]) return 0;
    if (f.id === usual) return 1;
    if (f.normal === '-z') return 4;
    return f.normal === '+z' ? (t.fixing.stands ? 1.5 : 3) : t.fixing.stands ? 3.5 : 2;
  };
  return all.sort((a, b) => rank(a) - rank(b));
}

/** Height over the ground at which a display is read best by someone who stands before it, mm. */
const BEST_MM = 1350;

/** Height over the ground at which a plug is put in without stooping or reaching, mm. */
const HAND_MM = 1000;

/** Outlets: used by hand every day. */
export const byHand = (t: Wanted): boolean => t.role === 'load' && t.body === LOAD_BODY.sockets;

/** Where a thing should be near to: bus bars to the battery, devices to the bus bars, heavy gear to the middle of the floor. */
export function anchor(t: Wanted, face: Face, s: Setting, done: ReadonlyMap<string, Gear>): Near {
  const to = t.role === 'bus' ? done.get('house') : ['charger', 'inverter', 'block', 'controller'].includes(t.role) ? done.get('bus') : undefined;
  // Where a hand finds it and eyes read it: in the middle of the wall, at the height of someone who stands before it.
  if (t.role === 'control' && face.normal[1] !== 'z') return { u: face.w / 2, v: BEST_MM - face.at.z };
  if (byHand(t) && face.normal[1] !== 'z') return { u: face.w / 2, v: HAND_MM - face.at.z };
  const at = to?.terminal ?? (t.body.kg >= 20 && face.normal === '+z' ? { ...boxMiddle(s.zones.get(face.zone)!.box), x: face.at.x } : null);
  if (!at) return null;
  return { u: face.normal[1] === 'x' ? at.y - face.at.y : at.x - face.at.x, v: face.normal[1] === 'z' ? at.y - face.at.y : at.z - face.at.z };
}

export const TURNS: readonly Turn[] = [0, 90, 180, 270];

/** Whether so many alike find room on a face beside one another, all turned one way. */
function holdsAll(s: Setting, t: Wanted, face: Face, airMm: number, turn: Turn, taken: readonly Taken[]): boolean {
  const outline = outlineOn(face, t.body.mm, t.fixing.stands, t.fixing.exit, turn);
  const more = [...taken];
  for (let i = 0; i < t.ofAlike; i++) {
    const spot = freeSpot(face, outline, { airMm, taken: new Shades(more), depthMm: depthOf(face, s.zones.get(face.zone)!) }, { exitMm: exitMmOf(t.role) });
    if (!spot) return false;
    more.push({ box: faceBox(face, { ...spot, w: outline.w, h: outline.h, outMm: outline.outMm }), gapMm: airMm });
  }
  return true;
}

/** Turns in the order in which a draft tries them: of several alike, that first which lets the face take all of them in rows. */
export function turnsFor(s: Setting, t: Wanted, face: Face, airMm: number, taken: readonly Taken[]): readonly Turn[] {
  if (t.ofAlike < 2) return TURNS;
  const first = TURNS.find((turn) => holdsAll(s, t, face, airMm, turn, taken)) ?? 0;
  return [first, ...TURNS.filter((turn) => turn !== first)];
}

/** Hottest air that anything but the vehicle's own gear is drafted into, °C. */
const HOT_C = 60;

/** Where a draft tries: the usual zone of the role, and those that keep its weather out, the usual one first and then others of the same carrier. */
export interface Zones {
  readonly usual: string;
  readonly fit: readonly string[];
}

/** The zones for a thing. */
export function zonesFor(s: Setting, t: Wanted): Zones {
  const usual = s.zones.get(s.faces.find((f) => f.id === usualFace(s, t.role))?.zone ?? '') ?? s.vehicle.zones[0]!;
  const bears = (z: Zone): boolean => WEATHER_ORDER.indexOf(z.weather) <= WEATHER_ORDER.indexOf(t.fixing.weather);
  if (t.role === 'starting' || t.role === 'panel') return { usual: usual.id, fit: [] };
  const others = s.vehicle.zones.filter((z) => z !== usual && bears(z) && z.ambientC <= HOT_C && !(z.people && t.role === 'house'));
  const near = (z: Zone): number => (z.carrier === usual.carrier ? 0 : 2) + (z.people === usual.people ? 0 : 1);
  return { usual: usual.id, fit: [...(bears(usual) ? [usual] : []), ...others.sort((a, b) => near(a) - near(b))].map((z) => z.id) };
}

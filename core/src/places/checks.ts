import type { Box, Face, Vehicle, Zone } from '../design/index.js';
import { boxesMeet, grown } from '../vehicle/index.js';
import { WEATHER_ORDER } from './bodies.js';
import { corridor } from './corridor.js';
import { BOARD_FACE, depthOf, type Gear } from './gear.js';
import { keptClear } from './spot.js';

export type CheckKind = 'fits' | 'clash' | 'protrusion' | 'reach' | 'sweep' | 'bend' | 'air' | 'weather' | 'access' | 'mains';

/** One thing that is wrong with a place. */
export interface PlaceTrouble {
  readonly gear: string;
  readonly name: string;
  readonly kind: CheckKind;
  /** What it meets. */
  readonly with: string;
  readonly haveMm: number;
  readonly wantMm: number;
}

/** Largest cable at a piece of gear: the free length it wants in front of its terminal, mm. */
export type BendWanted = ReadonlyMap<string, number>;

interface Ground {
  readonly faces: ReadonlyMap<string, Face>;
  readonly zones: ReadonlyMap<string, Zone>;
  readonly clear: ReturnType<typeof keptClear>;
  readonly gear: readonly Gear[];
  readonly bend: BendWanted;
}

const trouble = (g: Gear, kind: CheckKind, met = '', haveMm = 0, wantMm = 0): PlaceTrouble => ({ gear: g.id, name: g.name, kind, with: met, haveMm: Math.round(haveMm), wantMm: Math.round(wantMm) });

function fits(g: Gear, s: Ground): PlaceTrouble[] {
  const face = s.faces.get(g.face)!;
  const over = Math.max(-g.u, -g.v, g.u + g.outline.w - face.w, g.v + g.outline.h - face.h, g.outline.outMm - depthOf(face, s.zones.get(g.zone)!));
  return over > 0.5 ? [trouble(g, 'fits', face.name, over)] : [];
}

/** Gear that stands on one another is told once, at the later one. */
function clashes(g: Gear, s: Ground): PlaceTrouble[] {
  const out: PlaceTrouble[] = [];
  for (const o of s.gear) {
    if (o === g) break;
    if (boxesMeet(o.box, g.box)) out.push(trouble(g, 'clash', o.name));
  }
  for (const k of s.clear) if (k.round !== g.zone && boxesMeet(k.box, g.box)) out.push(trouble(g, k.why, k.name));
  return out;
}

/** Free length to the end of the zone in front of a terminal, mm. */
function toZoneEnd(c: Box, lengthMm: number, zone: Zone): number {
  const z = zone.box;
  const over = Math.max(z.x - c.x, z.y - c.y, z.z - c.z, c.x + c.l - z.x - z.l, c.y + c.w - z.y - z.w, c.z + c.h - z.z - z.h);
  return lengthMm - Math.max(0, over);
}

/** Largest whole distance at which nothing is met yet, by halving, mm. */
function freeMm(mostMm: number, meets: (mm: number) => boolean): number {
  let [free, met] = [0, Math.ceil(mostMm)];
  while (met - free > 1) {
    const middle = (free + met) >> 1;
    if (meets(middle)) met = middle;
    else free = middle;
  }
  return free;
}

function bends(g: Gear, s: Ground): PlaceTrouble[] {
  const want = s.bend.get(g.id);
  // A panel's cable leaves underneath it.
  if (!want || g.role === 'panel') return [];
  const face = s.faces.get(g.face)!;
  const whole = corridor(g, face, want);
  const open = toZoneEnd(whole, want, s.zones.get(g.zone)!);
  if (open < want - 0.5) return [trouble(g, 'bend', 'the end of the space', open, want)];
  const met = s.gear.find((o) => o !== g && boxesMeet(o.box, whole));
  return met
    ? [
        trouble(
          g,
          'bend',
          met.name,
          freeMm(want, (mm) => boxesMeet(met.box, corridor(g, face, mm))),
          want,
        ),
      ]
    : [];
}

function air(g: Gear, s: Ground): PlaceTrouble[] {
  const want = g.fixing.airMm;
  if (!want || g.heatW === 0) return [];
  const room = grown(g.box, want);
  return s.gear
    .filter((o) => o !== g && boxesMeet(o.box, room) && !boxesMeet(o.box, g.box))
    .map((o) =>
      trouble(
        g,
        'air',
        o.name,
        freeMm(want, (mm) => boxesMeet(o.box, grown(g.box, mm))),
        want,
      ),
    );
}

function weather(g: Gear, s: Ground): PlaceTrouble[] {
  const zone = s.zones.get(g.zone)!;
  return WEATHER_ORDER.indexOf(zone.weather) > WEATHER_ORDER.indexOf(g.fixing.weather) ? [trouble(g, 'weather', `${zone.weather} in the ${zone.name}`)] : [];
}

function access(g: Gear, s: Ground): PlaceTrouble[] {
  const zone = s.zones.get(g.zone)!;
  return g.fixing.reach && zone.reach === 'with tools' ? [trouble(g, 'access', zone.name)] : [];
}

/** Distance that house wiring keeps from gear with 230 V in it, mm. */
export const MAINS_APART_MM = 50;

function fromMains(g: Gear, s: Ground): PlaceTrouble[] {
  if (g.role !== 'mains' && g.role !== 'inverter') return [];
  const room = grown(g.box, MAINS_APART_MM);
  return s.gear.filter((o) => (o.role === 'bus' || o.role === 'block') && boxesMeet(o.box, room) && !boxesMeet(o.box, g.box)).map((o) => trouble(g, 'mains', o.name, 0, MAINS_APART_MM));
}

/** Everything that is wrong with the places, gear by gear. */
export function placeTroubles(vehicle: Vehicle, faces: readonly Face[], gear: readonly Gear[], bend: BendWanted): PlaceTrouble[] {
  const here = gear.filter((g) => g.role !== 'starting');
  const s: Ground = { faces: new Map(faces.map((f) => [f.id, f])), zones: new Map(vehicle.zones.map((z) => [z.id, z])), clear: keptClear(vehicle), gear: here, bend };
  return here.flatMap((g) => [...fits(g, s), ...clashes(g, s), ...bends(g, s), ...air(g, s), ...weather(g, s), ...access(g, s), ...fromMains(g, s)]);
}

/** Weight on a face over what it may carry. */
export interface FaceLoad {
  readonly face: string;
  readonly name: string;
  readonly kg: number;
  readonly limitKg: number;
}

/** What each face carries, the board's gear counted on the wall behind it too. */
export function faceLoads(faces: readonly Face[], gear: readonly Gear[], boardWall: string | null): FaceLoad[] {
  return faces.flatMap((f): FaceLoad[] => {
    const kg = gear.filter((g) => g.when !== 'later' && (g.face === f.id || (f.id === boardWall && g.face === BOARD_FACE))).reduce((s, g) => s + g.kg, 0);
    return kg > 0 ? [{ face: f.id, name: f.name, kg, limitKg: f.limitKg }] : [];
  });
}

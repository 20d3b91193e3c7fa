import type { Design, Vehicle } from '../design/index.js';
import { boxesMeet, boxMiddle, grown } from '../vehicle/index.js';
import type { Gear } from './gear.js';

/** Heights over the ground at which a hand and eyes find a thing, and the room it keeps from knees and what slides, mm; planning figures. */
export const USE_MM = { low: 350, high: 1700, readLow: 700, readHigh: 1750, knock: 40 } as const;

/** A zone that begins lower stands on the ground by itself, mm. */
const CARRIED_MM = 100;

export type UseTrouble = 'too low' | 'too high' | 'cannot be read' | 'gets stepped on' | 'gets knocked';

/** A thing that is used every day, where that is hard. */
export interface HardToUse {
  readonly gear: string;
  readonly name: string;
  readonly why: UseTrouble;
  readonly mm: number;
  readonly with: string;
}

/** Outlets, switches and displays: what is used by hand and eye, apart from what only runs. */
export const usedDaily = (design: Design, g: Gear): boolean => g.role === 'control' || (g.ref.in === 'loads' && design.loads[g.ref.id]?.purpose === 'sockets');

/**
 * What is hard to use where it is: out of a hand's reach, out of sight, where feet go, or where a lid, drawer or door
 * knocks it. One trouble a thing, the first in that order.
 */
export function hardToUse(design: Design, vehicle: Vehicle, gear: readonly Gear[]): HardToUse[] {
  const faces = new Map(vehicle.faces.map((f) => [f.id, f]));
  const zones = new Map(vehicle.zones.map((z) => [z.id, z]));
  return gear.flatMap((g): HardToUse[] => {
    if (!usedDaily(design, g) || g.when === 'later') return [];
    const mm = Math.round(boxMiddle(g.box).z);
    // What stands on the ground is carried to where its user wants it.
    const carried = (zones.get(g.zone)?.box.z ?? 0) < CARRIED_MM;
    const found = (why: UseTrouble, met = ''): HardToUse[] => [{ gear: g.id, name: g.name, why, mm, with: met }];
    if (carried) return [];
    if (mm < USE_MM.low) return found('too low');
    if (mm > USE_MM.high) return found('too high');
    if (faces.get(g.face)?.normal === '+z') return found('gets stepped on');
    if (g.role === 'control' && (mm < USE_MM.readLow || mm > USE_MM.readHigh || faces.get(g.face)?.normal === '-z')) return found('cannot be read');
    const moving = vehicle.openings.find((o) => !boxesMeet(o.sweep, g.box) && boxesMeet(grown(g.box, USE_MM.knock), o.sweep));
    return moving && moving.kind !== 'lid' ? found('gets knocked', moving.name) : [];
  });
}

import type { Gear, PartKind, Purpose } from '@meridex/core';
import { appliance, fan, fridgeFront, fridgeTop, heater, light, pump, set, sockets, there } from './loads';
import { box, line, type Stroke } from './strokes';
import { batteryFront, batteryTop, chargerFront, controllerFront, finsEdge, inverterFront, mainsFront, panelFace } from './supply';
import { barsFront, blockFront, displayFront, relayFront, shuntFront, switchFront } from './switching';

/** The side of a part that is looked at: what faces out of its wall, its lid, or a narrow side. */
export type Seen = 'front' | 'top' | 'edge';

type Draw = (w: number, h: number) => Stroke[];
interface Sides {
  readonly front: Draw;
  readonly top?: Draw;
  readonly edge?: Draw;
}

const plainEdge: Draw = (w, h) => [box('case', 0, 0, w, h, Math.min(w, h) * 0.1), w >= h ? line([0, h * 0.35], [w, h * 0.35]) : line([w * 0.35, 0], [w * 0.35, h])];
const panelEdge: Draw = (w, h) => [box('cell', 0, 0, w, h), box('face', 0, h * 0.5, w, h * 0.5)];
const warm = (front: Draw): Sides => ({ front, top: finsEdge, edge: finsEdge });
const flat = (front: Draw): Sides => ({ front, edge: plainEdge });
const all = (front: Draw): Sides => ({ front, edge: front });
const BATTERY: Sides = { front: batteryFront, top: batteryTop, edge: batteryFront };

const BY_ROLE: Readonly<Record<Exclude<Gear['role'], 'load'>, Sides>> = {
  starting: BATTERY,
  house: BATTERY,
  charger: warm(chargerFront),
  controller: warm(controllerFront),
  inverter: warm(inverterFront),
  mains: warm(mainsFront),
  panel: { front: panelFace, top: panelFace, edge: panelEdge },
  bus: flat(barsFront),
  block: flat(blockFront),
  control: flat(displayFront),
  there: all(there),
};

/** What is told apart by its sort of part, whatever role it was given. */
const BY_SORT: Readonly<Partial<Record<PartKind, Sides>>> = {
  switch: flat(switchFront),
  disconnect: flat(relayFront),
  isolator: flat(relayFront),
  shunt: flat(shuntFront),
  hub: flat(blockFront),
  relays: flat(blockFront),
  meter: flat(displayFront),
};

const BY_PURPOSE: Readonly<Record<Purpose, Sides>> = {
  fridge: { front: fridgeFront, top: fridgeTop, edge: fridgeFront },
  electronics: flat(set),
  lights: all(light),
  sockets: flat(sockets),
  pump: all(pump),
  heater: all(heater),
  tools: all(appliance),
  cooking: all(appliance),
  medical: flat(set),
  brakes: flat(relayFront),
  fan: flat(fan),
  other: all(appliance),
};

type Drawable = Pick<Gear, 'role' | 'purpose' | 'sort'>;

function sidesOf({ role, purpose, sort }: Drawable): Sides {
  if (role === 'load') return BY_PURPOSE[purpose ?? 'other'];
  // A monitor with a screen is a display; what sits in the battery's lead is its shunt.
  return (role === 'bus' && sort ? BY_SORT[sort] : undefined) ?? BY_ROLE[role];
}

/** A part as strokes in a field of w × h mm, its corner at 0; in the colours of feed and return where it has posts. */
export function gearStrokes(gear: Drawable, seen: Seen, w: number, h: number): readonly Stroke[] {
  const sides = sidesOf(gear);
  return (sides[seen] ?? sides.front)(w, h);
}

/** What of a part is seen by one who looks along an axis of the vehicle: z from above, y from the left side. */
export function seenAlong(gear: Pick<Gear, 'fixing'>, normal: string, axis: 'y' | 'z'): Seen {
  const stands = gear.fixing.stands && normal === '+z';
  if (stands) return axis === 'z' ? 'top' : 'front';
  return normal.endsWith(axis) ? 'front' : 'edge';
}

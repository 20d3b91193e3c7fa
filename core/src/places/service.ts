import type { Face, Vehicle } from '../design/index.js';
import { boxesMeet, faceBox } from '../vehicle/index.js';
import { BOARD_FACE, type Gear } from './gear.js';

/** Room that hands and the thing itself need in front of it, mm. */
const HANDS_MM = 400;

/** What comes off or open, in order, before a piece of gear can be serviced. */
export function comesOff(vehicle: Vehicle, faces: readonly Face[], gear: readonly Gear[], g: Gear): string[] {
  const face = faces.find((f) => f.id === g.face)!;
  const zone = vehicle.zones.find((z) => z.id === g.zone)!;
  const lid = vehicle.openings.find((o) => o.zone === g.zone && o.kind !== 'drawer' && o.kind !== 'slide');
  const front = faceBox(face, { u: g.u, v: g.v, w: g.outline.w, h: g.outline.h, outMm: g.outline.outMm + HANDS_MM });
  const before = gear.filter((o) => o.id !== g.id && o.face !== g.face && boxesMeet(o.box, front)).map((o) => o.name);
  return [...(zone.reach === 'at hand' ? [] : [lid?.name ?? zone.name]), ...(face.trim && g.face !== BOARD_FACE ? [face.trim] : []), ...before, g.fixing.service];
}

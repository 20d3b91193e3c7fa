import type { Vehicle } from '../design/index.js';
import type { Gear } from './gear.js';

type Span = readonly [from: number, to: number];
type Box = Vehicle['openings'][number]['sweep'];

const spans = (b: Box): readonly [Span, Span, Span] => [
  [b.x, b.x + b.l],
  [b.y, b.y + b.w],
  [b.z, b.z + b.h],
];
const overlap = ([a, b]: Span, [c, d]: Span): number => Math.min(b, d) - Math.max(a, c);

/**
 * Travel of the slides and drawers that a piece of gear rides on, mm: its loom must follow all of it. What stands in a
 * slide's own zone, behind the opening that it comes out of, rides on it.
 */
export function ridesMm(vehicle: Pick<Vehicle, 'openings' | 'zones'>, gear: Pick<Gear, 'zone' | 'box' | 'fixing'>): number {
  return vehicle.openings
    .filter((o) => (o.kind === 'slide' || o.kind === 'drawer') && o.zone === gear.zone && o.travelMm > 0)
    .reduce((most, o) => {
      const zone = vehicle.zones.find((z) => z.id === o.zone);
      if (!zone) return most;
      const [sweep, room, body] = [spans(o.sweep), spans(zone.box), spans(gear.box)];
      // It comes out along the side on which least of its sweep is still in the zone.
      const inside = sweep.map((s, i) => overlap(s, room[i]!) / (s[1] - s[0]));
      const along = inside.indexOf(Math.min(...inside));
      const behind = [0, 1, 2].every((i) => i === along || overlap(sweep[i]!, body[i]!) > 0.5 * (body[i]![1] - body[i]![0]));
      return behind ? Math.max(most, o.travelMm) : most;
    }, 0);
}

import type { Vehicle } from '../design/index.js';
import { boxMiddle } from '../vehicle/index.js';
import type { Gear } from './gear.js';

/** Something heavy at a place, mm from the front and from the left. */
export interface Mass {
  readonly kg: number;
  readonly x: number;
  readonly y: number;
}

/**
 * What two supports bear of a mass, kg, by moments about each: negative where it lifts.
 * @example shareOf({ kg: 100, x: 3000, y: 0 }, 1000, 5000) // [50, 50]
 */
export function shareOf(mass: Mass, frontX: number, rearX: number): readonly [frontKg: number, rearKg: number] {
  const rear = (mass.kg * (mass.x - frontX)) / (rearX - frontX);
  return [mass.kg - rear, rear];
}

export interface Support {
  readonly id: string;
  readonly name: string;
  readonly kind: 'axle' | 'drawbar';
  readonly addedKg: number;
  /** With what it bears empty. */
  readonly loadKg: number;
  readonly limitKg: number;
}

export interface CarrierWeight {
  readonly id: string;
  readonly name: string;
  readonly addedKg: number;
  readonly payloadKg: number | null;
  readonly supports: readonly Support[];
  /** Left wheels' share less the right ones', kg. */
  readonly leftOverRightKg: number;
}

interface Foot {
  readonly id: string;
  readonly name: string;
  readonly kind: Support['kind'];
  readonly x: number;
  readonly emptyKg: number;
  readonly limitKg: number;
}

function feet(vehicle: Vehicle, carrier: string): Foot[] {
  const bar = vehicle.carriers.find((c) => c.id === carrier)?.drawbar;
  const axles = vehicle.axles.filter((a) => a.carrier === carrier).map((a): Foot => ({ ...a, kind: 'axle' }));
  return [...(bar ? [{ ...bar, id: `${carrier}-drawbar`, name: 'drawbar', kind: 'drawbar' as const }] : []), ...axles].sort((a, b) => a.x - b.x);
}

function supportsOf(masses: readonly Mass[], all: readonly Foot[]): Support[] {
  const [front, rear] = [all[0], all[all.length - 1]];
  if (!front || !rear || front === rear) return [];
  const sums = masses.map((m) => shareOf(m, front.x, rear.x)).reduce(([a, b], [c, d]) => [a + c, b + d], [0, 0]);
  return (
    [
      [front, sums[0]],
      [rear, sums[1]],
    ] as const
  ).map(([f, kg]) => ({ id: f.id, name: f.name, kind: f.kind, addedKg: kg, loadKg: f.emptyKg + kg, limitKg: f.limitKg }));
}

/** Weight added to each vehicle, axle by axle and side by side, by moments about the first and the last support. */
export function weights(vehicle: Vehicle, gear: readonly Gear[]): CarrierWeight[] {
  const carrierOf = new Map(vehicle.zones.map((z) => [z.id, z.carrier]));
  const trackMm = Math.max(1, ...vehicle.wheels.map((w) => w.trackMm));
  return vehicle.carriers.map((c) => {
    const masses = gear.filter((g) => carrierOf.get(g.zone) === c.id && g.when !== 'later').map((g): Mass => ({ kg: g.kg, ...boxMiddle(g.box) }));
    const leftOverRightKg = masses.reduce((s, m) => s + (2 * m.kg * (vehicle.widthMm / 2 - m.y)) / trackMm, 0);
    return { id: c.id, name: c.name, addedKg: masses.reduce((s, m) => s + m.kg, 0), payloadKg: c.payloadKg, supports: supportsOf(masses, feet(vehicle, c.id)), leftOverRightKg };
  });
}

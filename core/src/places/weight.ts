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

/** Axles nearer than this to one another share by their suspension, mm. */
const TANDEM_MM = 1300;

/** Feet in groups, the first first: axles of a tandem bear together. */
function groupsOf(all: readonly Foot[]): Foot[][] {
  const out: Foot[][] = [];
  for (const f of all) {
    const last = out[out.length - 1];
    const before = last?.[last.length - 1];
    if (last && before && before.kind === 'axle' && f.kind === 'axle' && f.x - before.x <= TANDEM_MM) last.push(f);
    else out.push([f]);
  }
  return out;
}

function supportsOf(masses: readonly Mass[], all: readonly Foot[]): Support[] {
  const groups = groupsOf(all);
  const [front, rear] = [groups[0], groups[groups.length - 1]];
  if (!front || !rear || front === rear) return [];
  const middle = (g: readonly Foot[]): number => g.reduce((s, f) => s + f.x, 0) / g.length;
  const sums = masses.map((m) => shareOf(m, middle(front), middle(rear))).reduce(([a, b], [c, d]) => [a + c, b + d], [0, 0]);
  const each = (g: readonly Foot[], kg: number): Support[] => g.map((f) => ({ id: f.id, name: f.name, kind: f.kind, addedKg: kg / g.length, loadKg: f.emptyKg + kg / g.length, limitKg: f.limitKg }));
  return [...each(front, sums[0]), ...each(rear, sums[1])];
}

/** Weight added to each vehicle, axle by axle and side by side, by moments about the first and the last support; gear of another rig in its body counts. */
export function weights(vehicle: Vehicle, gear: readonly Gear[]): CarrierWeight[] {
  const carrierOf = new Map(vehicle.zones.map((z) => [z.id, z.carrier]));
  const trackMm = Math.max(1, ...vehicle.wheels.map((w) => w.trackMm));
  return vehicle.carriers.map((c) => {
    const there = [...gear.filter((g) => g.when !== 'later'), ...vehicle.keep.flatMap((k) => (k.gear ? [{ ...k.gear, box: k.box }] : []))];
    const masses = there.filter((g) => carrierOf.get(g.zone) === c.id).map((g): Mass => ({ kg: g.kg, ...boxMiddle(g.box) }));
    const leftOverRightKg = masses.reduce((s, m) => s + (2 * m.kg * (vehicle.widthMm / 2 - m.y)) / trackMm, 0);
    return { id: c.id, name: c.name, addedKg: masses.reduce((s, m) => s + m.kg, 0), payloadKg: c.payloadKg, supports: supportsOf(masses, feet(vehicle, c.id)), leftOverRightKg };
  });
}

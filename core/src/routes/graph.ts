import type { Vehicle, Way, Waypoint } from '../design/index.js';
import { straightMm } from '../vehicle/index.js';
import { costPerMm } from './hazards.js';

export interface Link {
  readonly to: string;
  readonly way: Way;
  readonly lengthMm: number;
  readonly cost: number;
}

/** The ways of a vehicle, from each waypoint to its neighbours. */
export interface WayGraph {
  readonly waypoints: ReadonlyMap<string, Waypoint>;
  readonly byZone: ReadonlyMap<string, readonly Waypoint[]>;
  readonly links: ReadonlyMap<string, readonly Link[]>;
}

function build(vehicle: Vehicle): WayGraph {
  const waypoints = new Map(vehicle.waypoints.map((w) => [w.id, w]));
  const byZone = new Map<string, Waypoint[]>();
  for (const w of vehicle.waypoints) if (w.zone) byZone.set(w.zone, [...(byZone.get(w.zone) ?? []), w]);
  const links = new Map<string, Link[]>(vehicle.waypoints.map((w) => [w.id, []]));
  for (const way of vehicle.ways) {
    const [a, b] = [waypoints.get(way.a), waypoints.get(way.b)];
    if (!a || !b || a === b) continue;
    const lengthMm = straightMm(a.at, b.at) + way.moreMm;
    const cost = lengthMm * costPerMm(way);
    links.get(a.id)!.push({ to: b.id, way, lengthMm, cost });
    links.get(b.id)!.push({ to: a.id, way, lengthMm, cost });
  }
  return { waypoints, byZone, links };
}

const known = new WeakMap<Vehicle, WayGraph>();

/** The graph of a vehicle, built once for each vehicle. */
export function wayGraph(vehicle: Vehicle): WayGraph {
  const there = known.get(vehicle);
  if (there) return there;
  const made = build(vehicle);
  known.set(vehicle, made);
  return made;
}

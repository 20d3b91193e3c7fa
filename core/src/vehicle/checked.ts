import type { Vehicle, Waypoint } from '../design/index.js';

export type VehicleTrouble =
  | { readonly kind: 'unknown'; readonly at: string; readonly name: string; readonly what: string }
  | { readonly kind: 'twice'; readonly at: string; readonly name: string }
  | { readonly kind: 'cut off'; readonly at: string; readonly name: string; readonly from: string }
  | { readonly kind: 'no length'; readonly at: string; readonly name: string }
  | { readonly kind: 'no coupling'; readonly at: string; readonly name: string }
  | { readonly kind: 'no waypoint'; readonly at: string; readonly name: string };

const ids = (list: readonly { readonly id: string }[]): Set<string> => new Set(list.map((x) => x.id));

function unknownNames(v: Vehicle): VehicleTrouble[] {
  const [carriers, zones, faces, waypoints] = [ids(v.carriers), ids(v.zones), ids(v.faces), ids(v.waypoints)];
  const out: VehicleTrouble[] = [];
  const must = (known: ReadonlySet<string>, name: string, at: string, what: string): void => {
    if (!known.has(name)) out.push({ kind: 'unknown', at, name, what });
  };
  for (const z of v.zones) must(carriers, z.carrier, z.name, 'carrier');
  for (const f of v.faces) must(zones, f.zone, f.name, 'zone');
  for (const o of v.openings) must(zones, o.zone, o.name, 'zone');
  for (const a of v.axles) must(carriers, a.carrier, a.name, 'carrier');
  for (const p of v.points) must(waypoints, p.waypoint, p.name, 'waypoint');
  for (const w of v.waypoints) {
    must(carriers, w.carrier, w.name, 'carrier');
    if (w.zone !== null) must(zones, w.zone, w.name, 'zone');
  }
  for (const w of v.ways) {
    must(waypoints, w.a, w.along, 'waypoint');
    must(waypoints, w.b, w.along, 'waypoint');
  }
  for (const [role, face] of Object.entries(v.usual)) must(faces, face, `usual place of ${role}`, 'face');
  return out;
}

function twice(v: Vehicle): VehicleTrouble[] {
  const lists = { carriers: v.carriers, zones: v.zones, faces: v.faces, openings: v.openings, axles: v.axles, keep: v.keep, points: v.points, waypoints: v.waypoints, ways: v.ways };
  return Object.entries(lists).flatMap(([at, list]) => {
    const seen = new Set<string>();
    return list.flatMap(({ id }): VehicleTrouble[] => {
      if (seen.has(id)) return [{ kind: 'twice', at, name: id }];
      seen.add(id);
      return [];
    });
  });
}

/** Waypoints that no way joins to the rest. */
function cutOff(v: Vehicle): VehicleTrouble[] {
  const first = v.waypoints[0];
  if (!first) return [];
  const reached = new Set([first.id]);
  for (let before = 0; before !== reached.size;) {
    before = reached.size;
    for (const w of v.ways) {
      if (reached.has(w.a)) reached.add(w.b);
      if (reached.has(w.b)) reached.add(w.a);
    }
  }
  return v.waypoints.filter((w) => !reached.has(w.id)).map((w) => ({ kind: 'cut off', at: w.id, name: w.name, from: first.name }));
}

function badWays(v: Vehicle): VehicleTrouble[] {
  const at = new Map(v.waypoints.map((w): [string, Waypoint] => [w.id, w]));
  return v.ways.flatMap((w): VehicleTrouble[] => {
    const [a, b] = [at.get(w.a), at.get(w.b)];
    if (!a || !b) return [];
    const same = a.at.x === b.at.x && a.at.y === b.at.y && a.at.z === b.at.z;
    if (w.a === w.b || (same && w.moreMm === 0)) return [{ kind: 'no length', at: w.id, name: `${a.name} – ${b.name}` }];
    return a.carrier !== b.carrier && !w.coupling ? [{ kind: 'no coupling', at: w.id, name: `${a.name} – ${b.name}` }] : [];
  });
}

/** Everything that keeps a vehicle's file from being planned with; empty when it is sound. */
export function vehicleTroubles(v: Vehicle): VehicleTrouble[] {
  const lonely = v.zones.filter((z) => !v.waypoints.some((w) => w.zone === z.id)).map((z): VehicleTrouble => ({ kind: 'no waypoint', at: z.id, name: z.name }));
  return [...unknownNames(v), ...twice(v), ...cutOff(v), ...badWays(v), ...lonely];
}

/** A trouble in words, with what to do. */
export function troubleInWords(t: VehicleTrouble): { readonly say: string; readonly fix: string } {
  switch (t.kind) {
    case 'unknown':
      return { say: `“${t.at}” names the ${t.what} “${t.name}”, which the vehicle has not.`, fix: `Name one that is there, or add the ${t.what}.` };
    case 'twice':
      return { say: `${t.at}: “${t.name}” is there twice.`, fix: 'Give each its own id.' };
    case 'cut off':
      return { say: `The waypoint “${t.name}” is not joined to “${t.from}”.`, fix: 'Add a way from it to its neighbour, or take it out.' };
    case 'no length':
      return { say: `The way ${t.name} has no length.`, fix: 'Move one of its ends, or take the way out.' };
    case 'no coupling':
      return { say: `The way ${t.name} goes from one vehicle to another without a coupling.`, fix: 'Mark it as a coupling: every circuit needs a plug there.' };
    case 'no waypoint':
      return { say: `No way reaches the zone “${t.name}”.`, fix: 'Add a waypoint in it, and a way to it.' };
  }
}

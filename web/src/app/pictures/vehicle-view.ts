import { type Box, type Face, type Gear, type Point, type Route, type SizedRun, type Vehicle } from '@meridex/core';

/** From the left side, or from above with the front at the left: the vehicle's left side is below. */
export type View = 'side' | 'plan';

export interface Flat {
  readonly x: number;
  readonly y: number;
}

export interface FlatBox extends Flat {
  readonly w: number;
  readonly h: number;
}

/** A point of the vehicle in a view's own millimetres, y downwards. */
export function flat(v: Vehicle, view: View, p: Point): Flat {
  return view === 'side' ? { x: p.x, y: v.heightMm - p.z } : { x: p.x, y: v.widthMm - p.y };
}

export function flatBox(v: Vehicle, view: View, b: Box): FlatBox {
  return view === 'side' ? { x: b.x, y: v.heightMm - b.z - b.h, w: b.l, h: b.h } : { x: b.x, y: v.widthMm - b.y - b.w, w: b.l, h: b.w };
}

/** How a move in a view changes a place on a face: mm along u and v. What the view cannot show stays. */
export function moveOnFace(face: Face, view: View, by: Flat): { readonly du: number; readonly dv: number } {
  const along = (axis: 'x' | 'y' | 'z'): number => (axis === 'x' ? by.x : axis === 'y' ? (view === 'plan' ? -by.y : 0) : view === 'side' ? -by.y : 0);
  const normal = face.normal[1] as 'x' | 'y' | 'z';
  return { du: along(normal === 'x' ? 'y' : 'x'), dv: along(normal === 'z' ? 'y' : 'z') };
}

/** Place on a face under a point of a view; what the view cannot show is the middle of the face. */
export function pointOnFace(v: Vehicle, face: Face, view: View, at: Flat): { readonly u: number; readonly v: number } {
  const p = { x: at.x, y: view === 'plan' ? v.widthMm - at.y : null, z: view === 'side' ? v.heightMm - at.y : null };
  const normal = face.normal[1] as 'x' | 'y' | 'z';
  const [a, b] = normal === 'x' ? [p.y, p.z] : normal === 'z' ? [p.x, p.y] : [p.x, p.z];
  const [from, up] = normal === 'x' ? [face.at.y, face.at.z] : normal === 'z' ? [face.at.x, face.at.y] : [face.at.x, face.at.z];
  return { u: a === null ? face.w / 2 : a - from, v: b === null ? face.h / 2 : b - up };
}

/** The zone under a point, the smallest where several lie over each other. */
export function zoneAt(v: Vehicle, view: View, at: Flat): string | null {
  const inside = v.zones.filter((z) => {
    const b = flatBox(v, view, z.box);
    return at.x >= b.x && at.x <= b.x + b.w && at.y >= b.y && at.y <= b.y + b.h;
  });
  return inside.sort((a, b) => a.box.l * a.box.w * a.box.h - b.box.l * b.box.w * b.box.h)[0]?.id ?? null;
}

/** The face of a zone that gear lands on when it is dropped there: the same sort as before, else what the view shows. */
export function landingFace(faces: readonly Face[], zone: string, before: Face | undefined, view: View): Face | undefined {
  const here = faces.filter((f) => f.zone === zone);
  return here.find((f) => f.normal === before?.normal) ?? here.find((f) => f.normal === (view === 'plan' ? '+z' : '+y')) ?? here[0];
}

/** Runs that share a stretch lie side by side: a lane for each, as few as will do. */
export function lanesOf(runs: readonly SizedRun[]): ReadonlyMap<string, number> {
  const lanes = new Map<string, number>();
  for (const r of runs) {
    const ways = new Set(r.spec.route?.ways.map((w) => w.id));
    const met = runs.filter((o) => lanes.has(o.spec.id) && o.spec.route?.ways.some((w) => ways.has(w.id))).map((o) => lanes.get(o.spec.id)!);
    let lane = 0;
    while (met.includes(lane)) lane++;
    lanes.set(r.spec.id, lane);
  }
  return lanes;
}

/** A route as an SVG path, moved aside by its lane everywhere but at its ends. */
export function routePath(v: Vehicle, view: View, route: Route, asideMm: number): string {
  const points = route.points.map((p) => flat(v, view, p));
  const last = points.length - 1;
  const moved = points.map((p, i) => (i === 0 || i === last || route.ways.length === 0 ? p : { x: p.x + asideMm, y: p.y + asideMm }));
  return moved.map((p, i) => `${i ? 'L' : 'M'}${p.x.toFixed(0)} ${p.y.toFixed(0)}`).join(' ');
}

/** Gear in a view, from below up in depth, so that what is nearer is drawn later. */
export function inDepth(gear: readonly Gear[], view: View): Gear[] {
  return [...gear].sort((a, b) => (view === 'side' ? b.box.y + b.box.w - a.box.y - a.box.w : a.box.z + a.box.h - b.box.z - b.box.h));
}

/** How much of a label would lie over gear and lines: area over gear, and its height for each line that passes. */
export function covered(label: FlatBox, boxes: readonly FlatBox[], lines: readonly (readonly Flat[])[]): number {
  const over = boxes.reduce(
    (s, b) => s + Math.max(0, Math.min(label.x + label.w, b.x + b.w) - Math.max(label.x, b.x)) * Math.max(0, Math.min(label.y + label.h, b.y + b.h) - Math.max(label.y, b.y)),
    0,
  );
  const inside = (p: Flat): boolean => p.x > label.x && p.x < label.x + label.w && p.y > label.y - label.h && p.y < label.y + 2 * label.h;
  const between = (p: Flat, q: Flat): Flat[] => [0, 0.25, 0.5, 0.75, 1].map((t) => ({ x: p.x + t * (q.x - p.x), y: p.y + t * (q.y - p.y) }));
  const passing = lines.filter((l) => l.some((p, i) => i > 0 && between(l[i - 1]!, p).some(inside))).length;
  return over + passing * label.h * label.h;
}

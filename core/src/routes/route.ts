import type { Point, Vehicle, Way } from '../design/index.js';
import { memoizeFor } from '../quantity/index.js';
import { squareMm } from '../vehicle/index.js';
import { wayGraph, type Link, type WayGraph } from './graph.js';
import { cheapest, type Cheapest, type Seeds } from './shortest.js';

/** An end of a run in the vehicle: the zone it is in and where its cable leaves. */
export interface Stand {
  readonly zone: string;
  readonly at: Point;
}

/** The way of a run through the vehicle. */
export interface Route {
  readonly waypoints: readonly string[];
  readonly ways: readonly Way[];
  /** Corners of the way with both ends, mm. */
  readonly points: readonly Point[];
  /** Along the ways, and from the ways to the terminals, mm. */
  readonly alongMm: number;
  readonly dropsMm: number;
  /** Loops for what moves, mm. */
  readonly loopsMm: number;
  /** Length weighed by hazards: what was made smallest. */
  readonly cost: number;
}

export type Routed = { readonly ok: true; readonly route: Route } | { readonly ok: false; readonly why: 'no way' | 'zone unreached' | 'kept from it' };

export interface Wishes {
  /** Waypoints to pass, in this order. */
  readonly via?: readonly string[];
  /** Waypoints and ways to leave out. */
  readonly avoid?: readonly string[];
}

function seedsOf(graph: WayGraph, stand: Stand): Seeds {
  return new Map((graph.byZone.get(stand.zone) ?? []).map((w) => [w.id, squareMm(stand.at, w.at)]));
}

/** Corner of a drop that goes first along, then up or down, as cable on a wall does. */
function corner(a: Point, b: Point): Point[] {
  return [
    { x: b.x, y: a.y, z: a.z },
    { x: b.x, y: b.y, z: a.z },
  ].filter((p) => squareMm(p, a) > 1 && squareMm(p, b) > 1);
}

function direct(from: Stand, to: Stand): Route {
  const mm = squareMm(from.at, to.at);
  return { waypoints: [], ways: [], points: [from.at, ...corner(from.at, to.at), to.at], alongMm: 0, dropsMm: mm, loopsMm: 0, cost: mm };
}

function alongGraph(graph: WayGraph, from: Stand, to: Stand, found: readonly Cheapest[]): Route {
  const waypoints = found.flatMap((f, i) => (i ? f.waypoints.slice(1) : f.waypoints));
  const links = found.flatMap((f): readonly Link[] => f.links);
  const [first, last] = [graph.waypoints.get(waypoints[0]!)!, graph.waypoints.get(waypoints[waypoints.length - 1]!)!];
  return {
    waypoints,
    ways: links.map((l) => l.way),
    points: [from.at, ...corner(from.at, first.at), ...waypoints.map((w) => graph.waypoints.get(w)!.at), ...corner(to.at, last.at).reverse(), to.at],
    alongMm: links.reduce((s, l) => s + l.lengthMm, 0),
    dropsMm: squareMm(from.at, first.at) + squareMm(to.at, last.at),
    loopsMm: links.reduce((s, l) => s + l.way.movingMm, 0),
    cost: found.reduce((s, f) => s + f.cost, 0),
  };
}

interface Asked {
  readonly from: Stand;
  readonly to: Stand;
  readonly wishes: Wishes;
}

const keyOf = ({ from, to, wishes }: Asked): string =>
  `${from.zone} ${from.at.x} ${from.at.y} ${from.at.z} ${to.zone} ${to.at.x} ${to.at.y} ${to.at.z} ${(wishes.via ?? []).join()} ${(wishes.avoid ?? []).join()}`;
const routed = memoizeFor(2000, keyOf, route);

/** The cheapest way between two ends that keeps to the wishes; within a zone cable may go straight along the wall. */
export function routeBetween(vehicle: Vehicle, from: Stand, to: Stand, wishes: Wishes = {}): Routed {
  return routed(wayGraph(vehicle), { from, to, wishes });
}

function route(graph: WayGraph, { from, to, wishes }: Asked): Routed {
  const shut = new Set(wishes.avoid ?? []);
  const via = (wishes.via ?? []).filter((w) => graph.waypoints.has(w));
  const [start, end] = [seedsOf(graph, from), seedsOf(graph, to)];
  const near = from.zone === to.zone && via.length === 0 ? direct(from, to) : null;
  if (!near && (start.size === 0 || end.size === 0)) return { ok: false, why: 'zone unreached' };
  const stops: Seeds[] = [start, ...via.map((w) => new Map([[w, 0]])), end];
  const legs: Cheapest[] = [];
  for (let i = 1; i < stops.length; i++) {
    const leg = cheapest(graph, stops[i - 1]!, stops[i]!, shut);
    if (!leg) return near ? { ok: true, route: near } : { ok: false, why: shut.size ? 'kept from it' : 'no way' };
    legs.push(leg);
  }
  const round = alongGraph(graph, from, to, legs);
  return { ok: true, route: near && near.cost <= round.cost ? near : round };
}

/** Slack of a cut length: a share of the way and a service loop at each end, m; a link between neighbours, through the wall of a box too, is cut to fit. */
export const SLACK = { share: 0.1, loopM: 0.2, linkUnderM: 1, linkAlongMm: 100, linkLoopM: 0.05 } as const;

/** Length of cable to cut for a route, m, to the decimetre above. @example cutLengthM({ alongMm: 3000, dropsMm: 400, loopsMm: 80 }) // 4.3 */
export function cutLengthM(route: Pick<Route, 'alongMm' | 'dropsMm' | 'loopsMm'>): number {
  const m = (route.alongMm + route.dropsMm) / 1000;
  const loopM = route.alongMm <= SLACK.linkAlongMm && m < SLACK.linkUnderM ? SLACK.linkLoopM : SLACK.loopM;
  return Math.ceil(10 * (m * (1 + SLACK.share) + 2 * loopM + route.loopsMm / 1000) - 1e-9) / 10;
}

const key = (r: Route): string => r.ways.map((w) => w.id).join(' ');

/** Another way than the best, and the stretch that must be left out for it. */
export interface OtherRoute {
  readonly route: Route;
  readonly without: Way;
}

/** Other ways, the cheapest first: each leaves out one stretch of the best. At most `most` of them. */
export function otherRoutes(vehicle: Vehicle, from: Stand, to: Stand, best: Route, wishes: Wishes = {}, most = 3): OtherRoute[] {
  const seen = new Map<string, OtherRoute>();
  for (const without of best.ways) {
    const other = routeBetween(vehicle, from, to, { ...wishes, avoid: [...(wishes.avoid ?? []), without.id] });
    if (other.ok && key(other.route) !== key(best)) seen.set(key(other.route), { route: other.route, without });
  }
  return [...seen.values()].sort((a, b) => a.route.cost - b.route.cost).slice(0, most);
}

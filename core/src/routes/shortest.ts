import type { Link, WayGraph } from './graph.js';

/** Where a search starts or ends: waypoints with what it costs to get to each. */
export type Seeds = ReadonlyMap<string, number>;

export interface Cheapest {
  readonly cost: number;
  /** Waypoints from first to last. */
  readonly waypoints: readonly string[];
  readonly links: readonly Link[];
}

interface Mark {
  cost: number;
  back: { readonly from: string; readonly link: Link } | null;
  done: boolean;
}

function trace(marks: ReadonlyMap<string, Mark>, last: string, cost: number): Cheapest {
  const waypoints = [last];
  const links: Link[] = [];
  for (let mark = marks.get(last)!; mark.back; mark = marks.get(mark.back.from)!) {
    waypoints.unshift(mark.back.from);
    links.unshift(mark.back.link);
  }
  return { cost, waypoints, links };
}

/**
 * The cheapest way from any of the first waypoints to any of the last that takes no shut waypoint or way, by Dijkstra's
 * algorithm (1959); null where none leads there. Graphs of a vehicle have some dozens of waypoints, so the nearest is
 * found by looking at all.
 */
export function cheapest(graph: WayGraph, first: Seeds, last: Seeds, shut: ReadonlySet<string> = new Set()): Cheapest | null {
  const marks = new Map<string, Mark>();
  for (const [id, cost] of first) if (!shut.has(id)) marks.set(id, { cost, back: null, done: false });
  let best: { readonly id: string; readonly cost: number } | null = null;
  for (;;) {
    let here: string | null = null;
    let least: number = best?.cost ?? Infinity;
    for (const [id, m] of marks) if (!m.done && m.cost < least) [here, least] = [id, m.cost];
    if (here === null) break;
    const mark = marks.get(here)!;
    mark.done = true;
    const ending = last.get(here);
    if (ending !== undefined && mark.cost + ending < (best?.cost ?? Infinity)) best = { id: here, cost: mark.cost + ending };
    for (const link of graph.links.get(here) ?? []) {
      if (shut.has(link.to) || shut.has(link.way.id)) continue;
      const cost = mark.cost + link.cost;
      const there = marks.get(link.to);
      if (!there) marks.set(link.to, { cost, back: { from: here, link }, done: false });
      else if (!there.done && cost < there.cost) [there.cost, there.back] = [cost, { from: here, link }];
    }
  }
  return best ? trace(marks, best.id, best.cost) : null;
}

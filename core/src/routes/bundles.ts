import type { RunGroup, RunRole } from './spec.js';
import type { Route } from './route.js';

/** A run as far as bundling looks at it. */
export interface Bundled {
  readonly id: string;
  readonly group: RunGroup;
  readonly role?: RunRole;
  readonly route: Route | null;
  /** Laid with room to its neighbours, where no tube holds them together. */
  readonly apart?: boolean;
}

/** Heavy feeds are tied apart from the loads' loom: the loom's grouping is its own. */
const LOOM: Readonly<Record<RunGroup, string>> = { charging: 'feeds', house: 'feeds', loads: 'loads', sun: 'feeds' };

/** Thin leads of what feeds go with the loads’ loom. */
const THIN: ReadonlySet<RunRole | undefined> = new Set<RunRole>(['maintainer feed', 'maintainer output']);

const loomOf = (r: Bundled): string => (THIN.has(r.role) ? LOOM.loads : LOOM[r.group]);

/** Runs that lie together on a stretch, by way and loom. */
export function bundlesOf(runs: readonly Bundled[]): ReadonlyMap<string, readonly string[]> {
  const out = new Map<string, string[]>();
  for (const r of runs)
    for (const way of r.route?.ways ?? []) {
      if (r.apart && !way.conduit) continue;
      const at = `${way.id}|${loomOf(r)}`;
      out.set(at, [...(out.get(at) ?? []), r.id]);
    }
  return out;
}

/** Circuits in the fullest bundle that each run is part of. */
export function groupedOf(runs: readonly Bundled[]): ReadonlyMap<string, number> {
  const most = new Map(runs.map((r) => [r.id, 1]));
  for (const ids of bundlesOf(runs).values()) for (const id of ids) most.set(id, Math.max(most.get(id)!, ids.length));
  return most;
}

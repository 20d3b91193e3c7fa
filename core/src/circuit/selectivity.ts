import { discrimination, type Discrimination } from '../protection/index.js';
import { isMainLead, type Fitted, type RunFuse, type SizedRun } from '../routes/index.js';
import { feeders } from './plan.js';

/** Two fuses in one path from battery to load: which should open first, and whether it does. */
export interface SelectivePair {
  readonly far: { readonly run: string; readonly number: number; readonly name: string; readonly fuse: RunFuse };
  readonly near: { readonly run: string; readonly number: number; readonly name: string; readonly fuse: RunFuse };
  /** Currents that both may see, A of the far one's branch. */
  readonly fromA: number;
  readonly toA: number;
  readonly result: Discrimination;
}

/** The fuse before a run as seen from the house battery: of its feed, or the battery's own. */
function before(run: Fitted, byId: ReadonlyMap<string, Fitted>, main: Fitted | null): Fitted | null {
  if (run.spec.existing) return null;
  const [feeder] = feeders(run.spec);
  if (feeder) return byId.get(feeder) ?? null;
  return isMainLead(run) ? null : main;
}

/**
 * Every pair of neighbouring fuses along each path from the house battery. Of parallel batteries each main fuse sees its
 * share of the short only, so it counts as so much bigger.
 */
export function selectivePairs(sized: readonly SizedRun[]): SelectivePair[] {
  const runs = sized.filter((r): r is Fitted => r.ok);
  const mains = runs.filter(isMainLead);
  const strings = Math.max(1, mains.length);
  const byId = new Map(runs.map((r) => [r.spec.id, r]));
  return runs.flatMap((run) => {
    if (run.spec.protectedBy) return [];
    const nearRun = before(run, byId, mains[0] ?? null);
    const near = nearRun?.figures.fuses.find((f) => f.end.at === 'from');
    if (!nearRun || !near) return [];
    const many = isMainLead(nearRun) ? strings : 1;
    return run.figures.fuses
      .filter((f) => f.end.source === 'house battery' && f.maxA > 0)
      .map((far): SelectivePair => {
        const nearly = { type: near.type, ratingA: near.ratingA * many * nearRun.figures.perPole };
        return {
          far: { run: run.spec.id, number: run.spec.number, name: run.spec.name, fuse: far },
          near: { run: nearRun.spec.id, number: nearRun.spec.number, name: nearRun.spec.name, fuse: near },
          fromA: far.ratingA,
          toA: far.maxA,
          result: discrimination(far, nearly, far.ratingA, far.maxA),
        };
      });
  });
}

/** A larger rating in a fuse's own window, and the pairs that it mends by waiting for the other. */
export interface Waiting {
  readonly ratingA: number;
  readonly mended: readonly SelectivePair[];
}

/** The smallest rating in the nearer fuse's own window that waits for most of those that it does not wait for now. */
function waits(pairs: readonly SelectivePair[], run: Fitted): Waiting | null {
  const { near, far, result } = pairs[0]!;
  // Of parallel batteries and conductors each fuse carries its share only.
  const times = (result.ratio * far.fuse.ratingA) / near.fuse.ratingA;
  const tried = run.figures.window.fitsA
    .filter((a) => a > near.fuse.ratingA)
    .map((a): Waiting => ({ ratingA: a, mended: pairs.filter((p) => discrimination(p.far.fuse, { type: near.fuse.type, ratingA: a * times }, p.fromA, p.toA).holds) }));
  const most = Math.max(0, ...tried.map((t) => t.mended.length));
  return most ? tried.find((t) => t.mended.length === most)! : null;
}

/** Ratings that would make a fuse wait for the smaller ones behind it, by run; those that nothing in their window mends are left out. */
export function waitingRatings(sized: readonly SizedRun[]): ReadonlyMap<string, Waiting> {
  const failing = selectivePairs(sized).filter((p) => !p.result.holds);
  const out = new Map<string, Waiting>();
  for (const run of sized) {
    const pairs = failing.filter((p) => p.near.run === run.spec.id);
    const mend = pairs.length && run.ok ? waits(pairs, run) : null;
    if (mend) out.set(run.spec.id, mend);
  }
  return out;
}

import { discrimination, type Discrimination } from '../protection/index.js';
import type { RunFuse, SizedRun } from '../routes/index.js';
import { feederOf } from './plan.js';

/** Two fuses in one path from battery to load: which should open first, and whether it does. */
export interface SelectivePair {
  readonly far: { readonly run: string; readonly number: number; readonly name: string; readonly fuse: RunFuse };
  readonly near: { readonly run: string; readonly number: number; readonly name: string; readonly fuse: RunFuse };
  /** Currents that both may see, A of the far one's branch. */
  readonly fromA: number;
  readonly toA: number;
  readonly result: Discrimination;
}

type Fitted = Extract<SizedRun, { ok: true }>;

/** The fuse before a run as seen from the house battery: of its feed, or the battery's own. */
function before(run: Fitted, runs: readonly Fitted[]): Fitted | null {
  const byId = (id: string): Fitted | null => runs.find((r) => r.spec.id === id) ?? null;
  if (run.spec.existing) return null;
  const [feeder] = feederOf(run.spec.from.gear, run.spec.parent);
  if (feeder) return byId(feeder);
  if (/^house\d*-bus$/.test(run.spec.id)) return null;
  return byId('house-bus') ?? byId('house1-bus');
}

/**
 * Every pair of neighbouring fuses along each path from the house battery. Of parallel batteries each main fuse sees its
 * share of the short only, so it counts as so much bigger.
 */
export function selectivePairs(sized: readonly SizedRun[]): SelectivePair[] {
  const runs = sized.filter((r): r is Fitted => r.ok);
  const strings = Math.max(1, runs.filter((r) => /^house\d+-bus$/.test(r.spec.id)).length);
  return runs.flatMap((run) => {
    if (run.spec.guard) return [];
    const nearRun = before(run, runs);
    const near = nearRun?.figures.fuses.find((f) => f.end.at === 'from');
    if (!nearRun || !near) return [];
    const many = /^house/.test(nearRun.spec.id) ? strings : 1;
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

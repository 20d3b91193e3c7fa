import { COMPARE_SLACK } from '../quantity/index.js';
import { leastCopper, pathLosses, type SizeStep, type TreeRun } from './least-copper.js';

/** Most of its own volts that a run loses where it is sized for itself, per cent. */
export const ALONE_PERCENT = 3;
/** Sizes that a run may stand above what it needs alone, for the sake of others. */
export const MOST_ABOVE = 2;
/** A limit gives way by so much at a time, and no further than this, per cent of the volts. */
const GIVES = { stepPercent: 0.25, mostPercent: 1 } as const;

/** Place of the step that a run needs for itself: heat, fuse, short and custom, and 3 % of its own or its limit where that is less. */
export function aloneStep(run: TreeRun): number {
  const own = Math.min(ALONE_PERCENT, run.limitPercent ?? ALONE_PERCENT);
  const i = run.steps.findIndex((s) => s.dropPercent <= own + COMPARE_SLACK);
  return i < 0 ? run.steps.length - 1 : i;
}

/** Place of the thickest step that a run takes for the sake of others. */
export const mostStep = (run: TreeRun): number => run.most ?? aloneStep(run) + MOST_ABOVE;

const last = (r: TreeRun): number => r.steps.length - 1;

/**
 * The same tree with the limits widened that no size meets: such a path keeps the thickest that its own end takes, and
 * the runs before it what they need alone, since no copper there would save it.
 */
export function widened<S extends SizeStep>(runs: readonly TreeRun<S>[]): readonly TreeRun<S>[] {
  const least = pathLosses(runs, last);
  if (runs.every((r) => r.limitPercent === null || least.get(r.id)! <= r.limitPercent + COMPARE_SLACK)) return runs;
  const alone = pathLosses(runs, aloneStep);
  return runs.map((r) => {
    if (r.limitPercent === null || least.get(r.id)! <= r.limitPercent + COMPARE_SLACK) return r;
    const before = r.parent === null ? 0 : alone.get(r.parent)!;
    return { ...r, limitPercent: before + r.steps[last(r)]!.dropPercent };
  });
}

/** Runs on the way from a source to this one, itself included. */
function pathsOf(runs: readonly TreeRun[]): ReadonlyMap<string, readonly string[]> {
  const out = new Map<string, readonly string[]>();
  for (const r of runs) out.set(r.id, [...(r.parent === null ? [] : out.get(r.parent)!), r.id]);
  return out;
}

/**
 * Least copper with sense: where the optimum puts a run more than two sizes above what it needs alone, the limits of the
 * paths that force it give way by a quarter of a per cent at a time, one per cent at most; where that does not help, the
 * run stays two sizes above and what is missed is missed.
 * @returns the place of the chosen step, by run
 */
export function sensibleCopper<S extends SizeStep>(runs: readonly TreeRun<S>[]): ReadonlyMap<string, number> {
  const paths = pathsOf(runs);
  const cap = new Map(runs.map((r) => [r.id, mostStep(r)]));
  const given = new Map<string, number>();
  const held = new Set<string>();
  for (;;) {
    const tree = widened(
      runs.map((r): TreeRun<S> => {
        const steps = held.has(r.id) ? (r.steps.slice(0, cap.get(r.id)! + 1) as [S, ...S[]]) : r.steps;
        return { ...r, steps, limitPercent: r.limitPercent === null ? null : r.limitPercent + (given.get(r.id) ?? 0) };
      }),
    );
    const chosen = leastCopper(tree);
    const above = tree.filter((r) => chosen.get(r.id)! > cap.get(r.id)!);
    if (!above.length) return chosen;
    const lost = pathLosses(tree, (r) => chosen.get(r.id)!);
    let gave = false;
    for (const thick of above) {
      const i = chosen.get(thick.id)!;
      const oneDown = thick.steps[i - 1]!.dropPercent - thick.steps[i]!.dropPercent;
      for (const r of tree) {
        if (r.limitPercent === null || !paths.get(r.id)!.includes(thick.id)) continue;
        const forces = lost.get(r.id)! + oneDown > r.limitPercent + COMPARE_SLACK;
        const so = given.get(r.id) ?? 0;
        if (!forces || so >= GIVES.mostPercent - COMPARE_SLACK) continue;
        given.set(r.id, so + GIVES.stepPercent);
        gave = true;
      }
    }
    if (!gave) for (const thick of above) held.add(thick.id);
  }
}

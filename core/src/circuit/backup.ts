import { FUSE_KINDS } from '../protection/index.js';
import type { Fitted, RunFuse } from '../routes/index.js';

/** A fuse may be backed up against a short of at most so many times what it breaks itself. */
const MOST_TIMES = 2;
/** And at no more volts than this. */
const MOST_V = 16;

/**
 * The fuse before one of a block that breaks the whole of a short which the block's own cannot; null where it can, where
 * none does, or where the short is too much for it even so. The fuse nearest a bank is never excused.
 */
export function backedBy(run: Fitted, fuse: RunFuse, runs: ReadonlyMap<string, Fitted>, fusesOf: ReadonlyMap<string, readonly RunFuse[]>): RunFuse['backedBy'] {
  const { spec } = run;
  const ofBlock = spec.fuseKinds.every((k) => k === 'blade') && fuse.end.at === 'from';
  if (!ofBlock || fuse.maxA <= fuse.breakingA || fuse.maxA > MOST_TIMES * fuse.breakingA || spec.highestV > MOST_V) return null;
  for (let before = spec.parent ? runs.get(spec.parent) : undefined; before; before = before.spec.parent ? runs.get(before.spec.parent) : undefined) {
    const up = fusesOf.get(before.spec.id)?.find((f) => f.end.at === 'from' && f.of === null);
    if (up && up.breakingA >= fuse.maxA && up.breakingA >= up.maxA) return { run: before.spec.id, name: `${up.ratingA} A ${FUSE_KINDS[up.type].name}`, type: up.type, ratingA: up.ratingA };
  }
  return null;
}

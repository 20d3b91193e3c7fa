import { memoize } from '../quantity/index.js';
import { clearingTimes } from './clearing.js';
import { FUSE_KINDS, type FuseType } from './kinds.js';

/** A fuse in a path, with the shorts that it and the one before it both see. */
export interface FuseInPath {
  readonly type: FuseType;
  readonly ratingA: number;
}

export interface Discrimination {
  /** The smaller opens first at every current that both may see. */
  readonly holds: boolean;
  /** The smallest current at which it does not, A; null where it holds. */
  readonly failsAtA: number | null;
  /** Rating of the bigger over that of the smaller, and the least that these two kinds need. */
  readonly ratio: number;
  readonly needs: number;
}

/** A slow edge falls from never to its gate at the gate itself: what holds there need not hold just below. */
const JUST_BELOW = 1 - 1e-9;

/** Currents at which two bands may cross: gates of both, just below them, and a grid between, within a range. */
function trials(near: FuseInPath, far: FuseInPath, fromA: number, toA: number): number[] {
  const gates = [near, far].flatMap((f) => FUSE_KINDS[f.type].envelope.flatMap(([m]) => [m * f.ratingA * JUST_BELOW, m * f.ratingA]));
  const steps = 40;
  const grid = toA > fromA ? Array.from({ length: steps + 1 }, (_, i) => fromA * (toA / fromA) ** (i / steps)) : [fromA];
  return [...gates.filter((a) => a >= fromA && a <= toA), ...grid].sort((a, b) => a - b);
}

const firstFailing = (near: FuseInPath, far: FuseInPath, fromA: number, toA: number): number | null =>
  trials(near, far, fromA, toA).find((a) => {
    const slow = clearingTimes(far.type, far.ratingA, a).slowS;
    const fast = clearingTimes(near.type, near.ratingA, a).fastS;
    // Where neither opens there is nothing to be first at.
    return !(slow < fast) && fast < Infinity;
  }) ?? null;

interface Asked {
  readonly near: FuseInPath;
  readonly far: FuseInPath;
  readonly fromA: number;
  readonly toA: number;
}

/** Kept by content: while one thing is changed most pairs of fuses stay as they are. */
const failing = memoize(
  1000,
  ({ near, far, fromA, toA }: Asked) => `${near.type} ${near.ratingA} ${far.type} ${far.ratingA} ${fromA} ${toA}`,
  ({ near, far, fromA, toA }) => ({ at: firstFailing(near, far, fromA, toA) }),
);

/** Currents, as multiples of the smaller rating, over which the needed ratio of two kinds is sought. */
const SEEN = { from: 1, to: 60, step: 0.05, mostRatio: 12 } as const;
const known = new Map<string, number>();

/** The least ratio of ratings at which a fuse of one kind opens before one of another at every current. */
export function neededRatio(near: FuseType, far: FuseType): number {
  const key = `${near} ${far}`;
  const there = known.get(key);
  if (there !== undefined) return there;
  let ratio = 1;
  while (ratio < SEEN.mostRatio && firstFailing({ type: near, ratingA: 100 * ratio }, { type: far, ratingA: 100 }, 100 * SEEN.from, 100 * SEEN.to) !== null) ratio += SEEN.step;
  const found = Math.round(ratio * 100) / 100;
  known.set(key, found);
  return found;
}

/**
 * Whether the fuse nearer to a load opens before the one nearer to the battery, over the currents that both see: the
 * slow edge of the one against the fast edge of the other.
 * @example discrimination({ type: 'blade', ratingA: 10 }, { type: 'small-bolt-in', ratingA: 100 }, 50, 800).holds // true
 */
export function discrimination(far: FuseInPath, near: FuseInPath, fromA: number, toA: number): Discrimination {
  const { at: failsAtA } = failing({ near, far, fromA, toA });
  return { holds: failsAtA === null, failsAtA, ratio: near.ratingA / far.ratingA, needs: neededRatio(near.type, far.type) };
}

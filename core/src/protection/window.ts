import { COMPARE_SLACK } from '../quantity/index.js';
import { FUSE_KINDS, type FuseType } from './kinds.js';

/** Something on the protected stretch that must not carry more than its rating. */
export interface WeakPart {
  readonly what: string;
  readonly ratingA: number;
}

export interface FuseWindow {
  readonly loadA: number;
  /** Smallest rating that carries the load all day: load over the continuous share. */
  readonly fromA: number;
  readonly to: WeakPart;
  /** Standard ratings inside the window, smallest first; empty: the window is closed. */
  readonly fitsA: readonly number[];
}

/**
 * The ratings that carry the load and still protect the weakest part.
 * @example fuseWindow('blade', 8, [{ what: 'cable', ratingA: 20 }]).fitsA // [10, 15, 20]
 */
export function fuseWindow(type: FuseType, loadA: number, parts: readonly WeakPart[]): FuseWindow {
  const kind = FUSE_KINDS[type];
  const fromA = loadA / kind.continuous;
  const to = parts.reduce((weak, p) => (p.ratingA < weak.ratingA ? p : weak), { what: 'nothing', ratingA: Infinity } as WeakPart);
  const fitsA = kind.sizesA.filter((a) => loadA <= kind.continuous * a + COMPARE_SLACK && a <= to.ratingA + COMPARE_SLACK);
  return { loadA, fromA, to, fitsA };
}

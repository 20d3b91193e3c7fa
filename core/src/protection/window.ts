import { COMPARE_SLACK } from '../quantity/index.js';
import { FUSE_KINDS, rerate, type FuseType } from './kinds.js';

/** Something on the protected stretch that must not carry more than its rating. */
export interface WeakPart {
  readonly what: string;
  readonly ratingA: number;
  /** Its sort, where something is done about it by that. */
  readonly kind?: WeakKind;
}

/** Sorts of parts that a run passes. */
export type WeakKind = 'switch' | 'charging' | 'shunt' | 'disconnect' | 'fuse block' | 'block way' | 'hub way' | 'hub bars' | 'isolator' | 'plug' | 'relay';

export interface FuseWindow {
  readonly loadA: number;
  /** Air at the fuse that the window is for, °C. */
  readonly airC: number;
  /** Smallest rating that carries the load all day: load over the continuous share, and over what the air leaves of it. */
  readonly fromA: number;
  readonly to: WeakPart;
  /** Standard ratings inside the window, smallest first; empty: the window is closed. */
  readonly fitsA: readonly number[];
}

/** Air that ratings are given for, °C. */
export const RATED_AIR_C = 25;

/** Direct volts that the usual kinds are rated to break, V. */
export const RATED_DC_V = 32;

/** What a fuse carries all day in its air, A. @example carriesA('breaker', 50, 45) // 36 */
export const carriesA = (type: FuseType, ratingA: number, airC: number): number => FUSE_KINDS[type].continuous * rerate(type, airC) * ratingA;

/**
 * The ratings that carry the load in the air at the fuse and still protect the weakest part.
 * @example fuseWindow('blade', 8, [{ what: 'cable', ratingA: 20 }]).fitsA // [10, 15, 20]
 * @example fuseWindow('breaker', 8, [{ what: 'cable', ratingA: 20 }], 65).fitsA // [15, 20]
 */
export function fuseWindow(type: FuseType, loadA: number, parts: readonly WeakPart[], airC: number = RATED_AIR_C): FuseWindow {
  const kind = FUSE_KINDS[type];
  const share = kind.continuous * rerate(type, airC);
  const fromA = loadA / share;
  const to = parts.reduce((weak, p) => (p.ratingA < weak.ratingA ? p : weak), { what: 'nothing', ratingA: Infinity } as WeakPart);
  const fitsA = kind.sizesA.filter((a) => loadA <= share * a + COMPARE_SLACK && a <= to.ratingA + COMPARE_SLACK);
  return { loadA, airC, fromA, to, fitsA };
}

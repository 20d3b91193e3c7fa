import { FUSE_KINDS, type FuseType, type Gate } from './kinds.js';

/** Times within which a fuse opens at a current, s; Infinity means never. */
export interface ClearingTimes {
  readonly fastS: number;
  readonly slowS: number;
}

function logLine(x: number, [x0, y0]: readonly [number, number], [x1, y1]: readonly [number, number]): number {
  const share = Math.log(x / x0) / Math.log(x1 / x0);
  return Math.exp(Math.log(y0) + share * Math.log(y1 / y0));
}

function between(multiple: number, low: Gate, high: Gate): ClearingTimes {
  const fastS = logLine(multiple, [low[0], low[1]], [high[0], high[1]]);
  const never = low[2] === null || high[2] === null;
  return { fastS, slowS: never ? Infinity : logLine(multiple, [low[0], low[2]!], [high[0], high[2]!]) };
}

function beyond(multiple: number, last: Gate): ClearingTimes {
  const squared = (last[0] / multiple) ** 2;
  return { fastS: last[1] * squared, slowS: (last[2] ?? Infinity) * squared };
}

/** A motor's start is over within this, s. */
const START_S = 0.1;

/** True where a fuse stays closed through a start of so many amps, by its fast edge. @example outlastsStart('blade', 7.5, 15) // true */
export const outlastsStart = (type: FuseType, ratingA: number, startA: number): boolean => startA <= 0 || clearingTimes(type, ratingA, startA).fastS >= START_S;

/**
 * When a fuse of this kind and rating opens at `currentA`: the fast and slow edge of its time–current band.
 * Straight lines in log–log between the published gates, never below the first, constant I²t beyond the last.
 * @example clearingTimes('blade', 10, 20) // { fastS: 0.15, slowS: 5 }
 */
export function clearingTimes(type: FuseType, ratingA: number, currentA: number): ClearingTimes {
  const kind = FUSE_KINDS[type];
  const gates = kind.envelope;
  const multiple = currentA / ratingA;
  const last = gates[gates.length - 1]!;
  let times: ClearingTimes;
  if (multiple < gates[0]![0]) return { fastS: Infinity, slowS: Infinity };
  if (multiple > last[0]) times = beyond(multiple, last);
  else {
    const exact = gates.find((g) => g[0] === multiple);
    const i = gates.findIndex((g) => g[0] > multiple);
    times = exact ? { fastS: exact[1], slowS: exact[2] ?? Infinity } : between(multiple, gates[i - 1]!, gates[i]!);
  }
  return { fastS: times.fastS, slowS: Math.max(kind.slowFloorS, times.slowS) };
}

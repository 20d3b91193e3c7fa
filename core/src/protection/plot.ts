import { clearingTimes } from './clearing.js';
import { FUSE_KINDS, type FuseType } from './kinds.js';

/** A point of a time–current band: current A, fast and slow edge s; null: never. */
export interface BandPoint {
  readonly amp: number;
  readonly fastS: number | null;
  readonly slowS: number | null;
}

/** Longest and shortest times that a plot shows, s. */
export const PLOT_S = { from: 0.001, to: 100000 } as const;

/**
 * The band of a fuse from its rating to the largest current asked for: its gates, and enough points between for
 * straight lines in log–log.
 * @example timeCurrentBand('blade', 10, 200)[0].amp // 10
 */
export function timeCurrentBand(type: FuseType, ratingA: number, toA: number): BandPoint[] {
  const gates = FUSE_KINDS[type].envelope.map(([m]) => m * ratingA);
  const beyond = Array.from({ length: 16 }, (_, i) => gates.at(-1)! * 1.5 ** (i + 1));
  // Just past a gate whose slow edge is open the band closes: both sides of it are points.
  const amps = [ratingA, ...gates.flatMap((a) => [a * 0.9999, a]), ...beyond].filter((a) => a >= ratingA && a <= Math.max(toA, gates.at(-1)!));
  const finite = (s: number): number | null => (Number.isFinite(s) ? s : null);
  return [...new Set(amps)]
    .sort((a, b) => a - b)
    .map((amp) => {
      const { fastS, slowS } = clearingTimes(type, ratingA, amp);
      return { amp, fastS: finite(fastS), slowS: finite(slowS) };
    });
}

/** How long a cable outlasts a current, s: its withstand over the current squared, as far as nothing cools it. */
export const outlastsS = (withstandA2s: number, amp: number): number => withstandA2s / (amp * amp);

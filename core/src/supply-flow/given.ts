import type { Assessment } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { simulateJoined, sunId } from '../couplings/index.js';
import { asOfNow, OWN, type Design } from '../design/index.js';
import { inTripOrder } from '../trip-analysis/index.js';
import type { SolarArray } from '../supply/index.js';

/** What the panels on one regulator bring on a trip, mean Ah a day: used, kept out by a limit in amps, finding the bank full, and one or the other. */
export interface SunGiven {
  readonly array: SolarArray;
  readonly usedAh: number;
  readonly clippedAh: number;
  readonly spareAh: number;
  readonly eitherAh: number;
}

export const mean = (days: readonly number[]): number => (days.length ? days.reduce((a, b) => a + b, 0) / days.length : 0);

const NOTHING = { usedAh: 0, clippedAh: 0, spareAh: 0, eitherAh: 0 };

/** Of several regulators the trip of one bank knows the sum; the law of the whole rig tells them apart. */
function apart(design: Design, catalogue: Catalogue, arrays: readonly SolarArray[]): SunGiven[] {
  const alone: Design = { ...asOfNow(design), vehicles: {}, couplings: {} };
  const result = simulateJoined(alone, catalogue)?.result;
  return arrays.map((array, n) => {
    const all = result?.arrays ?? {};
    const kinds = Object.keys(all).flatMap((_, k) => all[sunId(OWN, n, k)] ?? []);
    const sum = (of: 'usedAh' | 'clippedAh'): number => kinds.reduce((s, x) => s + mean(x[of]), 0);
    return { array, ...NOTHING, usedAh: sum('usedAh'), eitherAh: sum('clippedAh') };
  });
}

/** What each regulator's panels bring. */
export function sunGiven(design: Design, catalogue: Catalogue, a: Pick<Assessment, 'supply' | 'trip'>): readonly SunGiven[] {
  const arrays = inTripOrder(a.supply.arrays);
  if (!a.trip) return arrays.map((array) => ({ array, ...NOTHING }));
  const [only, ...others] = arrays;
  if (only && !others.length) return [{ array: only, ...NOTHING, usedAh: mean(a.trip.sunAh), clippedAh: mean(a.trip.clippedAh), spareAh: mean(a.trip.spareAh) }];
  return apart(design, catalogue, arrays);
}

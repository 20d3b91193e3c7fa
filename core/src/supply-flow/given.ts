import type { Assessment } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { simulateJoined, sunId } from '../couplings/index.js';
import { asOfNow, OWN, type Design } from '../design/index.js';
import { spanHours } from '../loads/index.js';
import { inTripOrder, jobOfDesign, leadsOf } from '../trip-analysis/index.js';
import type { TripJob } from '../trip/index.js';
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

/** Of what comes in by plug, mean Ah a day: from the mains, and by each charger on a lead. The trip books them together; each has its share by amps and hours. */
export function pluggedAh({ design, catalogue, a }: { readonly design: Design; readonly catalogue: Catalogue; readonly a: Pick<Assessment, 'trip'> }): {
  readonly mains: number;
  readonly leads: ReadonlyMap<string, number>;
} {
  const all = mean(a.trip?.mainsAh ?? []);
  const job = jobOfDesign(design, catalogue);
  const perDay = (of: (k: TripJob['kinds'][number]) => number): number => (job ? job.kindOfDay.reduce((s, k) => s + of(job.kinds[k]!), 0) : 0);
  const mainsW = perDay((k) => k.mainsA * spanHours(k.mainsHours));
  const leadsW = new Map(leadsOf(asOfNow(design), catalogue).map((l) => [l.unit, perDay(() => l.amps * spanHours(l.hours))]));
  const sum = [...leadsW.values()].reduce((s, w) => s + w, mainsW);
  const share = (w: number): number => (sum > 0 ? (all * w) / sum : 0);
  return { mains: share(mainsW), leads: new Map([...leadsW].map(([unit, w]) => [unit, share(w)])) };
}

/** What each regulator's panels bring. */
export function sunGiven(design: Design, catalogue: Catalogue, a: Pick<Assessment, 'supply' | 'trip'>): readonly SunGiven[] {
  const arrays = inTripOrder(a.supply.arrays);
  if (!a.trip) return arrays.map((array) => ({ array, ...NOTHING }));
  const [only, ...others] = arrays;
  if (only && !others.length) return [{ array: only, ...NOTHING, usedAh: mean(a.trip.sunAh), clippedAh: mean(a.trip.clippedAh), spareAh: mean(a.trip.spareAh) }];
  return apart(design, catalogue, arrays);
}

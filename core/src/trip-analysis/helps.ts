import type { Catalogue } from '../catalogue/index.js';
import { copyDesign, type Design } from '../design/index.js';
import { climateOf } from '../travel/index.js';
import { readTally, runMany, type ManyTrips } from '../trip/index.js';
import { singleChanges, type Change } from './changes.js';
import { jobOfDesign } from './trip-job.js';

/** Trips for comparing changes, fewer of long ones: the same weather for each, so that some hundred are enough to rank them. */
const TRIPS = { short: 240, long: 60, longFromDays: 21 } as const;
const SEED = 11;
const STEP_S = 300;

/** What a number of trips in drawn weather comes to, as far as changes are compared by it. */
export interface Standing {
  readonly chanceOff: number;
  readonly belowReserveH: number;
  /** Tenth percentile of charge at its lowest hour, 0–1. */
  readonly low: number;
}

/** One change with where it leads. */
export interface Help {
  readonly id: string;
  readonly what: string;
  readonly price: number;
  readonly kg: number;
  readonly after: Standing;
}

export interface Helps {
  readonly now: Standing;
  /** The one that helps most first; only those that help at all. */
  readonly changes: readonly Help[];
}

const standing = (m: ManyTrips): Standing => ({ chanceOff: m.chanceOff, belowReserveH: m.meanBelowReserveH, low: Math.min(...m.p10) });

export function standingOf(design: Design, catalogue: Catalogue): Standing | null {
  const job = jobOfDesign(design, catalogue, { stepS: STEP_S });
  return job && standing(readTally(runMany(job, { seed: SEED, from: 0, to: job.days < TRIPS.longFromDays ? TRIPS.short : TRIPS.long, meanClearness: climateOf(design.brief.trip).clearness })));
}

/** Negative: a is better. Going off counts first, then hours under the reserve, then the lowest charge. */
function compare(a: Standing, b: Standing): number {
  if (Math.abs(a.chanceOff - b.chanceOff) > 1e-9) return a.chanceOff - b.chanceOff;
  if (Math.abs(a.belowReserveH - b.belowReserveH) > 0.05) return a.belowReserveH - b.belowReserveH;
  return b.low - a.low;
}

/** Every single change re-simulated in the same weather, the most helpful first; null without a battery. */
export function whatHelps(design: Design, catalogue: Catalogue): Helps | null {
  const now = standingOf(design, catalogue);
  if (!now) return null;
  const tried = singleChanges(design, catalogue).map((c: Change): Help => {
    const changed = copyDesign(design);
    c.apply(changed);
    return { id: c.id, what: c.what, price: c.price, kg: c.kg, after: standingOf(changed, catalogue) ?? now };
  });
  return { now, changes: tried.filter((h) => compare(h.after, now) < -1e-6).sort((a, b) => compare(a.after, b.after)) };
}

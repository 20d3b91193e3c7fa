import type { Catalogue } from '../catalogue/index.js';
import { copyDesign, type Design } from '../design/index.js';
import { simulateJob, type TripBank, type TripResult } from '../trip/index.js';
import { jobOfDesign } from './trip-job.js';

/** Three things to turn up or down: all sun and all battery as a multiple, driving in hours on travel days. */
export interface WhatIf {
  readonly sunTimes: number;
  readonly batteryTimes: number;
  readonly drivingMoreH: number;
}

export const AS_IT_IS: WhatIf = { sunTimes: 1, batteryTimes: 1, drivingMoreH: 0 };

/** The trip with these turned, in the month's mean weather; null without a battery. */
export function simulateWhatIf(design: Design, catalogue: Catalogue, change: WhatIf): TripResult | null {
  const changed = copyDesign(design);
  const { trip } = changed.brief;
  trip.drivingH = Math.min(24, Math.max(0, trip.drivingH + change.drivingMoreH));
  const job = jobOfDesign(changed, catalogue);
  if (!job) return null;
  const more = (b: TripBank): TripBank => ({ ...b, capacityAh: b.capacityAh * change.batteryTimes });
  return simulateJob({
    ...job,
    bank: more(job.bank),
    second: job.second && more(job.second),
    kinds: job.kinds.map((k) => ({ ...k, sunWatts: k.sunWatts?.map((w) => w * change.sunTimes) ?? null })),
    // More panels mean a regulator that suits them.
    sunMaxA: job.sunMaxA === null ? null : job.sunMaxA * Math.max(1, change.sunTimes),
  });
}

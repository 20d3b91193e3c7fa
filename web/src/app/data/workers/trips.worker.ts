/// <reference lib="webworker" />
import { addTallies, emptyTally, runMany, type Tally, type TripJob } from '@meridex/core';

export interface TripsRequest {
  readonly id: number;
  readonly job: TripJob;
  readonly seed: number;
  readonly from: number;
  readonly to: number;
  readonly meanClearness: number;
}

export type TripsReply = { readonly id: number; readonly done: number } | { readonly id: number; readonly tally: Tally };

/** Trips between two looks at the post: short enough to stop at once. */
const CHUNK = 20;
let wanted = 0;

/** Runs a share in pieces; a newer request, or a bare number, ends it. */
async function run(r: TripsRequest): Promise<void> {
  let tally = emptyTally(r.job.days);
  for (let n = r.from; n < r.to; n += CHUNK) {
    tally = addTallies(tally, runMany(r.job, { seed: r.seed, from: n, to: Math.min(r.to, n + CHUNK), meanClearness: r.meanClearness }));
    postMessage({ id: r.id, done: tally.trips } satisfies TripsReply);
    await new Promise((resolve) => setTimeout(resolve));
    if (wanted !== r.id) break;
  }
  postMessage({ id: r.id, tally } satisfies TripsReply);
}

addEventListener('message', ({ data }: MessageEvent<TripsRequest | number>) => {
  wanted = typeof data === 'number' ? data : data.id;
  if (typeof data !== 'number') void run(data);
});

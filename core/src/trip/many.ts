import { drawWeather, seeded, trialSeed, weatherChain } from '../travel/index.js';
import type { TripJob } from './job.js';
import { planTrip } from './plan.js';
import { CAUSES, type Cause, runTrip, tripLog } from './run.js';

/** Bins of a state of charge, 0–1. */
const BINS = 400;
/** Trips between two reports of progress. */
const REPORT_EVERY = 20;

/** What many trips came to, in a shape in which shares of the work simply add up. */
export interface Tally {
  readonly trips: number;
  readonly hours: number;
  /** Trips by hour and bin of charge. */
  readonly bins: Uint32Array;
  /** Trips by the hour at which a critical load first went off. */
  readonly firstOffAtH: Uint32Array;
  /** Trips by cause of that. */
  readonly causes: Uint32Array;
  /** Dull days in a row up to the day it went off, summed over the trips in which it did. */
  dullBefore: number;
  /** Hours too cold or too hot to charge, summed over those trips. */
  lockedBefore: number;
  criticalOffH: number;
  belowReserveH: number;
  minSoc: number;
}

export function emptyTally(days: number): Tally {
  const hours = days * 24 + 1;
  return {
    trips: 0,
    hours,
    bins: new Uint32Array(hours * (BINS + 1)),
    firstOffAtH: new Uint32Array(hours),
    causes: new Uint32Array(CAUSES.length),
    dullBefore: 0,
    lockedBefore: 0,
    criticalOffH: 0,
    belowReserveH: 0,
    minSoc: 1,
  };
}

/** Adds shares of the same work: the order does not matter. */
export function addTallies(a: Tally, b: Tally): Tally {
  const sum = (x: Uint32Array, y: Uint32Array): Uint32Array => x.map((v, i) => v + y[i]!);
  return {
    trips: a.trips + b.trips,
    hours: a.hours,
    bins: sum(a.bins, b.bins),
    firstOffAtH: sum(a.firstOffAtH, b.firstOffAtH),
    causes: sum(a.causes, b.causes),
    dullBefore: a.dullBefore + b.dullBefore,
    lockedBefore: a.lockedBefore + b.lockedBefore,
    criticalOffH: a.criticalOffH + b.criticalOffH,
    belowReserveH: a.belowReserveH + b.belowReserveH,
    minSoc: Math.min(a.minSoc, b.minSoc),
  };
}

/** Which trips of the whole to run; trip n meets the same weather whoever runs it. */
export interface Share {
  readonly seed: number;
  readonly from: number;
  readonly to: number;
  /** Mean clearness of each day's month, 0–1. */
  readonly meanClearness: number;
}

function dullDaysUpTo(clearness: Float64Array, day: number, clear: number): number {
  let n = 0;
  for (let d = day; d >= 0 && clearness[d]! < clear; d--) n++;
  return n;
}

/**
 * Runs a share of many trips, each in weather of its own. `report` is told how many are done and stops the work by
 * returning false: then what was done so far is returned.
 */
export function runMany(job: TripJob, share: Share, report: (done: number) => boolean = () => true): Tally {
  const plan = planTrip(job);
  const log = tripLog(plan);
  const chain = weatherChain(share.meanClearness);
  const clearness = new Float64Array(plan.days);
  const tally = emptyTally(plan.days);
  let trips = 0;
  for (let n = share.from; n < share.to; n++) {
    const offsetK = drawWeather(chain, seeded(trialSeed(share.seed, n)), clearness);
    runTrip(plan, clearness, offsetK, log);
    for (let h = 0; h < tally.hours; h++) tally.bins[h * (BINS + 1) + Math.floor(log.hourlySoc[h]! * BINS + 1e-9)]!++;
    tally.criticalOffH += log.criticalOffH;
    tally.belowReserveH += log.belowReserveH;
    if (log.minSoc < tally.minSoc) tally.minSoc = log.minSoc;
    if (log.firstOffH >= 0) {
      const hour = Math.floor(log.firstOffH);
      tally.firstOffAtH[hour]!++;
      tally.causes[log.firstCause]!++;
      tally.lockedBefore += log.lockedH;
      tally.dullBefore += dullDaysUpTo(clearness, Math.floor(hour / 24), chain.clear);
    }
    trips++;
    if (trips % REPORT_EVERY === 0 && !report(trips)) break;
  }
  return { ...tally, trips };
}

/** What many trips say. */
export interface ManyTrips {
  readonly trips: number;
  /** Share of the trips in which a critical load goes off, 0–1. */
  readonly chanceOff: number;
  /** Likeliest day (from 1) and hour of the day of its going off, the commonest cause, the mean dull days before it, and the mean hours of such a trip in which the bank could not be charged. */
  readonly off: { readonly day: number; readonly hour: number; readonly cause: Cause; readonly dullDays: number; readonly lockedH: number } | null;
  readonly meanBelowReserveH: number;
  readonly lowestSoc: number;
  /** State of charge by hour. */
  readonly p10: readonly number[];
  readonly p50: readonly number[];
  readonly p90: readonly number[];
}

function percentile(t: Tally, hour: number, share: number): number {
  const want = share * t.trips;
  let sum = 0;
  for (let b = 0; b <= BINS; b++) {
    const n = t.bins[hour * (BINS + 1) + b]!;
    if (n > 0 && sum + n >= want) return Math.min(1, (b + (want - sum) / n) / BINS);
    sum += n;
  }
  return 1;
}

const largest = (list: ArrayLike<number>): number => Array.from(list).reduce((best, v, i, all) => (v > all[best]! ? i : best), 0);

/** Reads a tally: chances, when and why, and the band of charge. */
export function readTally(t: Tally): ManyTrips {
  const offs = t.firstOffAtH.reduce((a, b) => a + b, 0);
  const line = (share: number): number[] => Array.from({ length: t.hours }, (_, h) => percentile(t, h, share));
  const byDay = Array.from({ length: Math.ceil(t.hours / 24) }, (_, d) => t.firstOffAtH.slice(24 * d, 24 * d + 24).reduce((a, b) => a + b, 0));
  const day = largest(byDay);
  return {
    trips: t.trips,
    chanceOff: t.trips ? offs / t.trips : 0,
    off: offs ? { day: day + 1, hour: largest(t.firstOffAtH.slice(24 * day, 24 * day + 24)), cause: CAUSES[largest(t.causes)]!, dullDays: t.dullBefore / offs, lockedH: t.lockedBefore / offs } : null,
    meanBelowReserveH: t.trips ? t.belowReserveH / t.trips : 0,
    lowestSoc: t.minSoc,
    p10: line(0.1),
    p50: line(0.5),
    p90: line(0.9),
  };
}

import type { Catalogue } from '../catalogue/index.js';
import { copyDesign, type Design } from '../design/index.js';
import { arraysOf } from '../supply/index.js';
import { jobOfDesign } from './trip-job.js';
import { simulateJob } from '../trip/index.js';

/** Days that are looked at: what lasts four weeks in one month's mean weather lasts. */
const LOOKED_AT_DAYS = 28;
/** Step of the look, s. */
const STEP_S = 300;
/** Charge at the end that counts as no lower than a day's turn from where it began, 0–1. */
const HELD = 0.02;

/** Parked, with nothing but the sun. */
export interface SunAlone {
  /** It never falls below the reserve, and does not sink from week to week. */
  readonly stands: boolean;
  /** Hours from full to the reserve; null: it never gets there in four weeks. */
  readonly reserveAtH: number | null;
  /** Hours from full until a load that must not go off goes off; null: never in four weeks. */
  readonly offAtH: number | null;
  readonly days: number;
  readonly endSoc: number;
  /** Ah a day that come in and go out, until the reserve is reached. */
  readonly inAh: number;
  readonly outAh: number;
}

/**
 * Whether the rig can run on sun alone: from full, parked, no mains, in the month's mean weather, for four weeks; null
 * without a battery or a panel.
 */
export function sunAlone(design: Design, catalogue: Catalogue): SunAlone | null {
  if (!arraysOf(design, catalogue).length) return null;
  const parked = copyDesign(design);
  Object.assign(parked.brief.trip, { days: LOOKED_AT_DAYS, drivingH: 0, parkedDays: 0, mainsNights: 'never', dayEdits: {} });
  const job = jobOfDesign(parked, catalogue, { stepS: STEP_S });
  if (!job) return null;
  const r = simulateJob(job);
  const at = r.hourlySoc.findIndex((soc) => soc < job.reserveSoc - 1e-9);
  const week = (n: number): number => r.endOfDaySoc[7 * n - 1]!;
  // What comes and goes is counted while all that wants to run does.
  const whole = at < 0 ? LOOKED_AT_DAYS : Math.max(1, Math.floor(at / 24));
  const mean = (list: readonly number[]): number => list.slice(0, whole).reduce((a, b) => a + b, 0) / whole;
  return {
    stands: at < 0 && r.firstOff === null && week(4) >= week(2) - HELD,
    reserveAtH: at < 0 ? null : at,
    offAtH: r.firstOff?.atH ?? null,
    days: LOOKED_AT_DAYS,
    endSoc: r.finalSoc,
    inAh: mean(r.sunAh),
    outAh: mean(r.loadAh),
  };
}

import { MPPT_YIELD } from '../supply/index.js';
import type { Span, TripLoad } from './input.js';

/** What one kind of day brings: its loads, and what is offered in which hours. */
export interface DayOffer {
  readonly loads: readonly TripLoad[];
  /** Charging from the vehicle, A, in the hours of driving. */
  readonly alternatorA: number;
  readonly driveHours: readonly Span[];
  readonly mainsA: number;
  readonly mainsHours: readonly Span[];
  /** 24 hourly watts of a clear day before the regulator. */
  readonly sunWatts: readonly number[] | null;
}

/** What happens in each step of a day, laid flat so that the stepping allocates nothing. */
export interface DayProfile {
  readonly loadW: Float64Array;
  readonly loadA: Float64Array;
  /** Largest share of the step in which a critical load wants to run. */
  readonly criticalShare: Float64Array;
  readonly alternatorA: Float64Array;
  readonly mainsA: Float64Array;
  /** Sun behind its controller at clearness 1, W. */
  readonly sunW: Float64Array;
}

/** Share of the hours [fromH, toH) that lies inside the spans. */
export function shareInside(spans: readonly Span[], fromH: number, toH: number): number {
  let inside = 0;
  for (const [a, b] of spans) inside += Math.max(0, Math.min(b, toH) - Math.max(a, fromH));
  return inside / (toH - fromH);
}

/** Loads at or above this power, W, that run only part of their hours are the ones a trip can draw one by one. */
export const HEAVY_W = 300;
/** An hour's share of such a load is drawn in one go at the start of each hour. */
const heavyShare = (load: TripLoad, h0: number, h1: number): number => {
  const hour = Math.floor(h0 + 1e-9);
  return shareInside([[hour, hour + load.duty]], h0, h1) * (shareInside(load.hours, h0, h1) > 0 ? 1 : 0);
};

/** Lays a day out in steps. `oneByOne` draws heavy, short loads at full power for their share of each hour instead of by their mean. */
export function dayProfile(day: DayOffer, stepS: number, oneByOne = false): DayProfile {
  const steps = 86400 / stepS;
  const make = (): Float64Array => new Float64Array(steps);
  const p = { loadW: make(), loadA: make(), criticalShare: make(), alternatorA: make(), mainsA: make(), sunW: make() };
  const k = stepS / 3600;
  for (let s = 0; s < steps; s++) {
    const h0 = (s * stepS) / 3600;
    for (const load of day.loads) {
      const share = shareInside(load.hours, h0, h0 + k);
      const heavy = oneByOne && load.kind === 'power' && load.value >= HEAVY_W && load.duty < 1;
      const mean = heavy ? load.value * heavyShare(load, h0, h0 + k) : load.value * load.duty * share;
      if (load.kind === 'power') p.loadW[s]! += mean;
      else p.loadA[s]! += mean;
      if (load.critical && share > p.criticalShare[s]!) p.criticalShare[s] = share;
    }
    if (day.alternatorA > 0) p.alternatorA[s] = day.alternatorA * shareInside(day.driveHours, h0, h0 + k);
    if (day.mainsA > 0) p.mainsA[s] = day.mainsA * shareInside(day.mainsHours, h0, h0 + k);
    if (day.sunWatts) p.sunW[s] = day.sunWatts[Math.floor(h0)]! * MPPT_YIELD;
  }
  return p;
}

import { MPPT_YIELD } from '../supply/index.js';
import type { Span, TripInput } from './input.js';

/** What happens in each step of a day, laid flat so that the stepping allocates nothing. */
export interface DayProfile {
  readonly steps: number;
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

export function dayProfile(input: TripInput): DayProfile {
  const steps = 86400 / input.stepS;
  const make = (): Float64Array => new Float64Array(steps);
  const p = { steps, loadW: make(), loadA: make(), criticalShare: make(), alternatorA: make(), mainsA: make(), sunW: make() };
  const k = input.stepS / 3600;
  for (let s = 0; s < steps; s++) {
    const h0 = (s * input.stepS) / 3600;
    for (const load of input.loads) {
      const share = shareInside(load.hours, h0, h0 + k);
      const mean = load.value * load.duty * share;
      if (load.kind === 'power') p.loadW[s]! += mean;
      else p.loadA[s]! += mean;
      if (load.critical && share > p.criticalShare[s]!) p.criticalShare[s] = share;
    }
    const { alternator, mains, sunWatts } = input;
    if (alternator) p.alternatorA[s] = alternator.ratedA * alternator.setting * shareInside(alternator.driveHours, h0, h0 + k);
    if (mains) p.mainsA[s] = mains.ratedA * shareInside(mains.hours, h0, h0 + k);
    if (sunWatts) p.sunW[s] = sunWatts[Math.floor(h0)]! * MPPT_YIELD;
  }
  return p;
}

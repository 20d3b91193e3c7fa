import { ampacityA, cableSeries, conductorC, resistanceOhmPerM, type CableSeries, type CableSize, type Laying } from '../cable/index.js';
import { COMPARE_SLACK } from '../quantity/index.js';
import { fuseWindow, type FuseType } from '../protection/index.js';
import type { SizeStep } from './least-copper.js';

/** A cable as it lies, and the amps that decide about it. */
export interface RunAsked extends Laying {
  readonly outM: number;
  readonly backM: number;
  readonly tinned: boolean;
  readonly series: CableSeries;
  /** Largest steady current, for fuse and heat, A; and the one of a usual day, for drop, A. */
  readonly lastingA: number;
  readonly usualA: number;
  /** Volts that the drop's per cent is of. */
  readonly refV: number;
  /** Smallest size by custom, by a short, or by the fuse that a person typed; largest that its terminals take. */
  readonly minAreaMm2: number;
  readonly maxAreaMm2: number | null;
}

/** A size that carries the run's fuse, with what it loses. */
export interface CableStep extends SizeStep {
  readonly size: CableSize;
  readonly ampacityA: number;
  /** Temperature of the conductor at the usual current, °C, and the ohms of feed and return then. */
  readonly conductorC: number;
  readonly ohm: number;
}

/**
 * The smallest standard rating that carries the lasting current and protects the weakest part; null: the window is closed.
 * @example smallestFuse('blade', 8, 20) // 10
 */
export function smallestFuse(type: FuseType, lastingA: number, weakestA: number | null, airC?: number, leastA = 0): number | null {
  const parts = weakestA === null ? [] : [{ what: 'weakest part', ratingA: weakestA }];
  return fuseWindow(type, lastingA, parts, airC).fitsA.find((a) => a >= leastA - COMPARE_SLACK) ?? null;
}

/** What one size of a run costs and loses: cable alone, as warm as the usual current makes it. */
export function cableStep(size: CableSize, run: RunAsked, perPole = 1, pricePerM: (areaMm2: number) => number = () => 0): CableStep {
  const limitA = ampacityA(size.areaMm2, run);
  const usualA = run.usualA / perPole;
  const atC = limitA > 0 ? conductorC(usualA, limitA, run) : run.insulationC;
  const lengthM = run.outM + run.backM;
  const ohm = lengthM * resistanceOhmPerM(size.areaMm2, run.tinned, atC);
  return {
    size,
    ampacityA: limitA,
    conductorC: atC,
    ohm,
    copper: size.areaMm2 * lengthM * perPole,
    price: pricePerM(size.areaMm2) * lengthM * perPole,
    dropPercent: (100 * usualA * ohm) / run.refV,
  };
}

/** The stocked sizes of a run that carry a fuse of this rating, the thinnest first; none: it is too hot for all that fit. */
export function stepsThatCarry(run: RunAsked, fuseA: number, perPole = 1, pricePerM?: (areaMm2: number) => number): readonly CableStep[] {
  const most = run.maxAreaMm2 ?? Infinity;
  return cableSeries(run.series)
    .filter((s) => s.areaMm2 >= run.minAreaMm2 - COMPARE_SLACK && s.areaMm2 <= most + COMPARE_SLACK)
    .map((s) => cableStep(s, run, perPole, pricePerM))
    .filter((s) => s.ampacityA > 0 && s.ampacityA >= fuseA - COMPARE_SLACK);
}

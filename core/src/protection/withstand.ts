import type { InsulationC } from '../cable/index.js';
import { clearingTimes } from './clearing.js';
import { FUSE_KINDS, type FuseType } from './kinds.js';

/** A fault at the far end must be cleared within this, s, by the slow edge. */
export const CLEAR_WITHIN_S = 5;

/**
 * Short-time withstand of copper, A·s^½/mm², from the insulation's rating to its short-time limit (IEC 60364-5-54, annex A).
 * @example kFactor(105) // 87.571776
 */
export function kFactor(insulationC: InsulationC): number {
  const limitC = insulationC === 125 ? 250 : 160;
  return 226 * Math.sqrt(Math.log(1 + (limitC - insulationC) / (234.5 + insulationC)));
}

export interface FaultInput {
  readonly fuseType: FuseType;
  readonly ratingA: number;
  /** Smallest prospective current, at the far end, A. */
  readonly faultMinA: number;
  /** Largest prospective current, at the fuse, A. */
  readonly faultMaxA: number;
  readonly areaMm2: number;
  readonly insulationC: InsulationC;
}

export interface FaultResult {
  readonly fastAtMinS: number;
  readonly slowAtMinS: number;
  readonly fastAtMaxS: number;
  readonly slowAtMaxS: number;
  readonly kFactor: number;
  readonly withstandA2s: number;
  /** Largest I²t let through by a fault cleared within 5 s; 0 when no tested current clears in time. */
  readonly worstLetThroughA2s: number;
  readonly clearsIn5s: boolean;
  readonly cableSurvives: boolean;
}

/** What a short does: when the fuse opens at both ends of the prospective current, and whether the cable outlasts it. */
export function judgeFault(input: FaultInput): FaultResult {
  const { fuseType, ratingA, faultMinA, faultMaxA } = input;
  const atMin = clearingTimes(fuseType, ratingA, faultMinA);
  const atMax = clearingTimes(fuseType, ratingA, faultMaxA);
  const gatesA = FUSE_KINDS[fuseType].envelope.map(([multiple]) => multiple * ratingA).filter((a) => a > faultMinA && a < faultMaxA);
  let worst = 0;
  for (const currentA of [faultMinA, faultMaxA, ...gatesA]) {
    const { slowS } = clearingTimes(fuseType, ratingA, currentA);
    if (slowS <= CLEAR_WITHIN_S + 1e-9) worst = Math.max(worst, currentA * currentA * slowS);
  }
  const k = kFactor(input.insulationC);
  const withstandA2s = (k * input.areaMm2) ** 2;
  return {
    fastAtMinS: atMin.fastS,
    slowAtMinS: atMin.slowS,
    fastAtMaxS: atMax.fastS,
    slowAtMaxS: atMax.slowS,
    kFactor: k,
    withstandA2s,
    worstLetThroughA2s: worst,
    clearsIn5s: atMin.slowS <= CLEAR_WITHIN_S + 1e-9,
    cableSurvives: worst <= withstandA2s * (1 + 1e-9),
  };
}

import type { Zone } from '../design/index.js';

/** Flow through a sharp opening against the ideal one; gravity, m/s². */
const DISCHARGE = 0.6;
const GRAVITY = 9.81;
/** Heat that a cubic metre of air carries for each kelvin, J. */
const AIR_J_M3K = 1204;
/** Share of a vent's flow that its dust screen costs. */
const SCREEN_LOSS = 0.3;
/** Share of a space's height between the middles of a low and a high vent. */
const APART_SHARE = 0.8;
/** Vents are sold in such steps, cm², and larger than this nobody cuts them into a box. */
const STEP_CM2 = 25;
const MOST_CM2 = 300;

/** Heat that the air carries off by two equal vents, one low and one high, W for K to the power of 1.5: Q = Cd·A/√2·√(2·g·h·ΔT/T), each behind a screen. */
function carries(ventCm2: number, heightM: number, ambientC: number): number {
  const areaM2 = (ventCm2 / 1e4) * (1 - SCREEN_LOSS);
  return (AIR_J_M3K * DISCHARGE * areaM2 * Math.sqrt((2 * GRAVITY * heightM) / (ambientC + 273))) / Math.SQRT2;
}

/** Height between the middles of a space's vents, m. @example ventHeightM({ box: { h: 500 } }) // 0.4 */
export const ventHeightM = ({ box }: { readonly box: Pick<Zone['box'], 'h'> }): number => (APART_SHARE * box.h) / 1000;

/**
 * Rise of a closed space with two equal vents, K: its skin and the air that rises through them carry its heat off
 * together. `skinWK`: W for each kelvin by the skin. Without vents the skin alone.
 * @example ventedRiseK(110, 22, 0, 0.4, 40) // 5
 */
export function ventedRiseK(heatW: number, skinWK: number, ventCm2: number, heightM: number, ambientC: number): number {
  const k = carries(ventCm2, heightM, ambientC);
  let [low, high] = [0, heatW / skinWK];
  if (k <= 0 || heatW <= 0) return high;
  for (let n = 0; n < 50; n++) {
    const x = (low + high) / 2;
    if (skinWK * x + k * x ** 1.5 > heatW) high = x;
    else low = x;
  }
  return (low + high) / 2;
}

/** Free area of each of two vents that hold a space to a rise, cm², in the steps in which they are sold; null: no vents that one would cut do. */
export function ventsForCm2(heatW: number, skinWK: number, riseK: number, heightM: number, ambientC: number): number | null {
  const leftW = heatW - skinWK * riseK;
  const perCm2 = carries(1, heightM, ambientC) * riseK ** 1.5;
  if (leftW <= 0 || perCm2 <= 0) return null;
  const cm2 = Math.ceil(leftW / perCm2 / STEP_CM2 - 1e-9) * STEP_CM2;
  return cm2 <= MOST_CM2 ? cm2 : null;
}

/** Idle draw of an inverter as a share of its rating. */
export const INVERTER_IDLE = 0.012;

/** Efficiency of an inverter at a share of its rating, 0 at no load (its idle draw is in it). */
export function inverterEfficiency(share: number): number {
  return share <= 0 ? 0 : share / (share + INVERTER_IDLE + 0.02 * share + 0.06 * share * share);
}

/**
 * Power an inverter takes from the battery, W, for `acW` of mains load; switched on and idle it still takes 1.2 %.
 * @example inverterInputW(402, 3000) // 449.27208
 */
export function inverterInputW(acW: number, ratedW: number): number {
  return acW <= 0 ? INVERTER_IDLE * ratedW : acW / inverterEfficiency(acW / ratedW);
}

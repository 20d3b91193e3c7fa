/** Hot output at idle as a share of the nameplate, and what the vehicle itself takes, A. */
export const ALTERNATOR = { hotIdleShare: 0.55, vehicleA: 35, wantAtMost: 0.5 } as const;

export interface AlternatorBudget {
  readonly hotIdleA: number;
  readonly leftA: number;
  readonly wantedA: number;
  /** Wanted over left, Infinity when nothing is left. */
  readonly share: number;
  readonly over: boolean;
}

/** What an alternator has left for charging at idle when hot. @example alternatorBudget(150, 46.7).leftA // 47.5 */
export function alternatorBudget(ratedA: number, wantedA: number): AlternatorBudget {
  const hotIdleA = ratedA * ALTERNATOR.hotIdleShare;
  const leftA = Math.max(0, hotIdleA - ALTERNATOR.vehicleA);
  const share = wantedA <= 0 ? 0 : leftA > 0 ? wantedA / leftA : Infinity;
  return { hotIdleA, leftA, wantedA, share, over: share > ALTERNATOR.wantAtMost };
}

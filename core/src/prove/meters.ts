/** What an instrument may be off by: a share of the reading and a fixed part in its unit. */
export interface Meter {
  readonly name: string;
  readonly unit: 'V' | 'A';
  readonly share: number;
  readonly fixed: number;
}

export const METERS = {
  voltmeter: { name: 'voltmeter', unit: 'V', share: 0.005, fixed: 0.02 },
  clamp: { name: 'clamp meter', unit: 'A', share: 0.025, fixed: 0.3 },
} as const satisfies Record<string, Meter>;

/** Share of a computed drop by which the model may be off. */
export const MODEL_SHARE = 0.03;

/** How far a reading may lie from its expected value, in its unit. @example toleranceOf(METERS.voltmeter, 12.4, 0.4) // 0.094 */
export function toleranceOf(meter: Meter, expected: number, dropV: number): number {
  return meter.share * Math.abs(expected) + meter.fixed + MODEL_SHARE * Math.abs(dropV);
}

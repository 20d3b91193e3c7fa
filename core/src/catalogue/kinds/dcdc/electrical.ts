import type { DcdcPart } from './schema.js';

/** Power a charger takes at full output, W, into a bank at `chargeV`. @example chargerInputW(part40, 14.4) // 654.5 */
export function chargerInputW(part: DcdcPart, chargeV: number): number {
  return (chargeV * part.outputA) / part.efficiency;
}

/** Share of its output that a charger gives with its half-power setting on or off; one without the setting gives all. */
export const halfOf = (part: DcdcPart, half: boolean): number => (half && part.halfPower ? 0.5 : 1);

import type { DcIn } from '../ports.js';

/** Power a charger takes at full output, W, into a bank at `chargeV`. @example chargerInputW(part40, 14.4) // 654.5 */
export function chargerInputW(part: Pick<DcIn, 'outputA' | 'efficiency'>, chargeV: number): number {
  return (chargeV * part.outputA) / part.efficiency;
}

/** Share of its output that a charger gives with its half-power setting on or off; one without the setting gives all. */
export const halfOf = (port: Pick<DcIn, 'halfPower'>, half: boolean): number => (half && port.halfPower ? 0.5 : 1);

/**
 * Share of the time a compressor fridge runs at a compartment temperature, 0.1–1.
 * @param duty25 duty at 25 °C, 0–1
 * @example fridgeDuty(0.33, 35.8) // 0.45474
 */
export function fridgeDuty(duty25: number, tempC: number): number {
  return Math.min(1, Math.max(0.1, duty25 * (1 + 0.035 * (tempC - 25))));
}

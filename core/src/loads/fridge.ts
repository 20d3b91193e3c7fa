/**
 * Share of the time a compressor fridge runs at a compartment temperature, 0.1–1.
 * @param duty25 duty at 25 °C, 0–1
 * @example fridgeDuty(0.33, 35.8) // 0.45474
 */
export function fridgeDuty(duty25: number, tempC: number): number {
  return Math.min(1, Math.max(0.1, duty25 * (1 + 0.035 * (tempC - 25))));
}

/** Kept at or below this, °C, a box is a freezer: its own cold, not a fridge's, says how its duty grows. */
const FREEZER_C = -5;

/**
 * Share of the time a cold box runs: a fridge by {@link fridgeDuty}; a freezer in proportion to the difference between
 * the air and its inside, which falls far less on a cold day.
 * @param duty25 duty at 25 °C, 0–1
 * @example coldDuty(0.5, 7, -20) // 0.3
 */
export function coldDuty(duty25: number, tempC: number, insideC: number): number {
  if (insideC > FREEZER_C) return fridgeDuty(duty25, tempC);
  return Math.min(1, Math.max(0.1, (duty25 * (tempC - insideC)) / (25 - insideC)));
}

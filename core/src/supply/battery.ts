import { CHEMISTRY, type Chemistry } from '../catalogue/index.js';

/** Lead-acid absorption volts fall by this much for each kelvin above 25 °C (per 12 V block). */
export const ABSORPTION_V_PER_K = -0.024;

/**
 * Absorption volts of a 12 V block at a battery temperature; lithium is not compensated.
 * @example absorptionV('gel', 28.4) // 14.1184
 */
export function absorptionV(chemistry: Chemistry, batteryC: number): number {
  const v = CHEMISTRY[chemistry].absorptionV;
  return chemistry === 'lfp' ? v : v + ABSORPTION_V_PER_K * (batteryC - 25);
}

/**
 * Hours at a steady current by Peukert, from the 20-hour capacity; Infinity at no current.
 * @example runtimeH(200, 1.1, 75) // 2.180031
 */
export function runtimeH(capacityAh: number, peukert: number, currentA: number): number {
  return currentA <= 0 ? Infinity : 20 * (capacityAh / (20 * currentA)) ** peukert;
}

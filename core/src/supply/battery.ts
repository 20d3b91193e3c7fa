import { CHEMISTRY, restV, type Chemistry } from '../catalogue/index.js';

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

/** Volts by which a lightly loaded lead-acid battery reads below a rested one, per 12 V block. */
const LOADED_BELOW_V = 0.2;

/**
 * What a meter shows at a state of charge, V of one 12 V block: rested four hours, or lightly loaded; null for lithium,
 * whose curve is too flat to be read.
 * @example readsAt('agm', 0.5, 'loaded') // 12.1
 */
export function readsAt(chemistry: Chemistry, soc: number, chart: 'rested' | 'loaded'): number | null {
  if (chemistry === 'lfp') return null;
  return restV(chemistry, soc) - (chart === 'loaded' ? LOADED_BELOW_V : 0);
}

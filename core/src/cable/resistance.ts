import { COPPER_ALPHA_PER_K, REFERENCE_C } from '../quantity/index.js';

/** Flexible copper at 20 °C: mm² → [plain, tinned] ohm per km (IEC 60228, class 5). */
export const RESISTANCE_OHM_PER_KM: ReadonlyMap<number, readonly [number, number]> = new Map([
  [0.5, [39.0, 40.1]],
  [0.75, [26.0, 26.7]],
  [1, [19.5, 20.0]],
  [1.5, [13.3, 13.7]],
  [2.5, [7.98, 8.21]],
  [4, [4.95, 5.09]],
  [6, [3.3, 3.39]],
  [10, [1.91, 1.95]],
  [16, [1.21, 1.24]],
  [25, [0.78, 0.795]],
  [35, [0.554, 0.565]],
  [50, [0.386, 0.393]],
  [70, [0.272, 0.277]],
  [95, [0.206, 0.21]],
  [120, [0.161, 0.164]],
]);

/**
 * Resistance of one metre of copper at a conductor temperature, ohm per m. Areas off the metric table use 18.10/A.
 * @param areaMm2 copper area, above 0
 * @param conductorC conductor temperature, °C
 * @example resistanceOhmPerM(16, false, 20) // 0.00121
 */
export function resistanceOhmPerM(areaMm2: number, tinned: boolean, conductorC: number): number {
  const row = RESISTANCE_OHM_PER_KM.get(areaMm2);
  const perKm20 = row ? row[tinned ? 1 : 0] : (18.1 / areaMm2) * (tinned ? 1.02 : 1);
  return (perKm20 / 1000) * (1 + COPPER_ALPHA_PER_K * (conductorC - REFERENCE_C));
}

/** Efficiency of a DC-DC charger where its data sheet is silent. */
export const DCDC_EFFICIENCY = 0.88;
/** Input volts at which a DC-DC charger cuts out where its data sheet is silent. */
export const DCDC_CUT_OUT_V = 10.5;

/** Share of its output a charger keeps at its surroundings' temperature: 1 to 50 °C, 0.5 at 70 °C, 0 above. @example chargerDerate(64.2) // 0.645 */
export function chargerDerate(inputC: number): number {
  if (inputC <= 50) return 1;
  return inputC > 70 ? 0 : 1 - (0.5 * (inputC - 50)) / 20;
}

/**
 * Input current of a converter, A: largest when its input volts are lowest.
 * @example converterInputA(14.4, 40, 0.88, 10.5) // 62.3…
 */
export function converterInputA(outV: number, outA: number, efficiency: number, inV: number): number {
  return (outV * outA) / (efficiency * inV);
}

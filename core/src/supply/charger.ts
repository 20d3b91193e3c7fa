/** Share of its output a charger keeps at its surroundings' temperature: 1 to 50 °C, 0.5 at 70 °C, 0 above. @example chargerDerate(64.2) // 0.645 */
export function chargerDerate(inputC: number): number {
  if (inputC <= 50) return 1;
  return inputC > 70 ? 0 : 1 - (0.5 * (inputC - 50)) / 20;
}

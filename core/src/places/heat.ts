/** Flow of air that carries heat away at a chosen rise, m³/h. @example fanFlowM3h(241, 5.3) // 135.960377 */
export function fanFlowM3h(heatW: number, riseK: number): number {
  return (2.99 * heatW) / riseK;
}

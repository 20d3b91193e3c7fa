/** Outside diameter of single-core cable by copper area, mm (typical of flexible automotive and small-craft cable). */
export const OUTSIDE_DIAMETERS_MM: readonly (readonly [number, number])[] = [
  [1, 2.7],
  [1.5, 3.0],
  [2.5, 3.6],
  [4, 4.3],
  [6, 5.0],
  [10, 6.5],
  [16, 8.3],
  [25, 10.2],
  [35, 11.7],
  [50, 13.8],
  [70, 16.0],
  [95, 18.2],
  [120, 20],
];

/** Kilograms of copper in a metre of conductor: 8.9 g/cm³. @example copperKgPerM(35) // 0.3115 */
export function copperKgPerM(areaMm2: number): number {
  return areaMm2 * 8.9e-3;
}

/** Outside diameter of the next stocked size at or above an area, mm. */
export function outsideDiameterMm(areaMm2: number): number {
  const row = OUTSIDE_DIAMETERS_MM.find(([area]) => area >= areaMm2 - 1e-9);
  return (row ?? OUTSIDE_DIAMETERS_MM[OUTSIDE_DIAMETERS_MM.length - 1]!)[1];
}

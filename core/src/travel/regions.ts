/** A made-up region: where it lies, its sky and its temperatures by month, January first. */
export interface Region {
  readonly id: string;
  readonly name: string;
  readonly latitudeDeg: number;
  /** Mean share of the clear-sky light of each month, 0–1. */
  readonly clearness: readonly number[];
  /** Mean of the day's hours, and the coldest morning to plan for, °C. */
  readonly dayC: readonly number[];
  readonly coldestC: readonly number[];
}

/** The shipped table: made up, shaped like real climates, a default that the workshop's own knowledge wins over. */
export const REGIONS: readonly Region[] = [
  {
    id: 'wirrabel-plain',
    name: 'Wirrabel plain, inland slopes',
    latitudeDeg: -34,
    clearness: [0.84, 0.83, 0.82, 0.79, 0.7, 0.62, 0.63, 0.69, 0.75, 0.78, 0.8, 0.83],
    dayC: [31, 30, 27, 21, 16, 12, 11, 13, 17, 22, 26, 29],
    coldestC: [12, 11, 8, 3, 0, -3, -4, -3, -1, 2, 6, 10],
  },
  {
    id: 'saltpan-coast',
    name: 'Saltpan coast, temperate',
    latitudeDeg: -37.5,
    clearness: [0.76, 0.76, 0.72, 0.66, 0.56, 0.5, 0.52, 0.57, 0.62, 0.67, 0.7, 0.74],
    dayC: [24, 24, 22, 19, 16, 13, 12, 13, 15, 18, 20, 22],
    coldestC: [9, 10, 8, 6, 4, 2, 1, 2, 3, 4, 6, 8],
  },
  {
    id: 'bellbird-ranges',
    name: 'Bellbird ranges, high country',
    latitudeDeg: -36.5,
    clearness: [0.74, 0.74, 0.73, 0.68, 0.58, 0.52, 0.53, 0.57, 0.62, 0.66, 0.69, 0.72],
    dayC: [24, 23, 20, 14, 9, 5, 4, 6, 10, 14, 18, 21],
    coldestC: [3, 3, 0, -4, -7, -10, -11, -10, -7, -4, -1, 2],
  },
  {
    id: 'stonefly-catchment',
    name: 'Stonefly catchment, cool and wet',
    latitudeDeg: -42,
    clearness: [0.66, 0.66, 0.61, 0.54, 0.46, 0.41, 0.43, 0.48, 0.53, 0.57, 0.6, 0.64],
    dayC: [19, 19, 17, 13, 10, 8, 7, 8, 10, 13, 15, 17],
    coldestC: [3, 3, 1, -1, -3, -5, -6, -5, -3, -2, 0, 2],
  },
  {
    id: 'cinder-tableland',
    name: 'Cinder tableland, dry winters',
    latitudeDeg: -29,
    clearness: [0.74, 0.74, 0.77, 0.81, 0.83, 0.84, 0.85, 0.86, 0.85, 0.82, 0.79, 0.76],
    dayC: [29, 28, 26, 22, 17, 14, 13, 15, 19, 23, 26, 28],
    coldestC: [13, 13, 10, 5, 0, -3, -5, -3, 1, 5, 8, 11],
  },
  {
    id: 'gibber-inland',
    name: 'Gibber inland, desert',
    latitudeDeg: -26,
    clearness: [0.86, 0.85, 0.87, 0.88, 0.86, 0.85, 0.87, 0.89, 0.89, 0.88, 0.86, 0.86],
    dayC: [37, 36, 33, 28, 22, 18, 18, 21, 26, 30, 33, 36],
    coldestC: [19, 18, 15, 10, 4, 0, -1, 1, 5, 9, 13, 17],
  },
  {
    id: 'paperbark-gulf',
    name: 'Paperbark gulf, wet and dry tropics',
    latitudeDeg: -15,
    clearness: [0.58, 0.57, 0.64, 0.77, 0.84, 0.87, 0.88, 0.88, 0.86, 0.82, 0.75, 0.65],
    dayC: [31, 31, 31, 31, 29, 27, 27, 28, 31, 33, 33, 32],
    coldestC: [22, 22, 21, 19, 14, 10, 9, 11, 16, 20, 22, 22],
  },
  {
    id: 'larkspur-lakes',
    name: 'Larkspur lakes, northern, cold winters',
    latitudeDeg: 47,
    clearness: [0.42, 0.5, 0.56, 0.6, 0.64, 0.67, 0.71, 0.69, 0.62, 0.52, 0.42, 0.38],
    dayC: [-6, -4, 2, 9, 16, 21, 24, 22, 17, 10, 2, -4],
    coldestC: [-27, -24, -17, -7, -1, 4, 8, 6, 0, -6, -15, -23],
  },
];

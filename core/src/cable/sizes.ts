/** Metric conductor areas in mm² that are stocked, smallest first (IEC 60228). */
export const METRIC_AREAS_MM2 = [0.5, 0.75, 1, 1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95, 120] as const;

/** Gauge names that are stocked, smallest first (AWG; B&S is the same gauge). */
export const GAUGES = ['18', '16', '14', '12', '10', '8', '6', '4', '3', '2', '1', '1/0', '2/0', '3/0', '4/0'] as const;

/** Auto-cable "millimetre": outside diameter of the insulated wire → typical copper area, mm². Print with "about". */
export const AUTO_MM_AREAS: readonly (readonly [number, number])[] = [
  [2.5, 0.5],
  [3, 1.13],
  [4, 1.84],
  [5, 2.9],
  [6, 4.6],
];

export type CableSeries = 'metric' | 'gauge';

export interface CableSize {
  /** As it is asked for over the counter: `16 mm²`, `6`, `2/0`. */
  readonly size: string;
  readonly areaMm2: number;
}

/** Gauge number behind a name: `1/0` (or `0`) is 0, `2/0` (or `00`) is −1. Not a gauge: null. */
export function gaugeNumber(name: string): number | null {
  const text = name.trim();
  const aught = /^([1-4])\/0$/.exec(text);
  if (aught) return 1 - Number(aught[1]);
  if (/^0{1,4}$/.test(text)) return 1 - text.length;
  if (!/^\d{1,2}$/.test(text)) return null;
  const n = Number(text);
  return n >= 1 && n <= 40 ? n : null;
}

/**
 * Copper area of a gauge, mm² (ASTM B258: 39 equal ratios between 0.005 in and 0.46 in). Unknown name: null.
 * @example gaugeAreaMm2('6') // 13.302097
 */
export function gaugeAreaMm2(name: string): number | null {
  const n = gaugeNumber(name);
  return n === null ? null : 0.012668 * 92 ** ((36 - n) / 19.5);
}

const METRIC: readonly CableSize[] = METRIC_AREAS_MM2.map((areaMm2) => ({ size: `${areaMm2} mm²`, areaMm2 }));
const GAUGE: readonly CableSize[] = GAUGES.map((size) => ({ size, areaMm2: gaugeAreaMm2(size)! }));

/** The sizes of a series, smallest first. */
export function cableSeries(series: CableSeries): readonly CableSize[] {
  return series === 'metric' ? METRIC : GAUGE;
}

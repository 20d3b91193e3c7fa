export type InsulationC = 70 | 90 | 105 | 125;
export type Laid = 'air' | 'conduit' | 'insulation';

/** One circuit in free air at 30 °C, amps by insulation rating 70, 90, 105, 125 °C (representative of published small-craft tables). */
export const AMPACITY_A: readonly (readonly [number, number, number, number, number])[] = [
  [0.5, 7, 9, 12, 15],
  [0.75, 10, 12, 16, 20],
  [1, 14, 18, 20, 25],
  [1.5, 18, 21, 25, 30],
  [2.5, 25, 30, 35, 40],
  [4, 35, 40, 45, 50],
  [6, 45, 50, 60, 70],
  [10, 65, 70, 90, 100],
  [16, 90, 100, 130, 150],
  [25, 120, 140, 170, 185],
  [35, 160, 185, 210, 225],
  [50, 210, 230, 270, 300],
  [70, 265, 285, 330, 360],
  [95, 310, 330, 390, 410],
  [120, 360, 400, 450, 480],
];

const COLUMN: Readonly<Record<InsulationC, 1 | 2 | 3 | 4>> = { 70: 1, 90: 2, 105: 3, 125: 4 };
const GROUPING = [1, 0.8, 0.7, 0.65, 0.6, 0.57, 0.54, 0.52, 0.5] as const;
export const LAID_FACTOR: Readonly<Record<Laid, number>> = { air: 1, conduit: 0.8, insulation: 0.5 };

/** Share of the ampacity left when circuits (pairs) are bunched or share a conduit; 1 circuit: 1. */
export function groupingFactor(circuits: number): number {
  if (circuits <= 9) return GROUPING[Math.max(1, Math.round(circuits)) - 1]!;
  if (circuits <= 12) return 0.45;
  return circuits <= 16 ? 0.41 : 0.38;
}

/** Ambient derating sqrt((T_ins − T_amb)/(T_ins − 30)), 0 at or above the insulation's rating, never above 1.15. */
export function ambientFactor(insulationC: number, ambientC: number): number {
  if (ambientC >= insulationC) return 0;
  return Math.min(1.15, Math.sqrt((insulationC - ambientC) / (insulationC - 30)));
}

function tableAmpacityA(areaMm2: number, insulationC: InsulationC): number {
  const column = COLUMN[insulationC];
  const last = AMPACITY_A.length - 2;
  let i = 0;
  while (i < last && AMPACITY_A[i + 1]![0] < areaMm2) i++;
  const [low, high] = [AMPACITY_A[i]!, AMPACITY_A[i + 1]!];
  const share = Math.log(areaMm2 / low[0]) / Math.log(high[0] / low[0]);
  return Math.exp(Math.log(low[column]) + share * Math.log(high[column] / low[column]));
}

export interface Laying {
  readonly insulationC: InsulationC;
  readonly ambientC: number;
  /** Circuits bunched together, this one included; 1 or more. */
  readonly grouped: number;
  readonly laid: Laid;
}

/**
 * Derated continuous ampacity of a single-core copper cable, A, 0 when the ambient reaches the insulation's rating.
 * @example ampacityA(16, { insulationC: 105, ambientC: 55, grouped: 1, laid: 'air' }) // 106.1…
 */
export function ampacityA(areaMm2: number, laying: Laying): number {
  const { insulationC, ambientC, grouped, laid } = laying;
  return tableAmpacityA(areaMm2, insulationC) * ambientFactor(insulationC, ambientC) * groupingFactor(grouped) * LAID_FACTOR[laid];
}

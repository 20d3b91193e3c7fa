import { WATER_KJ_PER_KG_K } from '../quantity/index.js';
import { NO_INVERTER_EFFICIENCY } from './day-load.js';
import { inverterInputW } from '../catalogue/index.js';

/** Share of the appliance's power that ends in the pot. */
export const INTO_THE_POT = { kettle: 0.88, 'induction plate': 0.84, 'hot plate': 0.6, 'coffee maker': 0.8, oven: 0.35 } as const;
export type Cooker = keyof typeof INTO_THE_POT;

export interface Boil {
  readonly litres: number;
  readonly startC: number;
  /** 100 °C at sea level; 95 at 1500 m. */
  readonly endC: number;
  readonly cooker: Cooker;
  readonly powerW: number;
  /** Kept simmering for so long at this share of the power. */
  readonly simmerMin: number;
  readonly simmerShare: number;
  /** Inverter in between, W; null: none chosen. 0: the cooker runs on the house side itself. */
  readonly inverterW: number | null;
  readonly nominalV: number;
}

export interface BoilCost {
  /** Heat that the water takes, Wh. */
  readonly heatWh: number;
  /** Minutes to the boil. */
  readonly boilMin: number;
  /** From the battery, boil and simmer, Wh and Ah. */
  readonly batteryWh: number;
  readonly batteryAh: number;
}

const fromBatteryW = (ownW: number, inverterW: number | null): number => {
  if (ownW <= 0 || inverterW === 0) return ownW;
  return inverterW === null ? ownW / NO_INVERTER_EFFICIENCY : inverterInputW(ownW, inverterW);
};

/** Heat to warm water, Wh: E = m · 4.186 kJ/kg/K · ΔT. @example heatWh(1, 15, 100) // 98.836111 */
export function heatWh(litres: number, startC: number, endC: number): number {
  return (litres * WATER_KJ_PER_KG_K * Math.max(0, endC - startC)) / 3.6;
}

/** What a boil, and a simmer after it, costs the battery. Infinity minutes where there is no power. */
export function boilCost(b: Boil): BoilCost {
  const heat = heatWh(b.litres, b.startC, b.endC);
  const atPlugWh = heat / INTO_THE_POT[b.cooker];
  const boilH = b.powerW > 0 ? atPlugWh / b.powerW : heat > 0 ? Infinity : 0;
  const boilWh = Number.isFinite(boilH) ? fromBatteryW(b.powerW, b.inverterW) * boilH : 0;
  const simmerWh = (fromBatteryW(b.powerW * b.simmerShare, b.inverterW) * b.simmerMin) / 60;
  return { heatWh: heat, boilMin: 60 * boilH, batteryWh: boilWh + simmerWh, batteryAh: (boilWh + simmerWh) / b.nominalV };
}

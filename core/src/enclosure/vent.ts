import type { BatteryPart } from '../catalogue/index.js';

/** How a closed box with batteries breathes. */
export interface Vent {
  readonly kind: 'one-way vent' | 'ducts';
  /** Holes of this many mm, low and, for ducts, one more high. */
  readonly holeMm: number;
  readonly count: number;
  /** Air that the gas of charging wants, m³/h; 0: none by itself. */
  readonly airM3h: number;
  readonly why: string;
}

/** Charging gas of lead-acid, mA per Ah while it is boosted (IEC 62485-2): vented cells, and those with valves. */
const GAS_MA_PER_AH = { flooded: 20, agm: 8, gel: 8 } as const;
/** Cells of a 12 V block. */
const CELLS = 6;
/** m³/h for each mA/Ah, cell and Ah; and cm² of opening for each m³/h (IEC 62485-2). */
const AIR = { perGas: 0.05e-3, cm2PerM3h: 28 } as const;
/** Tubes that are sold, mm inside. */
const DUCTS_MM = [20, 25, 32, 40, 50, 63, 75, 100] as const;
const ONE_WAY_MM = 20;

/** Air that batteries want while they are charged, m³/h. @example chargingAirM3h([{ chemistry: 'agm', capacityAh: 100 }, { chemistry: 'agm', capacityAh: 100 }]) // 0.48 */
export const chargingAirM3h = (batteries: readonly Pick<BatteryPart, 'chemistry' | 'capacityAh'>[]): number =>
  batteries.reduce((sum, { chemistry, capacityAh }) => (chemistry === 'lfp' ? sum : sum + AIR.perGas * CELLS * GAS_MA_PER_AH[chemistry] * capacityAh), 0);

/** What vents a box with these batteries in it. */
export function ventFor(batteries: readonly Pick<BatteryPart, 'chemistry' | 'capacityAh'>[]): Vent {
  const airM3h = chargingAirM3h(batteries);
  if (airM3h === 0) return { kind: 'one-way vent', holeMm: ONE_WAY_MM, count: 1, airM3h, why: 'lithium gives off gas only when it fails: a valve that opens outwards, a default until the maker says' };
  const wantsMm = Math.sqrt((400 * AIR.cm2PerM3h * airM3h) / Math.PI);
  return {
    kind: 'ducts',
    holeMm: DUCTS_MM.find((d) => d >= wantsMm) ?? DUCTS_MM.at(-1)!,
    count: 2,
    airM3h,
    why: 'hydrogen of charging, IEC 62485-2 at boost: air in low, out high, both from outside',
  };
}

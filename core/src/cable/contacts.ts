/** Joints of a run, ohms, unless the part says otherwise. */
export const LUG_M8_OHM = 0.05e-3;
export const LUG_SMALL_OHM = 0.2e-3;

/** Resistance of a vehicle body between any two good points, ohm. */
export const CHASSIS_OHM = 1.5e-3;

/** A lug on its stud: M8 from 16 mm² up, smaller below. */
export function lugOhm(areaMm2: number): number {
  return areaMm2 >= 16 ? LUG_M8_OHM : LUG_SMALL_OHM;
}

/** One pole of a heavy two-pole plug, by its rating. */
export function plugPoleOhm(ratingA: number): number {
  return ratingA > 50 ? 0.2e-3 : 0.5e-3;
}

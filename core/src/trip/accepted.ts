import type { BankPlan } from './plan.js';

/** Sun that gives less than this, A, counts as none to a charger that takes one source at a time. */
export const SOME_SUN_A = 1;

/** Current a battery takes, A: what is offered, held down by absorption volts, C-rate, taper and the room left. */
export function acceptedA(b: BankPlan, offeredA: number, vocV: number, chargeAh: number, kH: number): number {
  if (chargeAh >= b.capacityAh) return 0;
  let a = offeredA;
  const byVolts = (b.absorptionV - vocV) / b.chargeOhm;
  if (byVolts < a) a = byVolts;
  if (b.mostA < a) a = b.mostA;
  const byTaper = (b.capacityAh * (1 - chargeAh / b.capacityAh)) / b.taperH;
  if (byTaper < a) a = byTaper;
  const byRoom = (b.capacityAh - chargeAh) / (b.coulombic * kH);
  if (byRoom < a) a = byRoom;
  return a > 0 ? a : 0;
}

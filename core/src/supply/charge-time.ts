import { CHEMISTRY } from '../catalogue/index.js';
import type { Bank } from './bank.js';

/** A bank counts as full at this state of charge. */
export const FULL_SOC = 0.98;
const STEP_H = 1 / 60;
const MOST_H = 240;

/**
 * Hours from a state of charge to full at a charger's amps, with the battery's limit, its taper and its coulombic
 * efficiency; Infinity when it never gets there. Loads are taken as off.
 */
export function hoursToFull(bank: Bank, fromSoc: number, chargerA: number): number {
  const f = CHEMISTRY[bank.part.chemistry];
  let soc = fromSoc;
  for (let h = 0; h <= MOST_H; h += STEP_H) {
    if (soc >= FULL_SOC) return h;
    const taperA = (bank.capacityAh * (1 - soc)) / f.taperH;
    soc += (Math.min(chargerA, bank.maxChargeA, taperA) * f.coulombic * STEP_H) / bank.capacityAh;
  }
  return Infinity;
}

import { CHEMISTRY, restV, type Chemistry } from './chemistry.js';

/** How a battery stands in the network: fully charged and at its stiffest, half full and weak, or as it is. */
export type BatteryState = 'stiffest' | 'weakest' | 'typical';

const SHARE: Readonly<Record<BatteryState, { readonly soc: number; readonly ohm: number }>> = {
  stiffest: { soc: 1, ohm: 0.7 },
  weakest: { soc: 0.5, ohm: 1.5 },
  typical: { soc: 0.8, ohm: 1 },
};

/** Volts and ohms of one 12 V battery. @example batterySource('lfp', 100, 'stiffest') // { volt: 13.5, ohm: 0.00175 } */
export function batterySource(chemistry: Chemistry, capacityAh: number, state: BatteryState): { readonly volt: number; readonly ohm: number } {
  const { soc, ohm } = SHARE[state];
  return { volt: restV(chemistry, soc), ohm: (ohm * CHEMISTRY[chemistry].milliohmAt100Ah * 0.1) / capacityAh };
}

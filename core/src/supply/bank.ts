import { batterySource, CHEMISTRY, RECONNECT_ABOVE_V, type BatteryPart, type BatteryState, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';

/** The house bank: strings of 12 V batteries, in parallel. */
export interface Bank {
  readonly part: BatteryPart;
  readonly strings: number;
  readonly inSeries: number;
  readonly capacityAh: number;
  readonly nominalV: number;
  readonly usableShare: number;
  readonly usableFrom: 'setting' | 'chemistry';
  readonly usableAh: number;
  readonly continuousA: number;
  readonly peakA: number;
  readonly maxChargeA: number;
  readonly absorptionV: number;
  readonly floatV: number;
  /** Low-voltage disconnect, V of the bank. */
  readonly openV: number;
  readonly closeV: number;
}

/** The bank of a design; null while no battery is chosen. Odd batteries of a 24 V bank are left out and found by a rule. */
export function bankOf(design: Design, catalogue: Catalogue): Bank | null {
  const { supply, settings } = design;
  const part = catalogue.find('battery', supply.battery.part);
  if (!part) return null;
  const figures = CHEMISTRY[part.chemistry];
  const inSeries = supply.houseV / 12;
  const strings = Math.max(1, Math.floor(supply.battery.count / inSeries));
  const capacityAh = part.capacityAh * strings;
  const usableShare = settings.usableShare ?? figures.usable;
  return {
    part,
    strings,
    inSeries,
    capacityAh,
    nominalV: supply.houseV,
    usableShare,
    usableFrom: settings.usableShare === null ? 'chemistry' : 'setting',
    usableAh: capacityAh * usableShare,
    continuousA: part.continuousA * strings,
    peakA: part.peakA * strings,
    maxChargeA: figures.maxChargeC * capacityAh,
    absorptionV: figures.absorptionV * inSeries,
    floatV: figures.floatV * inSeries,
    openV: figures.disconnectV * inSeries,
    closeV: (figures.disconnectV + RECONNECT_ABOVE_V) * inSeries,
  };
}

/** Volts and ohms of one string. */
export function stringSource(bank: Bank, state: BatteryState): { readonly volt: number; readonly ohm: number } {
  const one = batterySource(bank.part.chemistry, bank.part.capacityAh, state);
  return { volt: one.volt * bank.inSeries, ohm: one.ohm * bank.inSeries };
}

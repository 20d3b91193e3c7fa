import { CHEMISTRY, chargerInputW, restV, type Catalogue, type DcdcPart } from '../catalogue/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { convertersOfKind, plant } from '../plant/index.js';
import { MPPT_YIELD } from './sun.js';
import type { AlternatorWants } from './alternator.js';
import type { SolarArray } from './array.js';
import type { Bank } from './bank.js';
import { tripShare } from './charger-air.js';
import { driveVolts } from './isolation.js';

/** Resistance between a charger and the bank where no run says better, ohm. */
const LEAD_OHM = 0.006;

/** What charges the bank: its limit and its set point. */
export interface Charger {
  readonly id: 'vehicle' | 'vehicle-2' | 'mains' | 'sun';
  /** The converter that it is. */
  readonly unit: string;
  readonly name: string;
  readonly when: 'driving' | 'mains' | 'sun';
  readonly outputA: number;
  readonly setV: number;
}

/** The mains charger of a design: one of its own, or the inverter-charger's. */
export function mainsChargerOf(design: Design, catalogue: Catalogue): { readonly name: string; readonly outputA: number; readonly acW: number; readonly outputV: number } | null {
  const p = plant(design, catalogue);
  const [own] = convertersOfKind(p, 'mains-charger');
  if (own) return own.part;
  const [inverter] = convertersOfKind(p, 'inverter').filter((c) => c.charges);
  return inverter?.part.charger ? { name: inverter.part.name, outputV: inverter.part.inputV, ...inverter.part.charger } : null;
}

/** DC-DC chargers of a design with the share of their output they are set to. */
export const dcdcsOf = (design: Design, catalogue: Catalogue): readonly { readonly id: string; readonly part: DcdcPart; readonly share: number }[] =>
  convertersOfKind(plant(design, catalogue), 'dcdc').map(({ ref, part, share }) => ({ id: ref.id, part, share }));

/** Amps that reach the bank from the vehicle while it is driven, and what all of it takes from the alternator, at its volts warm at idle and on the road. */
export function vehicleChargeA(design: Design, catalogue: Catalogue, bank: Bank, closedShare: number): { readonly outA: number; readonly wanted: AlternatorWants } {
  const dcdcs = dcdcsOf(design, catalogue);
  const supply = supplyOf(design);
  if (supply.isolation === 'dcdc') {
    const v = driveVolts(design);
    const hot = dcdcs.map((d) => ({ ...d, share: d.share * tripShare(design, d.id) }));
    const inW = hot.reduce((s, d) => s + chargerInputW(d.part, bank.absorptionV) * d.share, 0);
    return { outA: hot.reduce((s, d) => s + d.part.outputA * d.share, 0), wanted: { idleA: inW / v.warmIdleV, roadA: inW / v.cruiseV } };
  }
  const isolator = supply.isolation === 'isolator' ? catalogue.find('isolator', supply.isolator) : null;
  const outA = isolator ? Math.min(bank.maxChargeA, 0.8 * isolator.ratedA) * closedShare : 0;
  return { outA, wanted: { idleA: outA, roadA: outA } };
}

/** Everything that can charge the bank, each with its own set point. */
export function chargersOf(design: Design, catalogue: Catalogue, bank: Bank, array: SolarArray | null): readonly Charger[] {
  const dcdcs = dcdcsOf(design, catalogue);
  const mains = mainsChargerOf(design, catalogue);
  const sunA = array && array.controller ? Math.min(array.maxA ?? Infinity, (Math.max(...array.clearDayW) * MPPT_YIELD) / bank.absorptionV) : 0;
  return [
    ...dcdcs.map(({ id, part, share }, i): Charger => ({ id: i ? 'vehicle-2' : 'vehicle', unit: id, name: part.name, when: 'driving', outputA: part.outputA * share, setV: bank.absorptionV })),
    ...(mains ? [{ id: 'mains' as const, unit: 'mains', name: mains.name, when: 'mains' as const, outputA: mains.outputA, setV: bank.absorptionV }] : []),
    ...(sunA > 0 && array?.controller ? [{ id: 'sun' as const, unit: 'controller', name: array.controller.name, when: 'sun' as const, outputA: sunA, setV: bank.absorptionV }] : []),
  ];
}

/** What each of several chargers gives, alone and together, A. */
export interface Sharing {
  readonly name: string;
  readonly aloneA: number;
  readonly togetherA: number;
}

/** A charger with the resistance of its own leads, ohm. */
interface Led extends Charger {
  readonly leadOhm: number;
}

/** What a charger gives into a bank at these volts, A. */
const givesA = (c: Led, bankV: number): number => Math.max(0, Math.min(c.outputA, (c.setV - bankV) / c.leadOhm));

/** Bank volts at which the chargers' currents and what the bank takes agree, by halving. */
function meetingV(bank: Bank, soc: number, chargers: readonly Led[]): number {
  const f = CHEMISTRY[bank.part.chemistry];
  const voc = restV(bank.part.chemistry, soc) * bank.inSeries;
  const ohm = (((f.milliohmAt100Ah / 1000) * 100) / bank.capacityAh) * f.chargeResistance * bank.inSeries;
  const takesAt = (v: number): number => Math.min(bank.maxChargeA, (bank.capacityAh * (1 - soc)) / f.taperH, (v - voc) / ohm);
  const givenAt = (v: number): number => chargers.reduce((s, c) => s + givesA(c, v), 0);
  let [low, high] = [voc, Math.max(voc, ...chargers.map((c) => c.setV))];
  for (let n = 0; n < 60; n++) {
    const v = (low + high) / 2;
    if (givenAt(v) > takesAt(v)) low = v;
    else high = v;
  }
  return (low + high) / 2;
}

/**
 * How chargers share one bank at a state of charge: each holds its own set point through its own leads, and the bank
 * takes what it can. Together they give less than their sum as soon as the bank, not they, sets the limit.
 */
export function sharing(bank: Bank, soc: number, chargers: readonly Charger[], leadOhm: (c: Charger) => number = () => LEAD_OHM): readonly Sharing[] {
  const led = chargers.map((c): Led => ({ ...c, leadOhm: leadOhm(c) }));
  const togetherV = meetingV(bank, soc, led);
  return led.map((c) => ({ name: c.name, aloneA: led.length === 1 ? givesA(c, togetherV) : givesA(c, meetingV(bank, soc, [c])), togetherA: givesA(c, togetherV) }));
}

import { CHEMISTRY, chargerInputW, restV, type Catalogue, type ConverterPart, type DcIn } from '../catalogue/index.js';
import type { Design, Ref } from '../design/index.js';
import { broughtShare, fromInlet, plant, stepOf, takenBefore, withPort, type ConverterThing, type Step, type Supplied } from '../plant/index.js';
import { MPPT_YIELD } from './sun.js';
import type { AlternatorWants } from './alternator.js';
import type { SolarArray } from './array.js';
import type { Bank } from './bank.js';
import { tripShare } from './charger-air.js';
import { driveVolts } from './isolation.js';
import { linkShare } from './trace.js';

/** Resistance between a charger and the bank where no run says better, ohm. */
const LEAD_OHM = 0.006;

/** What charges the bank: its limit and its set point. */
export interface Charger {
  /** The converter that it is. */
  readonly unit: string;
  readonly name: string;
  readonly when: 'driving' | 'lead' | 'mains' | 'sun';
  readonly outputA: number;
  readonly setV: number;
}

/** What charges from a mains inlet: a charger, or an inverter-charger. */
export interface MainsCharger {
  readonly unit: string;
  readonly name: string;
  readonly outputA: number;
  readonly outputV: number;
  /** What it takes of the outlet, W. */
  readonly acW: number;
}

/** What of a design charges from a mains inlet: boxes for it alone first, then those that take it beside a vehicle’s feed, then those that also invert. */
export function mainsChargersOf(design: Design, catalogue: Catalogue): readonly MainsCharger[] {
  const all = fromInlet(plant(design, catalogue));
  const rank = ({ ports }: ConverterThing): number => (ports.mainsOut ? 2 : ports.dcIn ? 1 : 0);
  return [...all]
    .sort((a, b) => rank(a) - rank(b))
    .map(({ ref, part, ports }) => ({ unit: ref.id, name: part.name, outputV: ports.bankV ?? design.supply.houseV, outputA: ports.mainsIn!.outputA, acW: ports.mainsIn!.acW }));
}

/** What charges over a DC input. */
export interface DcCharger {
  readonly id: string;
  readonly ref: Ref;
  readonly part: ConverterPart;
  readonly port: DcIn;
  /** Share of its output that it is set to, 0–1. */
  readonly share: number;
  /** The vehicle, or the inlet of a lead from another bank, that feeds it. */
  readonly from: Ref;
  /** The box between the two; null: none. */
  readonly step: Step | null;
}

const fedBy = (design: Design, catalogue: Catalogue, sorts: readonly Supplied['by'][]): readonly DcCharger[] => {
  const p = plant(design, catalogue);
  return withPort(p, 'dcIn').flatMap((c) => {
    const { ref, part, ports, share, inputs } = c;
    const input = inputs.find((i) => sorts.includes(i.by));
    if (!input || c.feeds.length) return [];
    const step = stepOf(p, c);
    return [{ id: ref.id, ref, part, port: ports.dcIn, share: share * broughtShare(p, step), from: input.ref, step }];
  });
};

/** What of a design charges from a vehicle. */
export const dcdcsOf = (design: Design, catalogue: Catalogue): readonly DcCharger[] => fedBy(design, catalogue, ['vehicle']);

/** What of a design charges over a lead from another bank. */
export const leadChargersOf = (design: Design, catalogue: Catalogue): readonly DcCharger[] => fedBy(design, catalogue, ['lead']);

/** Both: every charger with a DC input that is fed. */
export const dcChargersOf = (design: Design, catalogue: Catalogue): readonly DcCharger[] => fedBy(design, catalogue, ['vehicle', 'lead']);

/** What plugs into a rig, in a word: the trip books mains and leads from other banks as one. */
export function pluggedWord(design: Design, catalogue: Catalogue): 'mains' | 'lead' | 'mains and lead' {
  if (!leadChargersOf(design, catalogue).length) return 'mains';
  return mainsChargersOf(design, catalogue).length ? 'mains and lead' : 'lead';
}

/** Amps that reach the bank from the vehicle while it is driven, and what all of it takes from the alternator, at its volts warm at idle and on the road. */
export function vehicleChargeA(design: Design, catalogue: Catalogue, bank: Bank, onShare: (charger: string) => number = () => 1): { readonly outA: number; readonly wanted: AlternatorWants } {
  const dcdcs = dcdcsOf(design, catalogue).map((d) => ({ ...d, share: d.share * tripShare(design, d) }));
  const v = driveVolts(design);
  const inW = dcdcs.reduce((s, d) => s + chargerInputW(d.port, bank.absorptionV) * d.share * takenBefore(d.step), 0);
  const linkA = plant(design, catalogue).links.reduce((s, l) => s + Math.min(bank.maxChargeA, 0.8 * l.part.ratedA) * linkShare(design, l), 0);
  return { outA: dcdcs.reduce((s, d) => s + d.port.outputA * d.share * onShare(d.id), 0) + linkA, wanted: { idleA: inW / v.warmIdleV + linkA, roadA: inW / v.cruiseV + linkA } };
}

/** Everything that can charge the bank, each with its own set point. */
export function chargersOf(design: Design, catalogue: Catalogue, bank: Bank, arrays: readonly SolarArray[]): readonly Charger[] {
  const [dcdcs, onLeads] = [dcdcsOf(design, catalogue), leadChargersOf(design, catalogue)];
  const setV = bank.absorptionV;
  const of = (when: Charger['when'], { id, part, port, share }: DcCharger): Charger => ({ unit: id, name: part.name, when, outputA: port.outputA * share, setV });
  const sunA = (a: SolarArray): number => Math.min(a.maxA ?? Infinity, (Math.max(...a.clearDayW) * MPPT_YIELD) / setV);
  return [
    ...dcdcs.map((d) => of('driving', d)),
    ...onLeads.map((d) => of('lead', d)),
    // A charger with three inputs is one charger, whatever feeds it.
    ...mainsChargersOf(design, catalogue)
      .filter((m) => ![...dcdcs, ...onLeads].some((d) => d.id === m.unit))
      .map(({ unit, name, outputA }): Charger => ({ unit, name, when: 'mains', outputA, setV })),
    ...arrays.flatMap((a): Charger[] => (a.controller && a.regulator && sunA(a) > 0 ? [{ unit: a.regulator.id, name: a.controller.name, when: 'sun', outputA: sunA(a), setV }] : [])),
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

import { batterySource, CHEMISTRY, RECONNECT_ABOVE_V, type BatteryPart, type BatteryState, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { plant, type BankThing } from '../plant/index.js';

/** The house bank: strings of 12 V batteries, in parallel. */
export interface Bank {
  readonly part: BatteryPart;
  /** Strings side by side, all of them. */
  readonly strings: number;
  readonly inSeries: number;
  /** What each string is made of, and the share of the bank's current that it carries behind equal leads. */
  readonly stringParts: readonly BatteryPart[];
  readonly stringShares: readonly number[];
  /** Another part that is joined to the main one. */
  readonly joined: BatteryPart | null;
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
  readonly kg: number;
  readonly price: number;
}

interface Strings {
  readonly part: BatteryPart;
  readonly strings: number;
}

const conductance = (p: BatteryPart): number => p.capacityAh / CHEMISTRY[p.chemistry].milliohmAt100Ah;

/** Most that unequal strings give together, A: each carries its share by conductance, and the first at its limit ends it. */
function together(parts: readonly BatteryPart[], limit: (p: BatteryPart) => number): number {
  const all = parts.reduce((s, p) => s + conductance(p), 0);
  return Math.min(...parts.map((p) => (limit(p) * all) / conductance(p)));
}

function makeBank(design: Design, strings: readonly [Strings, ...Strings[]]): Bank {
  const { supply, settings } = design;
  const [main, joined] = strings;
  const figures = CHEMISTRY[main.part.chemistry];
  const inSeries = supply.houseV / 12;
  const parts = strings.flatMap((x) => Array<BatteryPart>(x.strings).fill(x.part));
  const sum = (f: (p: BatteryPart) => number): number => parts.reduce((s, p) => s + f(p), 0);
  const allConductance = sum(conductance);
  const capacityAh = sum((p) => p.capacityAh);
  const usableShare = settings.usableShare ?? figures.usable;
  return {
    part: main.part,
    strings: parts.length,
    inSeries,
    stringParts: parts,
    stringShares: parts.map((p) => conductance(p) / allConductance),
    joined: joined?.part ?? null,
    capacityAh,
    nominalV: supply.houseV,
    usableShare,
    usableFrom: settings.usableShare === null ? 'chemistry' : 'setting',
    usableAh: capacityAh * usableShare,
    continuousA: together(parts, (p) => p.continuousA),
    peakA: together(parts, (p) => p.peakA),
    maxChargeA: sum((p) => CHEMISTRY[p.chemistry].maxChargeC * p.capacityAh),
    absorptionV: figures.absorptionV * inSeries,
    floatV: figures.floatV * inSeries,
    openV: figures.disconnectV * inSeries,
    closeV: (figures.disconnectV + RECONNECT_ABOVE_V) * inSeries,
    kg: inSeries * sum((p) => p.kg),
    price: inSeries * sum((p) => p.price),
  };
}

const stringsOf = (part: BatteryPart, count: number, houseV: number): Strings => ({ part, strings: Math.max(1, Math.floor(count / (houseV / 12))) });

/** A bank of the plant with its figures; null where there is none. */
function figuresOf(design: Design, thing: BankThing | undefined): Bank | null {
  const [main, ...more] = (thing?.batteries ?? []).map((b) => stringsOf(b.part, b.quantity, thing!.nominalV));
  return main ? makeBank(design, [main, ...more]) : null;
}

/** The bank of a design; null while no battery is chosen. Odd batteries of a 24 V bank are left out and found by a rule. */
export const bankOf = (design: Design, catalogue: Catalogue): Bank | null =>
  figuresOf(
    design,
    plant(design, catalogue).banks.find((b) => !b.selected),
  );

/** The second bank behind a selector; null where there is none. */
export const selectedBankOf = (design: Design, catalogue: Catalogue): Bank | null =>
  figuresOf(
    design,
    plant(design, catalogue).banks.find((b) => b.selected),
  );

/** Volts and ohms of one string, by its number from 1. */
export function stringSource(bank: Bank, state: BatteryState, string = 1): { readonly volt: number; readonly ohm: number } {
  const part = bank.stringParts[string - 1] ?? bank.part;
  const one = batterySource(part.chemistry, part.capacityAh, state);
  return { volt: one.volt * bank.inSeries, ohm: one.ohm * bank.inSeries };
}

/**
 * The largest string out: what share of a current of so many amps each lead left carries at most; null where that is
 * more than its battery gives steadily, so that the bank is lost with it.
 */
export function stringLost(bank: Bank, amps: number): { readonly leftShare: number | null } {
  if (bank.strings === 1) return { leftShare: null };
  const out = bank.stringShares.indexOf(Math.max(...bank.stringShares));
  const left = bank.stringParts.filter((_, i) => i !== out);
  const all = left.reduce((s, p) => s + conductance(p), 0);
  const bears = left.every((p) => (amps * conductance(p)) / all <= p.continuousA);
  return { leftShare: bears ? Math.max(...left.map((p) => conductance(p) / all)) : null };
}

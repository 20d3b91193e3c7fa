import type { Catalogue, PanelPart, SunIn } from '../catalogue/index.js';
import type { Design, Ref } from '../design/index.js';
import { plant, type ArrayThing, type ConverterThing } from '../plant/index.js';
import { climateOf, type Climate } from '../travel/index.js';
import { seriesShadeYield, sharedRegulatorYield } from './panels.js';
import { clearDayWatts, coldestOpenV, pwmLossFraction, vmpAtC } from './sun.js';

const PANEL_FUSE = 1.56;
/** Kelvin by which cells in the sun are above the air, for a PWM regulator's loss. */
const CELL_ABOVE_AIR_K = 22;
/** Volts of a 12 V bank while it takes a good current. */
const CHARGING_V = 13.2;
/** A regulator passes current only from volts above those of a 12 V bank that takes some. */
const NEEDS_V = 13.8;
/** Cells on a hot roof, °C. */
const HOT_CELL_C = 65;

/** Best volts of a string on a hot roof. */
const hotV = (part: PanelPart, inSeries: number): number => vmpAtC(part.vmpV, HOT_CELL_C) * inSeries;
const needsVAt = (bankV: number): number => (NEEDS_V * bankV) / 12;

/** The hours in which a portable panel can be out: from eight on. */
const OUT_FROM_H = 8;

/** Portable panels put out when parked. */
export interface PortablePanel {
  readonly ref: Ref;
  readonly panel: PanelPart;
  readonly count: number;
  readonly ratedW: number;
  /** Its own regulator feeds the bank; else it joins the panels' input. */
  readonly ownRegulator: boolean;
  /** A regulator in front of one, or none at all: nothing to count on. */
  readonly trouble: 'two regulators' | 'no regulator' | 'too few volts' | null;
  /** Share of its own and the roof's power that is left when they share a regulator, 0–1. */
  readonly yieldShared: number;
  readonly clearDayW: readonly number[];
}

/** An input for panels on a box that something else feeds too. */
type SharedSun = Omit<SunIn, 'beside'> & { readonly beside: Exclude<SunIn['beside'], 'nothing'> };

const isShared = (s: SunIn): s is SharedSun => s.beside !== 'nothing';

/** The panels on one regulator: a controller, a charger's input for them, or what a portable panel brings; or on none. */
export interface SolarArray {
  /** Its first panels. */
  readonly ref: Ref;
  /** The converter that takes their power; null: none does. */
  readonly regulator: Ref | null;
  readonly panel: PanelPart;
  /** Panels that are fixed, of all that share the regulator. */
  readonly count: number;
  readonly inSeries: number;
  /** What is fixed on this regulator, side by side. */
  readonly fixed: readonly ArrayThing[];
  /** A box that does nothing else, by its name. */
  readonly controller: (SunIn & { readonly name: string }) | null;
  /** The charger's own sun input regulates. */
  readonly throughCharger: boolean;
  readonly sunInput: SharedSun | null;
  readonly ratedW: number;
  readonly iscA: number;
  readonly coldOpenV: number;
  readonly coldestC: number;
  readonly limitV: number | null;
  /** Most the regulator passes to the bank, A. */
  readonly maxA: number | null;
  /** Share that the PWM regulator chosen loses in the trip's month, 0–1; and what one would lose with these panels, January to December. */
  readonly pwmLoss: number;
  readonly pwmLossByMonth: readonly number[];
  /** Share that shade leaves, 0–1. */
  readonly shadeYield: number;
  /** Share that panels of unlike volts leave one another on one regulator, 0–1. */
  readonly dragYield: number;
  /** Least fuse for each string of a parallel group, A; null for a lone string. */
  readonly panelFuseFromA: number | null;
  /** Best volts of the lowest string on a hot roof, and what the bank needs to be charged from them; below it nothing comes. */
  readonly bestHotV: number;
  readonly needsV: number;
  /** Its regulator starts only below this charge of the bank, 0–1; null: always. */
  readonly startBelow: number | null;
  /** Watts to the bank in each hour of a clear day, before the controller's own loss, of what is fixed. */
  readonly clearDayW: readonly number[];
  readonly portables: readonly PortablePanel[];
}

/** The share of a panel's yield that a PWM regulator loses with one string at a bank's volts, in air of so many degrees. */
export function pwmLossOf(panel: PanelPart, inSeries: number, bankV: number, airC: number): number {
  return pwmLossFraction(panel.vmpV * inSeries, airC + CELL_ABOVE_AIR_K, (CHARGING_V * bankV) / 12);
}

const wattsOf = (a: ArrayThing): number => a.part.ratedW * stringsOf(a) * a.inSeries;
const stringsOf = (a: ArrayThing): number => Math.max(1, Math.floor(a.quantity / a.inSeries));
const panelsOf = (a: ArrayThing): PanelPart[] => Array<PanelPart>(a.quantity).fill(a.part);
const shadeYieldOf = (a: ArrayThing): number => (a.inSeries > 1 ? seriesShadeYield(a.shade, a.inSeries) : 1 - a.shade);

/** What shares one regulator. */
interface Sharing {
  readonly regulator: ConverterThing | null;
  readonly fixed: readonly ArrayThing[];
  readonly portable: readonly ArrayThing[];
}

/** Panels by what they hang on: those of one regulator together, each that brings its own or has none apart. */
function byRegulator(design: Design, catalogue: Catalogue): readonly Sharing[] {
  const { arrays, converters } = plant(design, catalogue);
  const on = (a: ArrayThing): ConverterThing | undefined => converters.find((c) => c.inputs.some((i) => i.by === 'array' && i.ref.id === a.ref.id));
  const keys = new Map<string, ArrayThing[]>();
  for (const a of arrays) {
    // Panels that go nowhere yet, or to a charger without an input for them, lie there together.
    const key = a.into?.in === 'banks' ? a.ref.id : `into ${a.into?.id ?? 'nothing'}`;
    keys.set(key, [...(keys.get(key) ?? []), a]);
  }
  return [...keys.values()].map((group) => ({ regulator: on(group[0]!) ?? null, fixed: group.filter((a) => !a.portable), portable: group.filter((a) => a.portable) }));
}

function portableOf(a: ArrayThing, fixed: readonly ArrayThing[], climate: Climate, bankV: number): PortablePanel {
  const ownRegulator = a.into?.in === 'banks';
  const low = hotV(a.part, 1) < needsVAt(bankV) ? 'too few volts' : null;
  const trouble = ownRegulator === a.regulated ? low : a.regulated ? 'two regulators' : 'no regulator';
  const yieldShared = ownRegulator || !fixed.length ? 1 : sharedRegulatorYield([a.part, ...fixed.flatMap(panelsOf)]);
  const out = (h: number): number => (h >= OUT_FROM_H && h < OUT_FROM_H + a.outH ? 1 : 0);
  const ratedW = a.part.ratedW * a.quantity;
  return { ref: a.ref, panel: a.part, count: a.quantity, ratedW, ownRegulator, trouble, yieldShared, clearDayW: clearDayWatts(ratedW, climate).map((w, h) => (trouble ? 0 : w * out(h))) };
}

/** Parallel strings on one regulator, and what a fault in one of them may be fed with by the others. */
function stringFuse(fixed: readonly ArrayThing[]): number | null {
  const strings = fixed.reduce((s, a) => s + stringsOf(a), 0);
  return strings > 1 ? PANEL_FUSE * Math.max(...fixed.map((a) => a.part.iscA)) : null;
}

function arrayFigures(design: Design, climate: Climate, { regulator, fixed, portable }: Sharing): SolarArray {
  const { houseV } = design.supply;
  const first = fixed[0] ?? portable[0]!;
  const portables = portable.map((a) => portableOf(a, fixed, climate, houseV));
  const sun = regulator?.ports.sunIn ?? null;
  const controller = regulator && sun && !isShared(sun) ? { ...sun, name: regulator.part.name } : null;
  const input = sun && isShared(sun) ? sun : null;
  const ratedW = fixed.reduce((s, a) => s + wattsOf(a), 0);
  const inSeries = fixed.length ? first.inSeries : 1;
  const byWatts = (of: (a: ArrayThing) => number): number => (ratedW > 0 ? fixed.reduce((s, a) => s + wattsOf(a) * of(a), 0) / ratedW : of(first));
  const lossIn = (month: number): number => byWatts((a) => pwmLossOf(a.part, fixed.length ? a.inSeries : 1, houseV, climateOf(design.brief.trip, month).ambientC));
  const pwmLoss = sun?.regulates === 'pwm' ? lossIn(climate.month) : 0;
  const shadeYield = byWatts(shadeYieldOf);
  // Panels of one part do not drag one another.
  const unlike = new Set(fixed.map((a) => a.part.id)).size > 1;
  const dragYield = Math.min(unlike ? sharedRegulatorYield(fixed.flatMap(panelsOf)) : 1, ...portables.filter((x) => !x.ownRegulator).map((x) => x.yieldShared));
  const bestHotV = Math.min(...(fixed.length ? fixed : [{ ...first, inSeries: 1 }]).map((a) => hotV(a.part, a.inSeries)));
  const needsV = needsVAt(houseV);
  const kept = regulator && bestHotV >= needsV ? shadeYield * (1 - pwmLoss) * dragYield : 0;
  return {
    ref: first.ref,
    regulator: regulator?.ref ?? null,
    panel: first.part,
    count: fixed.reduce((s, a) => s + a.quantity, 0),
    inSeries,
    fixed,
    controller,
    throughCharger: input !== null,
    sunInput: input,
    ratedW,
    iscA: fixed.length ? fixed.reduce((s, a) => s + a.part.iscA * stringsOf(a), 0) : first.part.iscA,
    coldOpenV: Math.max(...(fixed.length ? fixed : [{ ...first, inSeries: 1 }]).map((a) => coldestOpenV(a.part.vocV, a.inSeries, climate.coldestOfYearC))),
    coldestC: climate.coldestOfYearC,
    limitV: sun?.maxV ?? null,
    maxA: sun && Math.min(sun.maxA, (regulator!.ports.dcIn?.outputA ?? Infinity) * regulator!.share),
    pwmLoss,
    pwmLossByMonth: Array.from({ length: 12 }, (_, m) => lossIn(m + 1)),
    shadeYield,
    dragYield,
    panelFuseFromA: stringFuse(fixed),
    bestHotV,
    needsV,
    startBelow: first.startBelow,
    clearDayW: clearDayWatts(ratedW, climate).map((w) => w * kept),
    portables,
  };
}

/** All panels of a design, by what regulates them; the roof's first. */
export function arraysOf(design: Design, catalogue: Catalogue): readonly SolarArray[] {
  const climate = climateOf(design.brief.trip);
  return byRegulator(design, catalogue).map((shares) => arrayFigures(design, climate, shares));
}

/** Watts offered in each hour of a clear day: of what is fixed, and of what is put out where the day is parked. */
export function offeredDayW(array: SolarArray, parked: boolean): readonly number[] {
  if (!array.portables.length || !parked) return array.clearDayW;
  const share = (p: PortablePanel): number => (p.ownRegulator || array.regulator ? p.yieldShared : 0);
  return array.clearDayW.map((w, h) => w + array.portables.reduce((s, p) => s + p.clearDayW[h]! * share(p), 0));
}

/** Most that all panels pass to the bank through this regulator, A; a portable panel's own passes a little above its rated current. */
export const passesA = (a: SolarArray): number | null =>
  a.maxA === null && a.portables.some((p) => p.ownRegulator) ? OWN_REGULATOR_SHARE * a.portables.reduce((s, p) => s + p.panel.impA * p.count, 0) : a.maxA;

const OWN_REGULATOR_SHARE = 1.2;

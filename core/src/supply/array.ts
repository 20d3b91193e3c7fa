import { halfOf, type Catalogue, type DcdcPart, type PanelPart, type PartOf } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { climateOf, type Climate } from '../travel/index.js';
import { seriesShadeYield, sharedRegulatorYield } from './panels.js';
import { clearDayWatts, coldestOpenV, pwmLossFraction } from './sun.js';

const PANEL_FUSE = 1.56;
/** Kelvin by which cells in the sun are above the air, for a PWM regulator's loss. */
const CELL_ABOVE_AIR_K = 22;
/** Volts of a 12 V bank while it takes a good current. */
const CHARGING_V = 13.2;
/** The hours in which a portable panel can be out: from eight on. */
const OUT_FROM_H = 8;

/** A portable panel put out when parked. */
export interface PortablePanel {
  readonly panel: PanelPart;
  /** Its own regulator feeds the bank; else it joins the panels' input. */
  readonly ownRegulator: boolean;
  /** A regulator in front of one, or none at all: nothing to count on. */
  readonly trouble: 'two regulators' | 'no regulator' | null;
  /** Share of its own and the roof's power that is left when they share a regulator, 0–1. */
  readonly yieldShared: number;
  readonly clearDayW: readonly number[];
}

/** The panels with what regulates them. */
export interface SolarArray {
  readonly panel: PanelPart;
  readonly count: number;
  readonly inSeries: number;
  readonly controller: PartOf<'solar-controller'> | null;
  /** The charger's own sun input regulates. */
  readonly throughCharger: boolean;
  readonly sunInput: NonNullable<DcdcPart['sunInput']> | null;
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
  /** Least fuse for each string of a parallel group, A; null for a lone string. */
  readonly panelFuseFromA: number | null;
  /** Watts to the bank in each hour of a clear day, before the controller's own loss; of the roof, and of all panels on a day parked. */
  readonly clearDayW: readonly number[];
  readonly portable: PortablePanel | null;
}

/** The share of a panel's yield that a PWM regulator loses with one string at a bank's volts, in air of so many degrees. */
export function pwmLossOf(panel: PanelPart, inSeries: number, bankV: number, airC: number): number {
  return pwmLossFraction(panel.vmpV * inSeries, airC + CELL_ABOVE_AIR_K, (CHARGING_V * bankV) / 12);
}

function portableOf(design: Design, catalogue: Catalogue, roof: PanelPart | null, climate: Climate): PortablePanel | null {
  const wanted = design.supply.sun.portable;
  const panel = wanted ? catalogue.find('panel', wanted.panel) : null;
  if (!wanted || !panel) return null;
  const ownRegulator = wanted.into === 'bank';
  const trouble = ownRegulator === wanted.regulated ? null : wanted.regulated ? 'two regulators' : 'no regulator';
  const yieldShared = ownRegulator || !roof ? 1 : sharedRegulatorYield([panel, ...Array<PanelPart>(design.supply.sun.count).fill(roof)]);
  const out = (h: number): number => (h >= OUT_FROM_H && h < OUT_FROM_H + wanted.hours ? 1 : 0);
  return { panel, ownRegulator, trouble, yieldShared, clearDayW: clearDayWatts(panel.ratedW, climate).map((w, h) => (trouble ? 0 : w * out(h))) };
}

/** The array of a design; null while no panel is chosen. */
export function arrayOf(design: Design, catalogue: Catalogue): SolarArray | null {
  const { sun, houseV, isolation } = design.supply;
  const climate = climateOf(design.brief.trip);
  const roof = catalogue.find('panel', sun.panel);
  const portable = portableOf(design, catalogue, roof, climate);
  const panel = roof ?? portable?.panel;
  if (!panel) return null;
  const count = roof ? sun.count : 0;
  const inSeries = Math.min(sun.inSeries, Math.max(1, count));
  const strings = Math.max(1, Math.floor(count / inSeries));
  const controller = catalogue.find('solar-controller', sun.controller);
  const charger = isolation === 'dcdc' ? catalogue.find('dcdc', design.supply.dcdc) : null;
  const input = controller ? null : (charger?.sunInput ?? null);
  const ratedW = panel.ratedW * strings * inSeries * (roof ? 1 : 0);
  const pwm = controller?.way === 'pwm';
  const lossIn = (month: number): number => pwmLossOf(panel, inSeries, houseV, climateOf(design.brief.trip, month).ambientC);
  const pwmLoss = pwm ? lossIn(climate.month) : 0;
  const shadeYield = inSeries > 1 ? seriesShadeYield(sun.shade, inSeries) : 1 - sun.shade;
  const chargerA = charger ? charger.outputA * halfOf(charger, design.supply.dcdcHalf) : 0;
  const regulated = controller !== null || input !== null;
  const kept = regulated ? shadeYield * (1 - pwmLoss) * (portable && !portable.ownRegulator ? portable.yieldShared : 1) : 0;
  return {
    panel,
    count,
    inSeries,
    controller,
    throughCharger: input !== null,
    sunInput: input,
    ratedW,
    iscA: panel.iscA * strings,
    coldOpenV: coldestOpenV(panel.vocV, inSeries, climate.coldestOfYearC),
    coldestC: climate.coldestOfYearC,
    limitV: controller?.maxV ?? input?.maxV ?? null,
    maxA: controller?.maxA ?? (input ? Math.min(input.maxA, chargerA) : null),
    pwmLoss,
    pwmLossByMonth: Array.from({ length: 12 }, (_, m) => lossIn(m + 1)),
    shadeYield,
    panelFuseFromA: strings > 1 ? PANEL_FUSE * panel.iscA : null,
    clearDayW: clearDayWatts(ratedW, climate).map((w) => w * kept),
    portable,
  };
}

/** Watts offered in each hour of a clear day: the roof's, and the portable panel's where the day is parked. */
export function offeredDayW(array: SolarArray, parked: boolean): readonly number[] {
  const { portable } = array;
  if (!portable || !parked) return array.clearDayW;
  const regulated = portable.ownRegulator || array.controller !== null || array.throughCharger;
  const share = regulated ? portable.yieldShared : 0;
  return array.clearDayW.map((w, h) => w + portable.clearDayW[h]! * share);
}

import type { Catalogue, PanelPart, PartOf } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { clearDayWatts, coldestOpenV, pwmLossFraction } from './sun.js';

/** Kelvin by which the coldest morning lies below the trip's mean. */
export const COLDEST_BELOW_K = 15;
/** Share of the clear sky that an ordinary day gives, for planning. */
export const PLANNING_CLEARNESS = 0.75;
const PANEL_FUSE = 1.56;

/** The panels with what regulates them. */
export interface SolarArray {
  readonly panel: PanelPart;
  readonly count: number;
  readonly controller: PartOf<'solar-controller'> | null;
  /** The charger's own sun input regulates. */
  readonly throughCharger: boolean;
  readonly ratedW: number;
  readonly iscA: number;
  readonly coldOpenV: number;
  readonly limitV: number | null;
  /** Most the regulator passes to the bank, A. */
  readonly maxA: number | null;
  readonly pwmLoss: number;
  /** Least fuse for each panel of a parallel group, A; null for a lone panel. */
  readonly panelFuseFromA: number | null;
  /** Watts to the bank in each hour of a clear day, before the controller's own loss. */
  readonly clearDayW: readonly number[];
}

/** The array of a design; null while no panel is chosen. Panels are in parallel. */
export function arrayOf(design: Design, catalogue: Catalogue): SolarArray | null {
  const { sun } = design.supply;
  const panel = catalogue.find('panel', sun.panel);
  if (!panel) return null;
  const { trip } = design.brief;
  const controller = catalogue.find('solar-controller', sun.controller);
  const charger = design.supply.isolation === 'dcdc' ? catalogue.find('dcdc', design.supply.dcdc) : null;
  const input = controller ? null : (charger?.sunInput ?? null);
  const ratedW = panel.ratedW * sun.count;
  const pwmLoss = controller?.way === 'pwm' ? pwmLossFraction(panel.vmpV, trip.ambientC + 20, 13.2) : 0;
  const regulated = controller !== null || input !== null;
  return {
    panel,
    count: sun.count,
    controller,
    throughCharger: input !== null,
    ratedW,
    iscA: panel.iscA * sun.count,
    coldOpenV: coldestOpenV(panel.vocV, 1, trip.ambientC - COLDEST_BELOW_K),
    limitV: controller?.maxV ?? input?.maxV ?? null,
    maxA: controller?.maxA ?? (input && charger ? Math.min(input.maxA, charger.outputA) : null),
    pwmLoss,
    panelFuseFromA: sun.count > 1 ? PANEL_FUSE * panel.iscA : null,
    clearDayW: regulated ? clearDayWatts(ratedW, { latitudeDeg: trip.latitudeDeg, month: trip.month, ambientC: trip.ambientC }).map((w) => w * (1 - pwmLoss)) : Array<number>(24).fill(0),
  };
}

import { portsOf, type Catalogue } from '../catalogue/index.js';
import { copyDesign, type Design, supplyOf } from '../design/index.js';
import { dcdcsOf } from '../supply/index.js';
import { simulateDesign } from './trip-job.js';

/** One way to bring the sun in, with what the trip gets by it. */
export interface SunWay {
  readonly way: 'through the charger' | 'own controller';
  readonly parts: string;
  readonly chosen: boolean;
  readonly sunAh: number;
  readonly vehicleAh: number;
  /** Kept out by a limit in amps. */
  readonly clippedAh: number;
  readonly lowestSoc: number;
}

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

function tried(design: Design, catalogue: Catalogue, way: SunWay['way'], parts: string, chosen: boolean): SunWay {
  const r = simulateDesign(design, catalogue);
  return { way, parts, chosen, sunAh: sum(r?.sunAh ?? []), vehicleAh: sum(r?.alternatorAh ?? []), clippedAh: sum(r?.clippedAh ?? []), lowestSoc: r?.minSoc ?? 0 };
}

/** Smallest MPPT controller for the panels. */
function controllerFor(design: Design, catalogue: Catalogue): string {
  const panel = catalogue.find('panel', supplyOf(design).sun.panel);
  const wantA = panel ? (panel.ratedW * supplyOf(design).sun.count) / (14 * (design.supply.houseV / 12)) : 0;
  const fit = catalogue
    .usual('solar-controller')
    .filter((c) => c.way === 'mppt')
    .sort((a, b) => a.maxA - b.maxA);
  return (fit.find((c) => c.maxA >= wantA) ?? fit.at(-1))!.id;
}

/** The trip with one box for vehicle and sun, and with two: both simulated; empty where a charger or panels are missing. */
export function sunWays(design: Design, catalogue: Catalogue): readonly SunWay[] {
  const charger = dcdcsOf(design, catalogue)[0];
  if (!charger || !catalogue.find('panel', supplyOf(design).sun.panel)) return [];
  const own = copyDesign(design);
  supplyOf(own).sun.controller ??= controllerFor(design, catalogue);
  const controller = catalogue.find('solar-controller', supplyOf(own).sun.controller)!;
  const through = copyDesign(design);
  supplyOf(through).sun.controller = null;
  const { part, port } = charger;
  const dual = portsOf(part).sunIn ? part : catalogue.usual('dcdc').find((p) => p.sunInput && p.outputA >= port.outputA && p.inputV === port.inputV && p.outputV === port.outputV);
  if (dual) supplyOf(through).dcdc = dual.id;
  const ownNow = supplyOf(design).sun.controller !== null;
  return [
    ...(dual ? [tried(through, catalogue, 'through the charger', dual.name, !ownNow && dual.id === supplyOf(design).dcdc)] : []),
    tried(own, catalogue, 'own controller', `${part.name} and ${controller.name}`, ownNow),
  ];
}

import { CHEMISTRY, chargerInputW, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import { inverterInputW } from '../loads/index.js';
import { alternatorBudget, type AlternatorBudget } from './alternator.js';
import type { SolarArray } from './array.js';
import type { Bank } from './bank.js';
import { runtimeH } from './battery.js';
import { hoursToFull } from './charge-time.js';
import { MPPT_YIELD } from './sun.js';
import { decideIsolation, type IsolationDecision } from './isolation.js';

/** An inverter against the bank that feeds it. */
export interface InverterCheck {
  readonly ratedW: number;
  readonly surgeW: number;
  /** Current at rated output and at surge, at the disconnect's volts, A. */
  readonly currentA: number;
  readonly surgeA: number;
  readonly limitA: number;
  readonly peakLimitA: number;
  readonly holds: boolean;
  readonly surgeHolds: boolean;
}

export interface ChargeWay {
  readonly from: 'driving' | 'mains';
  readonly chargerA: number;
  /** Hours from the bottom of the usable share to full, loads off. */
  readonly hours: number;
}

export interface SupplyFigures {
  readonly bank: Bank | null;
  readonly array: SolarArray | null;
  readonly isolation: IsolationDecision;
  readonly alternator: AlternatorBudget;
  /** Days the usable charge lasts with nothing coming in; Infinity without loads. */
  readonly daysAlone: number;
  /** Hours at the day's mean current, by Peukert on the whole bank. */
  readonly meanRuntimeH: number;
  readonly charging: readonly ChargeWay[];
  readonly inverter: InverterCheck | null;
  readonly sunAhClearDay: number;
}

/** Volts at a charger's input while the engine runs, for the alternator's budget. */
const RUNNING_V = 13.8;

function vehicleChargerA(design: Design, catalogue: Catalogue, bank: Bank): { readonly outA: number; readonly inA: number } {
  const { supply, brief } = design;
  const dcdc = supply.isolation === 'dcdc' ? catalogue.find('dcdc', supply.dcdc) : null;
  if (dcdc) return { outA: dcdc.outputA, inA: chargerInputW(dcdc, bank.absorptionV) / (RUNNING_V * (brief.vehicleV / 12)) };
  const isolator = supply.isolation === 'isolator' ? catalogue.find('isolator', supply.isolator) : null;
  const outA = isolator ? Math.min(bank.maxChargeA, 0.8 * isolator.ratedA) : 0;
  return { outA, inA: outA };
}

function inverterCheck(design: Design, catalogue: Catalogue, bank: Bank): InverterCheck | null {
  const part = catalogue.find('inverter', design.supply.inverter);
  if (!part) return null;
  const currentA = inverterInputW(part.ratedW, part.ratedW) / bank.openV;
  const surgeA = inverterInputW(part.surgeW, part.ratedW) / bank.openV;
  return {
    ratedW: part.ratedW,
    surgeW: part.surgeW,
    currentA,
    surgeA,
    limitA: bank.continuousA,
    peakLimitA: bank.peakA,
    holds: currentA <= bank.continuousA + 1e-9,
    surgeHolds: surgeA <= bank.peakA + 1e-9,
  };
}

/** Everything about what feeds the loads. */
export function supplyFigures(design: Design, catalogue: Catalogue, day: DayFigures, bank: Bank | null, array: SolarArray | null): SupplyFigures {
  const vehicle = bank ? vehicleChargerA(design, catalogue, bank) : { outA: 0, inA: 0 };
  const mains = catalogue.find('mains-charger', design.supply.mains.charger);
  const floor = bank ? 1 - bank.usableShare : 0;
  const charging: ChargeWay[] = [];
  if (bank && vehicle.outA > 0) charging.push({ from: 'driving', chargerA: vehicle.outA, hours: hoursToFull(bank, floor, vehicle.outA) });
  if (bank && mains) charging.push({ from: 'mains', chargerA: mains.outputA, hours: hoursToFull(bank, floor, mains.outputA) });
  return {
    bank,
    array,
    isolation: decideIsolation(design, bank),
    alternator: alternatorBudget(design.brief.alternator.ratedA, vehicle.inA),
    daysAlone: bank && day.ahDay > 0 ? bank.usableAh / day.ahDay : Infinity,
    meanRuntimeH: bank && day.ahDay > 0 ? runtimeH(bank.capacityAh, CHEMISTRY[bank.part.chemistry].peukert, day.ahDay / 24) : Infinity,
    charging,
    inverter: bank ? inverterCheck(design, catalogue, bank) : null,
    sunAhClearDay: bank && array ? (array.clearDayW.reduce((a, b) => a + b, 0) * MPPT_YIELD) / bank.nominalV : 0,
  };
}

import { invertersOf } from '../plant/index.js';
import { inverterInputW, CHEMISTRY, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import { alternatorBudget, idleMinutes, type AlternatorBudget, type AlternatorWants } from './alternator.js';
import { offeredDayW, type SolarArray } from './array.js';
import { selectedBankOf, type Bank } from './bank.js';
import { runtimeH } from './battery.js';
import { hoursToFull } from './charge-time.js';
import { chargersOf, leadChargersOf, mainsChargersOf, sharing, vehicleChargeA, type Sharing } from './chargers.js';
import { daysToNoCrank, engineOffDrains, type Drain } from './drains.js';
import { decideIsolation, type IsolationDecision } from './isolation.js';
import { bankLife, type BankLife } from './life.js';
import { parallelChecks, type ParallelCheck } from './paralleling.js';
import { settingsSheet, type DeviceSetting } from './settings-sheet.js';
import { lostFunctions, type LostFunction } from './successors.js';
import { MPPT_YIELD } from './sun.js';
import { traceOf, type TraceFigures } from './trace.js';
import { watchingPlan, type Watched } from './watching.js';

/** The inverters together against the bank that feeds them. */
export interface InverterCheck {
  readonly count: number;
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
  readonly from: 'driving' | 'mains' | 'lead';
  readonly chargerA: number;
  /** Hours from the bottom of the usable share to full, loads off. */
  readonly hours: number;
}

/** When a way of charging charges, in words. */
export const CHARGED_WHILE: Readonly<Record<ChargeWay['from'], string>> = { driving: 'driving', mains: 'on mains', lead: 'on the lead' };

/** Everything that charges at once, as the bank lets it, A, and hours from the bottom of the usable share to full. */
export interface AllTogether {
  readonly amps: number;
  readonly hours: number;
}

export interface SupplyFigures {
  readonly bank: Bank | null;
  readonly second: Bank | null;
  readonly life: BankLife | null;
  /** The first panels, and all by what regulates them. */
  readonly array: SolarArray | null;
  readonly arrays: readonly SolarArray[];
  readonly isolation: IsolationDecision;
  readonly trace: TraceFigures;
  readonly alternator: AlternatorBudget;
  /** Minutes at idle that the starting battery lends what the alternator lacks; Infinity: it lacks nothing. */
  readonly idleMinutes: number;
  /** Days the usable charge lasts parked, with nothing coming in; Infinity without loads. */
  readonly daysAlone: number;
  /** Hours at the day's mean current, by Peukert on the whole bank. */
  readonly meanRuntimeH: number;
  readonly charging: readonly ChargeWay[];
  readonly sharing: readonly Sharing[];
  /** Null where one thing charges, or none. */
  readonly together: AllTogether | null;
  /** Clear parked days on sun alone from the bottom of the usable share to full; Infinity: they draw more than the sun brings; null: no sun. */
  readonly sunDaysToFull: number | null;
  readonly inverter: InverterCheck | null;
  /** The same with a second bank in use. */
  readonly inverterOnSecond: InverterCheck | null;
  readonly sunAhClearDay: number;
  /** Of a clear day, Ah that a limit in amps keeps out. */
  readonly clippedAhClearDay: number;
  readonly drains: readonly Drain[];
  readonly daysToNoCrank: number;
  readonly lost: readonly LostFunction[];
  readonly parallel: readonly ParallelCheck[];
  readonly settings: readonly DeviceSetting[];
  readonly watched: readonly Watched[];
}

/** All inverters at once; at surge the one that starts hardest, with the others at their rating. */
function inverterCheck(design: Design, catalogue: Catalogue, bank: Bank): InverterCheck | null {
  const parts = invertersOf(design, catalogue).map((i) => i.ports.mainsOut);
  if (!parts.length) return null;
  const ratedW = parts.reduce((sum, p) => sum + p.ratedW, 0);
  const inW = parts.reduce((sum, p) => sum + inverterInputW(p.ratedW, p.ratedW), 0);
  const moreW = (p: (typeof parts)[number]): number => inverterInputW(p.surgeW, p.ratedW) - inverterInputW(p.ratedW, p.ratedW);
  const hardest = parts.reduce((a, b) => (moreW(b) > moreW(a) ? b : a));
  const currentA = inW / bank.openV;
  const surgeA = (inW + moreW(hardest)) / bank.openV;
  return {
    count: parts.length,
    ratedW,
    surgeW: ratedW - hardest.ratedW + hardest.surgeW,
    currentA,
    surgeA,
    limitA: bank.continuousA,
    peakLimitA: bank.peakA,
    holds: currentA <= bank.continuousA + 1e-9,
    surgeHolds: surgeA <= bank.peakA + 1e-9,
  };
}

function chargeWays(design: Design, catalogue: Catalogue, bank: Bank, vehicleA: number): readonly ChargeWay[] {
  const mainsA = mainsChargersOf(design, catalogue).reduce((s, m) => s + m.outputA, 0);
  const floor = 1 - bank.usableShare;
  const way = (from: ChargeWay['from'], chargerA: number): ChargeWay => ({ from, chargerA, hours: hoursToFull(bank, floor, chargerA) });
  const leadA = leadChargersOf(design, catalogue).reduce((s, { port, share }) => s + port.outputA * share, 0);
  return [...(vehicleA > 0 ? [way('driving', vehicleA)] : []), ...(mainsA > 0 ? [way('mains', mainsA)] : []), ...(leadA > 0 ? [way('lead', leadA)] : [])];
}

/** What several chargers come to together. */
export function togetherOf(bank: Bank, shares: readonly Sharing[]): AllTogether | null {
  const amps = shares.reduce((s, c) => s + c.togetherA, 0);
  return shares.length > 1 && amps > 0 ? { amps, hours: hoursToFull(bank, 1 - bank.usableShare, amps) } : null;
}

function sunDays(bank: Bank | null, sunAhDay: number, drawnAhDay: number): number | null {
  if (!bank || sunAhDay <= 0) return null;
  const left = sunAhDay - drawnAhDay;
  return left > 0 ? bank.usableAh / (left * CHEMISTRY[bank.part.chemistry].coulombic) : Infinity;
}

/** What all that hangs on the alternator wants: this design's chargers and those of others. */
export const allWanted = (own: AlternatorWants, { supply }: Design): AlternatorWants => ({ idleA: own.idleA + supply.otherChargersA, roadA: own.roadA + supply.otherChargersA });

/** Everything about what feeds the loads; `parked` is a day without driving. */
export function supplyFigures(design: Design, catalogue: Catalogue, day: DayFigures, parked: DayFigures, bank: Bank | null, arrays: readonly SolarArray[]): SupplyFigures {
  const parkedAhDay = parked.ahDay;
  const trace = traceOf(design, catalogue);
  const vehicle = bank ? vehicleChargeA(design, catalogue, bank) : { outA: 0, wanted: { idleA: 0, roadA: 0 } };
  const { alternator } = design.brief;
  const second = selectedBankOf(design, catalogue);
  const usableAh = (bank?.usableAh ?? 0) + (second?.usableAh ?? 0);
  const mostW = (a: SolarArray): number => (bank && a.maxA ? a.maxA * bank.absorptionV : Infinity);
  const sunAh = (of: (w: number, most: number) => number): number =>
    bank ? arrays.reduce((s, a) => s + offeredDayW(a, true).reduce((t, w) => t + of(w * MPPT_YIELD, mostW(a)), 0), 0) / bank.nominalV : 0;
  const drains = engineOffDrains(design, catalogue, bank, parked);
  const chargers = bank ? chargersOf(design, catalogue, bank, arrays) : [];
  const shares = bank && chargers.length > 1 ? sharing(bank, 0.5, chargers) : [];
  const sunAhClearDay = sunAh((w, most) => Math.min(w, most));
  const budget = alternatorBudget(alternator.ratedA, allWanted(vehicle.wanted, design), alternator.vehicleA ?? undefined);
  return {
    bank,
    second,
    life: bank && bankLife(bank),
    array: arrays[0] ?? null,
    arrays,
    isolation: decideIsolation(design, catalogue, bank),
    trace,
    alternator: budget,
    idleMinutes: idleMinutes(design.supply.startingAh, budget.shortAtIdleA),
    daysAlone: bank && parkedAhDay > 0 ? usableAh / parkedAhDay : Infinity,
    meanRuntimeH: bank && day.ahDay > 0 ? runtimeH(bank.capacityAh, CHEMISTRY[bank.part.chemistry].peukert, day.ahDay / 24) : Infinity,
    charging: bank ? chargeWays(design, catalogue, bank, vehicle.outA) : [],
    sharing: shares,
    together: bank && togetherOf(bank, shares),
    sunDaysToFull: sunDays(bank, sunAhClearDay, parkedAhDay),
    inverter: bank ? inverterCheck(design, catalogue, bank) : null,
    inverterOnSecond: second && inverterCheck(design, catalogue, second),
    sunAhClearDay,
    clippedAhClearDay: sunAh((w, most) => Math.max(0, w - most)),
    drains,
    daysToNoCrank: daysToNoCrank(design, catalogue, drains),
    lost: lostFunctions(design, catalogue),
    parallel: parallelChecks(design, catalogue),
    settings: settingsSheet(design, catalogue, bank, arrays),
    watched: watchingPlan(design, catalogue, bank, arrays),
  };
}

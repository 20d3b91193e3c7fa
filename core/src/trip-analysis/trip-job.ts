import { hoursWithin, spansTogether, type HourSpan } from '../loads/index.js';
import { CHEMISTRY, type Catalogue } from '../catalogue/index.js';
import { asOfNow, type Design } from '../design/index.js';
import {
  alternatorOf,
  alternatorTrace,
  bankOf,
  closedShare,
  leadChargersOf,
  mainsChargersOf,
  offeredDayW,
  arraysOf,
  passesA,
  distributionOf,
  selectedBankOf,
  tripShare,
  vehicleChargeA,
  type Bank,
  type SolarArray,
} from '../supply/index.js';
import { plant } from '../plant/index.js';
import { airByHour, climateOf, drivingSpans, mainsSpans } from '../travel/index.js';
import { simulateJob, type DayOffer, type SharedWay, type TripJob, type TripLoad, type TripResult } from '../trip/index.js';
import { dayKinds, inletHours, loadsByDay, type LoadsOf } from './days.js';

/** Steps of a trip, s: fine where the trip is short enough to follow typing, coarser for long ones. */
const FINE_S = 60;
const COARSE_S = 300;
const FINE_UP_TO_DAYS = 14;
/** A charger that goes by volts starts above, and stops below, these at the starting battery (per 12 V). */
const BY_VOLTS = { closeV: 13.2, closeAfterS: 10, openV: 12.7, openAfterS: 30 } as const;

export interface TripOptions {
  readonly stepS?: number;
  readonly oneByOne?: boolean;
}

/** Share of the driving in which a charger is on: all of it with a wire, what the volts allow without. */
function triggeredShare(design: Design, charger: string): number {
  if (design.converters[charger]?.trigger !== 'volts') return 1;
  const scale = design.brief.vehicleV / 12;
  return closedShare(alternatorTrace(alternatorOf(design), design.brief.vehicleV), { ...BY_VOLTS, closeV: BY_VOLTS.closeV * scale, openV: BY_VOLTS.openV * scale });
}

/** Panels in the order in which a trip takes them: those that share a charger's output with the vehicle first. */
export const inTripOrder = (arrays: readonly SolarArray[]): readonly SolarArray[] => [...arrays].sort((a, b) => Number(b.throughCharger) - Number(a.throughCharger));

function offersOn(design: Design, catalogue: Catalogue, bank: Bank, arrays: readonly SolarArray[], vehicleA: number, [drivingH, mainsH]: readonly [number, number], loadsOf: LoadsOf): DayOffer {
  const perBlock = 1 / bank.inSeries;
  const day = loadsOf(drivingH, mainsH);
  const drawn = day.loads.flatMap((l): TripLoad[] => [
    ...(l.runningW > 0 && l.duty > 0
      ? [{ id: l.id, kind: l.kind, value: l.kind === 'power' ? l.runningW * perBlock : l.runningA, duty: l.duty, hours: l.spans.map(([a, b]): [number, number] => [a, b]), critical: l.critical }]
      : []),
    ...(l.standbyW > 0 ? [{ id: `${l.id} waiting`, kind: 'power' as const, value: l.standbyW * perBlock, duty: 1, hours: [[0, 24]] as [number, number][], critical: false }] : []),
  ]);
  const gear: TripLoad[] = day.gearWh > 0 ? [{ id: 'gear', kind: 'power', value: (day.gearWh / 24) * perBlock, duty: 1, hours: [[0, 24]], critical: false }] : [];
  const driveHours = drivingSpans(drivingH);
  const [first, ...others] = arrays;
  const leads = leadsOf(design, catalogue);
  // A charger that takes panels too is full of what its lead brings.
  const leadHours = (a: SolarArray): readonly HourSpan[] => (a.throughCharger ? (leads.find((l) => l.unit === a.regulator?.id)?.hours ?? []) : []);
  const wattsOf = (a: SolarArray): readonly number[] => offeredDayW(a, drivingH === 0).map((w, h) => (hoursWithin(leadHours(a), h, h + 1) > 0 ? 0 : w * perBlock));
  // A further charger that takes panels too is full of what the vehicle gives it while that drives.
  const driven = (h: number): boolean => driveHours.some(([from, to]) => h + 1 > from && h < to);
  return {
    loads: [...drawn, ...gear],
    alternatorA: vehicleA,
    driveHours,
    mainsA: mainsA(design, catalogue, bank),
    mainsHours: [...spansTogether(mainsSpans(mainsH), inletHours(design))],
    leads,
    sunWatts: first ? wattsOf(first) : null,
    besideW: others.map((a) => wattsOf(a).map((w, h) => (a.throughCharger && vehicleA > 0 && driven(h) ? 0 : w))),
  };
}

/** What leads from other banks bring in the air of the trip, each in the hours of its inlet. */
export const leadsOf = (design: Design, catalogue: Catalogue): readonly { readonly unit: string; readonly amps: number; readonly hours: [number, number][] }[] =>
  leadChargersOf(design, catalogue).map((c) => ({ unit: c.id, amps: c.port.outputA * c.share * tripShare(design, c), hours: design.inlets[c.from.id]?.hours ?? [] }));

/** What all that charges from the mains gives in the air of the trip, A. */
function mainsA(design: Design, catalogue: Catalogue, bank: Bank): number {
  const { converters } = plant(design, catalogue);
  return mainsChargersOf(design, catalogue)
    .filter((m) => m.outputV === bank.nominalV)
    .reduce(
      (s, m) =>
        s +
        m.outputA *
          tripShare(
            design,
            converters.find((c) => c.ref.id === m.unit)!,
          ),
      0,
    );
}

function sharedOutput(first: SolarArray | undefined, vehicleA: number): { readonly outputA: number; readonly way: SharedWay } | null {
  return first?.throughCharger && vehicleA > 0 ? { outputA: vehicleA, way: first.sunInput?.beside ?? 'sun first' } : null;
}

/**
 * A design's trip, ready for the model: its days in their order, its own month's sky. The model is per 12 V block, so a
 * 24 V bank is one such block with half the watts at the same amps. `loadsOf`: its loads by kind of day, where somebody asks for
 * them too.
 */
export function tripJob(design: Design, catalogue: Catalogue, bank: Bank, arrays: readonly SolarArray[], options: TripOptions = {}, loadsOf: LoadsOf = loadsByDay(design, catalogue)): TripJob {
  const { trip } = design.brief;
  const climate = climateOf(trip);
  const { kinds, kindOfDay } = dayKinds(trip);
  const vehicle = vehicleChargeA(design, catalogue, bank, (id) => triggeredShare(design, id)).outA;
  const second = selectedBankOf(design, catalogue);
  const figures = CHEMISTRY[bank.part.chemistry];
  const [first, ...others] = inTripOrder(arrays);
  return {
    stepS: options.stepS ?? (trip.days <= FINE_UP_TO_DAYS ? FINE_S : COARSE_S),
    days: trip.days,
    bank: { chemistry: bank.part.chemistry, capacityAh: bank.capacityAh, startSoc: 1 },
    second: second && { chemistry: second.part.chemistry, capacityAh: second.capacityAh, startSoc: 1 },
    chargesApart: second !== null && distributionOf(design, catalogue).chargingSelector !== null,
    cutoff: { openV: figures.disconnectV, closeV: bank.closeV / bank.inSeries },
    reserveSoc: 1 - bank.usableShare,
    kinds: kinds.map((k) => offersOn(design, catalogue, bank, inTripOrder(arrays), vehicle, [k.drivingH, k.mainsH], loadsOf)),
    kindOfDay,
    clearness: Array<number>(trip.days).fill(climate.clearness),
    sunMaxA: first ? passesA(first) : null,
    beside: others.map((a) => ({ maxA: passesA(a), startBelow: a.startBelow })),
    shared: sharedOutput(first, vehicle),
    startBelow: first?.startBelow ?? null,
    ambientC: climate.ambientC,
    airByHour: airByHour(climate),
    oneByOne: options.oneByOne ?? false,
  };
}

/** The job of a design as it stands; null without a battery. */
export function jobOfDesign(whole: Design, catalogue: Catalogue, options: TripOptions = {}): TripJob | null {
  const design = asOfNow(whole);
  const bank = bankOf(design, catalogue);
  return bank ? tripJob(design, catalogue, bank, arraysOf(design, catalogue), options) : null;
}

/** The trip of a design in its month's mean weather; null without a battery. */
export function simulateDesign(design: Design, catalogue: Catalogue, options: TripOptions = {}): TripResult | null {
  const job = jobOfDesign(design, catalogue, options);
  return job && simulateJob(job);
}

import type { TripInput } from './input.js';
import type { TripJob } from './job.js';
import { planTrip, type TripPlan } from './plan.js';
import { CAUSES, type Cause, LEDGER, runTrip, tripLog, type TripLog } from './run.js';

export interface TripResult {
  readonly finalSoc: number;
  readonly minSoc: number;
  /** Hours since the start at which the lowest charge was reached. */
  readonly minSocAtH: number;
  readonly endOfDaySoc: readonly number[];
  /** Ah by day. */
  readonly loadAh: readonly number[];
  readonly sunAh: readonly number[];
  readonly alternatorAh: readonly number[];
  readonly mainsAh: readonly number[];
  /** Sun that a limit in amps kept out, and sun that found the battery full or not taking it, Ah by day. */
  readonly clippedAh: readonly number[];
  readonly spareAh: readonly number[];
  /** Energy of the whole trip, Wh: given by the sources, used by the loads, stored in the battery, lost in it. */
  readonly energy: { readonly givenWh: number; readonly usedWh: number; readonly storedWh: number; readonly lostWh: number };
  readonly belowReserveH: number;
  /** Hours in which the bank was too cold or too hot to be charged. */
  readonly lockedH: number;
  readonly criticalOffH: number;
  /** When a critical load first went off, hours since the start, and why; null: never. */
  readonly firstOff: { readonly atH: number; readonly cause: Cause } | null;
  readonly disconnectOperations: number;
  /** How often somebody turns the selector of two banks, and that of the chargers where they have one. */
  readonly turns: { readonly loads: number; readonly charging: number };
  /** State of charge at each full hour, the start included; for pictures. */
  readonly hourlySoc: readonly number[];
}

/** Day of the trip, from 1, in which a step ended at so many hours since the start. @example dayOfTrip(144) // 6 */
export function dayOfTrip(atH: number): number {
  return Math.max(1, Math.ceil(atH / 24 - 1e-9));
}

const column = (p: TripPlan, log: TripLog, of: (typeof LEDGER)[number]): number[] => Array.from({ length: p.days }, (_, d) => log.ledger[d * LEDGER.length + LEDGER.indexOf(of)]!);

const total = (p: TripPlan, log: TripLog, of: (typeof LEDGER)[number]): number => column(p, log, of).reduce((a, b) => a + b, 0);

function resultOf(p: TripPlan, log: TripLog): TripResult {
  const hourlySoc = [...log.hourlySoc];
  return {
    finalSoc: hourlySoc.at(-1)!,
    minSoc: log.minSoc,
    minSocAtH: log.minSocAtH,
    endOfDaySoc: Array.from({ length: p.days }, (_, d) => hourlySoc[24 * (d + 1)]!),
    loadAh: column(p, log, 'load'),
    sunAh: column(p, log, 'sun'),
    alternatorAh: column(p, log, 'alternator'),
    mainsAh: column(p, log, 'mains'),
    clippedAh: column(p, log, 'clipped'),
    spareAh: column(p, log, 'spare'),
    energy: { givenWh: total(p, log, 'givenWh'), usedWh: total(p, log, 'usedWh'), storedWh: total(p, log, 'storedWh'), lostWh: total(p, log, 'lostWh') },
    belowReserveH: log.belowReserveH,
    lockedH: log.lockedH,
    criticalOffH: log.criticalOffH,
    firstOff: log.firstOffH < 0 ? null : { atH: log.firstOffH, cause: CAUSES[log.firstCause]! },
    disconnectOperations: log.operations,
    turns: { loads: log.turnsOfLoads, charging: log.turnsOfCharge },
    hourlySoc,
  };
}

/** One trip in the weather it names. */
export function simulateJob(job: TripJob): TripResult {
  const plan = planTrip(job);
  const log = tripLog(plan);
  runTrip(plan, job.clearness, 0, log);
  return resultOf(plan, log);
}

/** The fixed-step model's input as a job of one kind of day. */
export function jobOf(input: TripInput): TripJob {
  const { battery, alternator, mains } = input;
  return {
    stepS: input.stepS,
    days: input.days,
    bank: { chemistry: battery.chemistry, capacityAh: battery.capacityAh, startSoc: battery.startSoc },
    second: null,
    chargesApart: false,
    cutoff: input.cutoff,
    reserveSoc: input.reserveSoc,
    kinds: [
      {
        loads: input.loads,
        alternatorA: alternator ? alternator.ratedA * alternator.setting : 0,
        driveHours: alternator?.driveHours ?? [],
        mainsA: mains?.ratedA ?? 0,
        mainsHours: mains?.hours ?? [],
        sunWatts: input.sunWatts,
        besideW: [],
      },
    ],
    kindOfDay: Array<number>(input.days).fill(0),
    clearness: Array.from({ length: input.days }, (_, d) => input.clearness?.[d] ?? 1),
    sunMaxA: input.sunMaxA ?? null,
    beside: [],
    shared: null,
    startBelow: null,
    ambientC: battery.ambientC,
    airByHour: null,
    oneByOne: false,
  };
}

/**
 * A trip, stepped with a fixed step: charge over the days, what each source gave, and when critical loads were off.
 * @example simulateTrip(input).minSoc // 0.543561
 */
export function simulateTrip(input: TripInput): TripResult {
  return simulateJob(jobOf(input));
}

import { CHEMISTRY, restV, type Chemistry } from '../catalogue/index.js';
import type { SharedWay, TripBank, TripJob } from './job.js';
import { dayProfile, type DayProfile } from './profile.js';

/** Steps of the resting-volts table: every chemistry's points lie on whole hundredths. */
const GRID = 100;

/** Constants of one bank, as the stepping wants them. */
export interface BankPlan {
  readonly capacityAh: number;
  readonly startSoc: number;
  readonly ohm: number;
  readonly chargeOhm: number;
  readonly absorptionV: number;
  readonly mostA: number;
  readonly taperH: number;
  readonly coulombic: number;
  readonly coldC: number;
  readonly hotC: number;
  /** Resting volts = base + slope · soc, by hundredth of charge. */
  readonly baseV: Float64Array;
  readonly slopeV: Float64Array;
}

/** A trip with everything that does not change from step to step worked out once. */
export interface TripPlan {
  readonly days: number;
  readonly stepS: number;
  readonly kH: number;
  readonly stepsPerDay: number;
  readonly stepsPerHour: number;
  readonly banks: readonly BankPlan[];
  readonly chargesApart: boolean;
  readonly openV: number;
  readonly closeV: number;
  readonly reserveSoc: number;
  readonly profiles: readonly DayProfile[];
  readonly kindOfDay: readonly number[];
  readonly sunMaxA: number;
  readonly beside: readonly { readonly maxA: number; readonly startBelow: number }[];
  readonly sharedA: number;
  readonly sharedWay: SharedWay;
  /** 2: the sun is always let in. */
  readonly startBelow: number;
  readonly ambientC: number;
  readonly airByHour: readonly number[] | null;
}

function restingTable(chemistry: Chemistry): Pick<BankPlan, 'baseV' | 'slopeV'> {
  const [baseV, slopeV] = [new Float64Array(GRID), new Float64Array(GRID)];
  const { soc: points } = CHEMISTRY[chemistry];
  for (let i = 0; i < GRID; i++) {
    const middle = (i + 0.5) / GRID;
    const above = points.findIndex(([s]) => s > middle);
    const [[s0, v0], [s1, v1]] = [points[above - 1]!, points[above]!];
    slopeV[i] = (v1 - v0) / (s1 - s0);
    baseV[i] = restV(chemistry, middle) - slopeV[i]! * middle;
  }
  return { baseV, slopeV };
}

/** Constants of a bank of one 12 V block. */
export function bankPlan(bank: TripBank): BankPlan {
  const f = CHEMISTRY[bank.chemistry];
  const ohm = (f.milliohmAt100Ah / 1000) * (100 / bank.capacityAh);
  return {
    capacityAh: bank.capacityAh,
    startSoc: bank.startSoc,
    ohm,
    chargeOhm: ohm * f.chargeResistance,
    absorptionV: f.absorptionV,
    mostA: f.maxChargeC * bank.capacityAh,
    taperH: f.taperH,
    coulombic: f.coulombic,
    coldC: f.chargeRangeC[0],
    hotC: f.chargeRangeC[1],
    ...restingTable(bank.chemistry),
  };
}

/** Resting volts of a planned bank. */
export function plannedRestV(bank: BankPlan, soc: number): number {
  const i = soc >= 1 ? GRID - 1 : Math.floor(soc * GRID);
  return bank.baseV[i]! + bank.slopeV[i]! * soc;
}

export function planTrip(job: TripJob): TripPlan {
  return {
    days: job.days,
    stepS: job.stepS,
    kH: job.stepS / 3600,
    stepsPerDay: 86400 / job.stepS,
    stepsPerHour: 3600 / job.stepS,
    banks: [job.bank, ...(job.second ? [job.second] : [])].map(bankPlan),
    chargesApart: job.chargesApart && job.second !== null,
    openV: job.cutoff.openV,
    closeV: job.cutoff.closeV,
    reserveSoc: job.reserveSoc,
    profiles: job.kinds.map((k) => dayProfile(k, job.stepS, job.oneByOne)),
    kindOfDay: job.kindOfDay,
    sunMaxA: job.sunMaxA ?? Infinity,
    beside: job.beside.map((b) => ({ maxA: b.maxA ?? Infinity, startBelow: b.startBelow ?? 2 })),
    sharedA: job.shared?.outputA ?? 0,
    sharedWay: job.shared?.way ?? 'sun first',
    startBelow: job.startBelow ?? 2,
    ambientC: job.ambientC,
    airByHour: job.airByHour,
  };
}

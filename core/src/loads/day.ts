import type { Load } from '../design/index.js';
import { inverterInputW } from './inverter.js';
import { dutyOf, loadSpans, spanHours, type HourSpan } from './use.js';

/** Efficiency assumed for a mains load while no inverter is chosen. */
export const NO_INVERTER_EFFICIENCY = 0.88;

/** A load as the battery sees it. */
export interface DayLoad {
  readonly id: string;
  readonly name: string;
  readonly mains: boolean;
  readonly critical: boolean;
  /** Constant current stays the same as volts fall; constant power draws more. */
  readonly kind: 'power' | 'current';
  /** Drawn from the battery while it runs, W at nominal volts, and A at nominal volts. */
  readonly runningW: number;
  readonly runningA: number;
  /** The load's own power, W: at the mains outlet for a mains load. */
  readonly ownW: number;
  readonly duty: number;
  readonly spans: readonly HourSpan[];
  readonly whDay: number;
  readonly ahDay: number;
}

export interface DayFigures {
  readonly loads: readonly DayLoad[];
  readonly whDay: number;
  readonly ahDay: number;
  /** Largest sum of loads that may run at once, with the hour in which it first happens and who takes part. */
  readonly peakW: number;
  readonly peakA: number;
  readonly peakAtH: number;
  readonly peakNames: readonly string[];
  /** Most mains power wanted at once, W. */
  readonly mainsPeakW: number;
  /** Mean watts in each hour of the day by load, in the order of `loads`. */
  readonly hourlyW: readonly (readonly number[])[];
}

/** One load through the day. `inverterW` is the rating of the inverter behind mains loads; null: none chosen. */
export function dayLoad(id: string, load: Load, nominalV: number, drivingH: number, inverterW: number | null): DayLoad {
  const mains = load.supply === 'mains';
  const acV = 230;
  const ownW = load.draw.unit === 'W' ? load.draw.value : load.draw.value * (mains ? acV : nominalV);
  const throughInverter = inverterW === null ? ownW / NO_INVERTER_EFFICIENCY : inverterInputW(ownW, inverterW);
  const runningW = mains ? (ownW > 0 ? throughInverter : 0) : ownW;
  const spans = loadSpans(load, drivingH);
  const duty = dutyOf(load, drivingH);
  const whDay = runningW * duty * spanHours(spans);
  return {
    id,
    name: load.name,
    mains,
    critical: load.critical,
    kind: load.draw.unit === 'A' && !mains ? 'current' : 'power',
    runningW,
    runningA: runningW / nominalV,
    ownW,
    duty,
    spans,
    whDay,
    ahDay: whDay / nominalV,
  };
}

function overlapH(spans: readonly HourSpan[], hour: number): number {
  return spans.reduce((sum, [from, to]) => sum + Math.max(0, Math.min(to, hour + 1) - Math.max(from, hour)), 0);
}

/** A day of all loads: energy, shape and peak. Energy = Σ power · hours · duty; Ah at nominal volts. */
export function dayFigures(loads: readonly DayLoad[], nominalV: number): DayFigures {
  const on = (l: DayLoad, h: number): boolean => l.duty > 0 && l.runningW > 0 && overlapH(l.spans, h) > 0;
  const hours = Array.from({ length: 24 }, (_, h) => h);
  const sums = hours.map((h) => loads.reduce((sum, l) => sum + (on(l, h) ? l.runningW : 0), 0));
  const mainsSums = hours.map((h) => loads.reduce((sum, l) => sum + (l.mains && on(l, h) ? l.ownW : 0), 0));
  const peakW = Math.max(0, ...sums);
  const peakAtH = Math.max(0, sums.indexOf(peakW));
  const whDay = loads.reduce((sum, l) => sum + l.whDay, 0);
  return {
    loads,
    whDay,
    ahDay: whDay / nominalV,
    peakW,
    peakA: peakW / nominalV,
    peakAtH,
    peakNames: loads.filter((l) => on(l, peakAtH)).map((l) => l.name),
    mainsPeakW: Math.max(0, ...mainsSums),
    hourlyW: loads.map((l) => hours.map((h) => l.runningW * l.duty * overlapH(l.spans, h))),
  };
}

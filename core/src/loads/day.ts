import type { DayLoad } from './day-load.js';
import { INVERTER_IDLE } from '../catalogue/index.js';
import { hoursWithin } from './spans.js';
import { largestTogether, type Wanting } from './together.js';

export interface DayFigures {
  readonly loads: readonly DayLoad[];
  /** Loads on the vehicle's own circuits: drawn from its own battery, so no part of the sums below. */
  readonly onVehicle: readonly DayLoad[];
  readonly whDay: number;
  readonly ahDay: number;
  /** Largest sum of loads that may run at once, with the hour in which it first happens and who takes part. */
  readonly peakW: number;
  readonly peakA: number;
  readonly peakAtH: number;
  readonly peakNames: readonly string[];
  /** The peak with the heaviest starter among them just starting, W. */
  readonly startPeakW: number;
  /** Most mains power wanted at once, W: of all inverters, and of each by its id. */
  readonly mainsPeakW: number;
  readonly inverterPeakW: Readonly<Record<string, number>>;
  /** Standby of all loads, and an inverter left on all day with nothing behind it, Wh. */
  readonly standbyWh: number;
  readonly inverterIdleWh: number;
  readonly elsewhereWh: number;
  /** What gear of the supply itself draws, all day long, Wh. */
  readonly gearWh: number;
  /** Mean watts in each hour of the day by load, in the order of `loads`, standby included. */
  readonly hourlyW: readonly (readonly number[])[];
}

/** A moment of the day with what may run in it. */
interface Moment {
  readonly atH: number;
  readonly watts: number;
  readonly on: readonly DayLoad[];
}

function heaviest(loads: readonly DayLoad[], watts: (l: DayLoad) => number): Moment {
  const starts = [...new Set(loads.flatMap((l) => l.spans.map(([from]) => from)))].sort((a, b) => a - b);
  let best: Moment = { atH: 0, watts: 0, on: [] };
  for (const atH of starts) {
    const on = loads.filter((l) => l.duty > 0 && watts(l) > 0 && l.spans.some(([from, to]) => from <= atH && atH < to));
    const together = largestTogether(on.map((l): Wanting => ({ id: l.id, watts: watts(l), never: l.never })));
    if (together.watts > best.watts + 1e-9) best = { atH, watts: together.watts, on: on.filter((l) => together.ids.includes(l.id)) };
  }
  return best;
}

/** A day of all loads: energy, shape and peak. Energy = Σ power · hours · duty; Ah at nominal volts. */
export function dayFigures(loads: readonly DayLoad[], nominalV: number, inverterW: number | null = null, onVehicle: readonly DayLoad[] = []): DayFigures {
  const hours = Array.from({ length: 24 }, (_, h) => h);
  const sum = (f: (l: DayLoad) => number): number => loads.reduce((s, l) => s + f(l), 0);
  const peak = heaviest(loads, (l) => l.runningW);
  const whDay = sum((l) => l.whDay);
  return {
    loads,
    onVehicle,
    whDay,
    ahDay: whDay / nominalV,
    peakW: peak.watts,
    peakA: peak.watts / nominalV,
    peakAtH: peak.atH,
    peakNames: peak.on.map((l) => l.name),
    startPeakW: peak.watts + Math.max(0, ...peak.on.map((l) => l.startW - l.runningW)),
    mainsPeakW: heaviest(loads, (l) => (l.mains ? l.ownW : 0)).watts,
    inverterPeakW: Object.fromEntries(
      [...new Set(loads.flatMap((l) => l.inverter ?? []))].map((id) => [
        id,
        heaviest(
          loads.filter((l) => l.inverter === id),
          (l) => l.ownW,
        ).watts,
      ]),
    ),
    standbyWh: sum((l) => l.standbyWh),
    inverterIdleWh: inverterW === null ? 0 : 24 * INVERTER_IDLE * inverterW,
    elsewhereWh: sum((l) => l.elsewhereWh),
    gearWh: 0,
    hourlyW: loads.map((l) => hours.map((h) => l.runningW * l.duty * hoursWithin(l.spans, h, h + 1) + l.standbyW)),
  };
}

/** A day with what gear of the supply draws beside the loads, W. @example withGear(dayFigures([], 12), 1).ahDay // 2 */
export const withGear = (day: DayFigures, gearW: number, nominalV = 12): DayFigures =>
  gearW > 0 ? { ...day, gearWh: 24 * gearW, whDay: day.whDay + 24 * gearW, ahDay: day.ahDay + (24 * gearW) / nominalV } : day;

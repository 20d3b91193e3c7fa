import type { Load } from '../design/index.js';
import { drivingSpans, mainsSpans } from '../travel/index.js';
import { inverterInputW } from '../catalogue/index.js';
import { loadKind, ownPowerW } from './power.js';
import { spanHours, spansTogether, spansWithout, type HourSpan } from './spans.js';
import { dutyOf, loadSpans } from './use.js';

/** Efficiency assumed for a mains load while no inverter is chosen. */
export const NO_INVERTER_EFFICIENCY = 0.88;

/** What a day is like for the loads. */
export interface DayContext {
  readonly nominalV: number;
  readonly drivingH: number;
  readonly mainsH: number;
  /** Hours of every day in which something else than the site feeds the inlet. */
  readonly inletHours?: readonly HourSpan[];
  /** Rating of the inverter behind mains loads, W; null: none chosen. */
  readonly inverterW: number | null;
  /** Which inverter that is, by id. */
  readonly inverter?: string | null;
  /** Air around a fridge's compressor, °C. */
  readonly ambientC: number;
}

/** A load as the house battery sees it on one kind of day. */
export interface DayLoad {
  readonly id: string;
  readonly name: string;
  readonly mains: boolean;
  /** The inverter that a mains load hangs on; null: none, or the load is on DC. */
  readonly inverter: string | null;
  readonly critical: boolean;
  readonly kind: 'power' | 'current';
  /** Drawn from the battery while it runs, W at nominal volts, and A at nominal volts. */
  readonly runningW: number;
  readonly runningA: number;
  /** The same undimmed, as its wire and fuse must bear it. */
  readonly fullW: number;
  readonly fullA: number;
  /** At the moment it starts, W from the battery. */
  readonly startW: number;
  /** The load's own power, W: at the mains outlet for a mains load. */
  readonly ownW: number;
  readonly duty: number;
  /** All hours in which it may run, and those in which the house battery feeds it. */
  readonly wantedSpans: readonly HourSpan[];
  readonly spans: readonly HourSpan[];
  /** Drawn by the house battery over the day: running, and waiting. */
  readonly whDay: number;
  readonly ahDay: number;
  readonly standbyWh: number;
  /** Mean standby watts over the day. */
  readonly standbyW: number;
  /** Wh that another supply carries instead of the house battery: never counted twice. */
  readonly elsewhereWh: number;
  readonly never: ReadonlySet<string>;
}

/** Hours in which another supply feeds the load: the vehicle on the road, mains when plugged in, gas when parked. */
function fedElsewhere(also: Load['also'], day: DayContext): readonly HourSpan[] {
  const driving = drivingSpans(day.drivingH);
  const plugged = spansTogether(mainsSpans(day.mainsH), day.inletHours ?? []);
  const parked = also.gas ? spansWithout(spansWithout([[0, 24]], driving), plugged) : [];
  return [...(also.vehicle ? driving : []), ...(also.mains ? plugged : []), ...parked];
}

/** One load through one kind of day. */
export function dayLoad(id: string, load: Load, day: DayContext): DayLoad {
  const mains = load.supply === 'mains';
  const ownW = ownPowerW(load, day.nominalV, day.drivingH);
  const fromBattery = (w: number): number => (w <= 0 ? 0 : !mains ? w : day.inverterW === null ? w / NO_INVERTER_EFFICIENCY : inverterInputW(w, day.inverterW));
  const runningW = fromBattery(ownW);
  const fullW = load.dim === 1 ? runningW : fromBattery(ownPowerW({ ...load, dim: 1 }, day.nominalV, day.drivingH));
  const wantedSpans = loadSpans(load, day.drivingH);
  const elsewhere = fedElsewhere(load.also, day);
  const spans = spansWithout(wantedSpans, elsewhere);
  const duty = dutyOf(load, day.drivingH, day.ambientC);
  const runsH = duty * spanHours(spans);
  const waitsH = Math.max(0, spanHours(spansWithout([[0, 24]], elsewhere)) - runsH);
  const standbyWh = load.standbyW * waitsH;
  const whDay = runningW * runsH + standbyWh;
  return {
    id,
    name: load.name,
    mains,
    inverter: mains ? (day.inverter ?? null) : null,
    critical: load.critical,
    kind: loadKind(load),
    runningW,
    runningA: runningW / day.nominalV,
    fullW,
    fullA: fullW / day.nominalV,
    startW: fromBattery(ownW * load.surge),
    ownW,
    duty,
    wantedSpans,
    spans,
    whDay,
    ahDay: whDay / day.nominalV,
    standbyWh,
    standbyW: standbyWh / 24,
    elsewhereWh: runningW * duty * spanHours(wantedSpans) - runningW * runsH,
    never: new Set(Object.keys(load.neverWith)),
  };
}

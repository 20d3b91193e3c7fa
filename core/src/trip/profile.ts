import { hoursWithin } from '../loads/index.js';
import { MPPT_YIELD } from '../supply/index.js';
import type { Span, TripLoad } from './input.js';

/** What one kind of day brings: its loads, and what is offered in which hours. */
export interface DayOffer {
  readonly loads: readonly TripLoad[];
  /** Charging from the vehicle, A, in the hours of driving. */
  readonly alternatorA: number;
  readonly driveHours: readonly Span[];
  readonly mainsA: number;
  readonly mainsHours: readonly Span[];
  /** What leads from other banks bring, A, each in its hours; booked with the mains. */
  readonly leads?: readonly { readonly amps: number; readonly hours: readonly Span[] }[];
  /** 24 hourly watts of a clear day before the regulator. */
  readonly sunWatts: readonly number[] | null;
  /** The same of each further regulator's panels. */
  readonly besideW: readonly (readonly number[])[];
}

/** What happens in each step of a day, laid flat so that the stepping allocates nothing. */
export interface DayProfile {
  readonly loadW: Float64Array;
  readonly loadA: Float64Array;
  /** Largest share of the step in which a critical load wants to run. */
  readonly criticalShare: Float64Array;
  readonly alternatorA: Float64Array;
  readonly mainsA: Float64Array;
  /** Sun behind its controller at clearness 1, W. */
  readonly sunW: Float64Array;
  readonly besideW: readonly Float64Array[];
}

/** Share of the hours [fromH, toH) that lies inside the spans. */
export function shareInside(spans: readonly Span[], fromH: number, toH: number): number {
  return hoursWithin(spans, fromH, toH) / (toH - fromH);
}

/** Loads at or above this power, W, that run only part of their hours are the ones a trip can draw one by one. */
export const HEAVY_W = 300;
/** An hour's share of such a load is drawn in one go at the start of each hour. */
const heavyShare = (load: TripLoad, h0: number, h1: number): number => {
  const hour = Math.floor(h0 + 1e-9);
  return shareInside([[hour, hour + load.duty]], h0, h1);
};

/** Hours of each step that lie inside the spans, written into `into`; only the steps that a span touches are visited. */
function hoursInside(spans: readonly Span[], stepS: number, into: Float64Array): void {
  into.fill(0);
  const k = stepS / 3600;
  for (const [a, b] of spans) {
    const last = Math.min(into.length - 1, Math.ceil(b / k));
    for (let s = Math.max(0, Math.floor(a / k) - 1); s <= last; s++) {
      const h0 = (s * stepS) / 3600;
      into[s]! += Math.max(0, Math.min(b, h0 + k) - Math.max(a, h0));
    }
  }
}

const isHeavy = (l: TripLoad): boolean => l.kind === 'power' && l.value >= HEAVY_W && l.duty < 1;

/** Loads with the same hours together: their means are laid out once. */
function alike(loads: readonly TripLoad[]): readonly { readonly hours: readonly Span[]; readonly loads: TripLoad[] }[] {
  const groups = new Map<string, { hours: readonly Span[]; loads: TripLoad[] }>();
  for (const load of loads) {
    const key = load.hours.join(';');
    const group = groups.get(key);
    if (group) group.loads.push(load);
    else groups.set(key, { hours: load.hours, loads: [load] });
  }
  return [...groups.values()];
}

/** Lays a day out in steps. `oneByOne` draws heavy, short loads at full power for their share of each hour instead of by their mean. */
export function dayProfile(day: DayOffer, stepS: number, oneByOne = false): DayProfile {
  const steps = 86400 / stepS;
  const make = (): Float64Array => new Float64Array(steps);
  const p = { loadW: make(), loadA: make(), criticalShare: make(), alternatorA: make(), mainsA: make(), sunW: make(), besideW: day.besideW.map(make) };
  const inside = make();
  const k = stepS / 3600;
  const hourOf = (s: number): number => (s * stepS) / 3600;
  const width = (s: number): number => hourOf(s) + k - hourOf(s);
  for (const group of alike(day.loads)) {
    hoursInside(group.hours, stepS, inside);
    const heavy = oneByOne ? group.loads.filter(isHeavy) : [];
    const sum = (kind: TripLoad['kind']): number => group.loads.reduce((t, l) => t + (l.kind === kind && !heavy.includes(l) ? l.value * l.duty : 0), 0);
    const [meanW, meanA, critical] = [sum('power'), sum('current'), group.loads.some((l) => l.critical)];
    for (let s = 0; s < steps; s++) {
      if (inside[s] === 0) continue;
      const share = inside[s]! / width(s);
      p.loadW[s]! += meanW * share + heavy.reduce((t, l) => t + l.value * heavyShare(l, hourOf(s), hourOf(s) + k), 0);
      p.loadA[s]! += meanA * share;
      if (critical && share > p.criticalShare[s]!) p.criticalShare[s] = share;
    }
  }
  for (const [amps, hours, into] of [
    [day.alternatorA, day.driveHours, p.alternatorA],
    [day.mainsA, day.mainsHours, p.mainsA],
    ...(day.leads ?? []).map(({ amps, hours }) => [amps, hours, p.mainsA] as const),
  ] as const) {
    hoursInside(hours, stepS, inside);
    for (let s = 0; s < steps; s++) if (inside[s] !== 0) into[s]! += (amps * inside[s]!) / width(s);
  }
  const shine = (watts: readonly number[], into: Float64Array): void => void into.forEach((_, s) => (into[s] = watts[Math.floor(hourOf(s))]! * MPPT_YIELD));
  if (day.sunWatts) shine(day.sunWatts, p.sunW);
  day.besideW.forEach((watts, j) => shine(watts, p.besideW[j]!));
  return p;
}

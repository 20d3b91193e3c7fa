import type { Chemistry } from '../catalogue/index.js';
import type { DayOffer } from './profile.js';

/** How a charger with two inputs uses its one output. */
export type SharedWay = 'sun first' | 'vehicle first' | 'sun alone';

/** A battery as the trip sees it: one 12 V block. */
export interface TripBank {
  readonly chemistry: Chemistry;
  readonly capacityAh: number;
  readonly startSoc: number;
}

/**
 * A trip of many days, ready to be sent to a worker: plain data. What goes beyond the fixed-step model is null or false
 * where it is not wanted, and then the model is exact.
 */
export interface TripJob {
  readonly stepS: number;
  readonly days: number;
  readonly bank: TripBank;
  /** A second bank behind a selector. */
  readonly second: TripBank | null;
  /** The chargers have a selector of their own: they may stand on the bank that is not in use. */
  readonly chargesApart: boolean;
  readonly cutoff: { readonly openV: number; readonly closeV: number };
  readonly reserveSoc: number;
  /** Kinds of day, and which kind each day is. */
  readonly kinds: readonly DayOffer[];
  readonly kindOfDay: readonly number[];
  /** Clearness of each day, 0–1; drawn anew where many trips are wanted. */
  readonly clearness: readonly number[];
  readonly sunMaxA: number | null;
  /** Further panels, each on a regulator of its own with its own limit, A, and its own charge to start below. */
  readonly beside: readonly { readonly maxA: number | null; readonly startBelow: number | null }[];
  /** One output for sun and vehicle, A, and which goes first. */
  readonly shared: { readonly outputA: number; readonly way: SharedWay } | null;
  /** Sun starts only below this state of charge, and then fills up; null: always. */
  readonly startBelow: number | null;
  /** Air around the battery: of the trip, or by the hour of the day. */
  readonly ambientC: number;
  readonly airByHour: readonly number[] | null;
  readonly oneByOne: boolean;
}

/** Columns of the picture, from the left: what gives, what brings that to other volts for a charger, what converts, what stores, what uses. */
export const COLUMNS = ['gives', 'brings', 'converts', 'stores', 'uses'] as const;
export type Column = (typeof COLUMNS)[number];

/** Where a flow comes from, or that it is drawn. */
export type FlowKind = 'engine' | 'sun' | 'mains' | 'lead' | 'use';

/** A box of the picture. */
export interface FlowThing {
  readonly id: string;
  readonly column: Column;
  readonly title: string;
  /** At most three short lines under the title. */
  readonly says: readonly string[];
  /** What does not find room there, in words; empty: all does. */
  readonly looks: readonly string[];
  /** Nothing passes it on this trip. */
  readonly idle: boolean;
}

/** A ribbon of the picture. */
export interface Flow {
  readonly from: string;
  readonly to: string;
  readonly kind: FlowKind;
  /** Mean over the trip's days, Ah at the bank's volts. */
  readonly ahDay: number;
  /** The thing whose end can be hung on another box: an array or a converter; null: it follows from others. */
  readonly hangs: string | null;
}

/** Lowest charge of the trip and the day it is reached, and the charge that must stay, 0–1. */
export interface Lowest {
  readonly soc: number;
  readonly day: number;
  readonly reserve: number;
}

/** What a supply does on its trip, as boxes and ribbons. */
export interface SupplyFlow {
  readonly things: readonly FlowThing[];
  readonly flows: readonly Flow[];
  /** What comes from each sort of source and what the day takes, Ah a day. */
  readonly sums: Readonly<Record<FlowKind, number>>;
  /** Of all banks together; null: no bank. */
  readonly low: Lowest | null;
  /** Of each bank, by its box. */
  readonly lows: Readonly<Record<string, Lowest>>;
}

import type { Catalogue } from '../catalogue/index.js';
import type { Design, Vehicle } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import type { Gear } from '../places/index.js';
import type { LayoutFigures, SizedRun } from '../routes/index.js';
import type { FedCharger, SupplyFigures } from '../supply/index.js';
import type { TripResult } from '../trip/index.js';
import type { Press } from './press.js';

export const STAGES = ['brief', 'loads', 'supply', 'places', 'runs', 'protection', 'checks', 'order', 'fit', 'prove', 'hand-over', 'look-after'] as const;
export type Stage = (typeof STAGES)[number];

/** Everything that the rules look at. */
export interface Facts {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly vehicle: Vehicle;
  readonly gear: readonly Gear[];
  readonly layout: LayoutFigures;
  readonly day: DayFigures;
  readonly supply: SupplyFigures;
  readonly trip: TripResult | null;
  readonly chargerInputs: readonly FedCharger[];
  readonly runs: readonly SizedRun[];
  /** Of all parts on the list. */
  readonly totals: { readonly price: number; readonly kg: number };
}

/** Stop: not to be built so. Look: to be looked at and decided. */
export type Severity = 'stop' | 'look';

/** What can go wrong where a rule is broken, the worst first. */
export const HARMS = ['fire', 'people', 'flat batteries', 'broken gear', 'rules in force', 'the plan'] as const;
export type Harm = (typeof HARMS)[number];
export type Values = Readonly<Record<string, string | number>>;

/** Where a finding is: the stage that mends it, and what it is about (a run's, load's or gear's id). */
export interface Place {
  readonly stage: Stage;
  readonly about?: string;
}

/** A finding is data; its words are rendered from its rule. */
export interface Finding {
  /** Stays the same while the cause stays, so that it can be accepted. */
  readonly key: string;
  readonly rule: string;
  readonly severity: Severity;
  readonly at: Place;
  readonly values: Values;
  /** What the program can do about it at a press. */
  readonly presses: readonly Press[];
}

export interface Found {
  readonly at: Place;
  readonly values: Values;
  readonly severity?: Severity;
}

/** A rule, by what it looks at. */
export interface RuleOf<F> {
  readonly id: string;
  readonly severity: Severity;
  /** What can go wrong. */
  readonly harm: Harm;
  /** What it rests on: a standard, a table, or the trade's practice. */
  readonly basis: string;
  /** Why it matters, in a sentence. */
  readonly why: string;
  test(facts: F): readonly Found[];
  /** What the program can do about one of them at a press. */
  presses?(found: Found, facts: F): readonly Press[];
  /** What is wrong and by how much. */
  say(v: Values): string;
  /** What to do. */
  fix(v: Values): string;
}

export type Rule = RuleOf<Facts>;

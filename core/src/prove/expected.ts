import type { Meter, ReadingVerdict } from '../verdicts/index.js';

/** Units that readings of a plan are taken in. */
export const READING_UNITS = ['V', 'A', 'mV', '°C', 'ms'] as const;

export type Verdict = ReadingVerdict['verdict'] | 'impossible';

export interface Judged {
  readonly verdict: Verdict;
  /** Reading less expected. */
  readonly difference: number;
  /** What it means and what to do, in a sentence. */
  readonly say: string;
}

export interface Expected {
  readonly expected: number;
  /** Of meter and model at the expected value, root-sum-square, in the reading's unit. */
  readonly tolerance: number;
  readonly meter: Meter;
  /** Predicted drop down to this point, V. */
  readonly dropV: number;
  /** Highest volts that any source on this circuit can give, with the meters' tolerances; null where nothing bounds it. */
  readonly mostV: number | null;
  readonly unit: (typeof READING_UNITS)[number];
  /** `expected` is the most that it may be; without it, what it should be. */
  readonly atMost?: true;
  /** Run that feeds it, by name; null for a battery's own posts. */
  readonly run: string | null;
  /** Share of the drop (of the figure itself in amps) by which the model may be off, where it is not the usual one. */
  readonly modelShare?: number;
  /** How things may stand so that it falls short without a fault. */
  readonly excuses?: { readonly batteryFull?: boolean; readonly sunBelowWm2?: number };
  /** Where to look first when it is off. */
  readonly look?: string;
}

/** How things stood while it was read, as far as that is known. */
export interface ReadIn {
  readonly batteryFull?: boolean | null;
  readonly sunWm2?: number | null;
}

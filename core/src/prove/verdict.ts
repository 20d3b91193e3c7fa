import { figure } from '../quantity/index.js';

export type Verdict = 'agrees' | 'near' | 'off' | 'impossible';

export interface Judged {
  readonly verdict: Verdict;
  /** Reading less expected. */
  readonly difference: number;
  /** What it means and what to do, in a sentence. */
  readonly say: string;
}

export interface Expected {
  readonly expected: number;
  readonly tolerance: number;
  /** Highest volts that any source on this circuit can give, with the meters' tolerances; null where nothing bounds it. */
  readonly mostV: number | null;
  readonly unit: 'V' | 'A';
  /** Run that feeds it, by name; null for a battery's own posts. */
  readonly run: string | null;
}

/**
 * Judges a reading: within its tolerance it agrees, within twice it is near, beyond that off; more volts at a load than
 * its battery has would be energy from nothing.
 */
export function judgeReading(e: Expected, read: number): Judged {
  const difference = read - e.expected;
  const size = Math.abs(difference);
  const by = `${figure(size, 2)} ${e.unit}`;
  if (e.mostV !== null && read > e.mostV)
    return { verdict: 'impossible', difference, say: `More volts than the battery itself has (${figure(e.mostV, 2)} V with both tolerances): check the meter, and read the battery’s posts again.` };
  if (size <= e.tolerance) return { verdict: 'agrees', difference, say: `Agrees within ± ${figure(e.tolerance, 2)} ${e.unit}.` };
  if (size <= 2 * e.tolerance) return { verdict: 'near', difference, say: `Near: ${by} ${difference < 0 ? 'low' : 'high'}. Read it again with the load settled.` };
  if (e.run === null) return { verdict: 'off', difference, say: `Off by ${by}: is the battery rested, charged and alone?` };
  return difference < 0
    ? { verdict: 'off', difference, say: `Off by ${by} low: measure across the fuse holder and each joint of ${e.run}, the biggest drop first.` }
    : { verdict: 'off', difference, say: `Off by ${by} high: is the load on, and drawing what was entered?` };
}

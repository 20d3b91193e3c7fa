import { alike } from './alike.js';
import { entropyAfter } from './next-test.js';
import { entropyBits, logWeights, normalised } from './posterior.js';
import type { FaultTable } from './table.js';

/** A test is worth taking only if it is to be expected to tell more than this, bit. */
const WORTH_BITS = 1e-6;
/** Readings that lie further than this from every fault's predictions, root-mean-square in standard deviations, mean a fault that the table does not hold. */
const NONE_FITS_Z = 3;

/** What a test that was not taken yet is expected to tell. */
export interface Worth {
  /** Expected fall of the entropy; may be a little below 0, since the floor is in the update and not in the draw. */
  readonly dropBits: number;
  readonly bitsPerMinute: number;
}

export interface Finding {
  /** Probability of each fault, summing to 1. */
  readonly posterior: Readonly<Record<string, number>>;
  readonly entropyBits: number;
  /** How well the best of the faults fits: root-mean-square of (value − predicted)/sd; 0 without readings. */
  readonly fitZ: number;
  readonly noneFits: boolean;
  /** By test that was not read. */
  readonly tests: Readonly<Record<string, Worth>>;
  /** Test with the most bits a minute; null: none is left that tells anything. */
  readonly best: string | null;
  /** Faults that no test of the table can tell apart. */
  readonly groups: readonly (readonly string[])[];
}

function fitOf({ faults, tests, readings }: FaultTable): number {
  if (!readings.length) return 0;
  const byId = new Map(tests.map((t) => [t.id, t]));
  const rms = (fault: string): number => {
    const squares = readings.map((r) => ((r.value - byId.get(r.test)!.predicted[fault]!) / byId.get(r.test)!.sd) ** 2);
    return Math.sqrt(squares.reduce((a, b) => a + b, 0) / readings.length);
  };
  return Math.min(...faults.map((f) => rms(f.id)));
}

/** Probability of each fault after what was read, summing to 1. */
export function likelihoods(table: FaultTable): Readonly<Record<string, number>> {
  const shares = normalised(logWeights(table));
  return Object.fromEntries(table.faults.map((f, i) => [f.id, shares[i]!]));
}

/**
 * What is likely wrong, after what was read, and what to measure next: Bayes over a table of faults, in logarithms, and the
 * expected fall of the entropy per minute of each test that is left.
 */
export function findFault(table: FaultTable): Finding {
  const logs = logWeights(table);
  const shares = normalised(logs);
  const now = entropyBits(shares);
  const done = new Set(table.readings.map((r) => r.test));
  const worth = table.tests
    .filter((t) => !done.has(t.id))
    .map((t) => {
      const dropBits = now - entropyAfter(t, table, logs, shares);
      return { id: t.id, dropBits, bitsPerMinute: dropBits / t.minutes };
    });
  const best = worth.reduce<(typeof worth)[number] | null>((a, b) => (a && a.bitsPerMinute >= b.bitsPerMinute ? a : b), null);
  const fitZ = fitOf(table);
  return {
    posterior: Object.fromEntries(table.faults.map((f, i) => [f.id, shares[i]!])),
    entropyBits: now,
    fitZ,
    noneFits: fitZ > NONE_FITS_Z,
    tests: Object.fromEntries(worth.map(({ id, ...w }) => [id, w])),
    best: best && best.dropBits > WORTH_BITS ? best.id : null,
    groups: alike(table),
  };
}

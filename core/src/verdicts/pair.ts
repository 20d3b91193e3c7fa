import { z } from 'zod';
import { inTolerances, readSchema, toleranceOfRead } from './meter.js';

export const pairSchema = z.object({
  kind: z.literal('pair'),
  a: readSchema,
  b: readSchema.nullable().default(null),
  /** What the solved network says, independent of both. */
  estimate: z.number().nullish(),
});
type Pair = z.infer<typeof pairSchema>;

export interface PairVerdict {
  readonly verdict: 'agrees' | 'disagree' | 'alone';
  readonly difference: number | null;
  /** What the two meters together may differ by. */
  readonly limit: number | null;
  /** Distance of each from the estimate in its own tolerances; null without an estimate, and where it is infinite. */
  readonly zA: number | null;
  readonly zB: number | null;
  /** Which of two that disagree lies nearer to the estimate. */
  readonly nearer: 'a' | 'b' | null;
}

const SAME = 1e-9;

function nearerOf(zA: number | null, zB: number | null): 'a' | 'b' | null {
  const [a, b] = [zA ?? Infinity, zB ?? Infinity];
  if (a === b || Math.abs(a - b) <= SAME) return null;
  return a < b ? 'a' : 'b';
}

/** Two instruments on one quantity: they disagree beyond the root-sum-square of their own tolerances. A clamp's 27.2 A beside a shunt's 23.4 A: they disagree. */
export function judgePair({ a, b, estimate }: Pair): PairVerdict {
  const zOf = (read: typeof a): number | null => (typeof estimate === 'number' ? inTolerances(read.value - estimate, toleranceOfRead(read)) : null);
  const zA = zOf(a);
  if (!b) return { verdict: 'alone', difference: null, limit: null, zA, zB: null, nearer: null };
  const zB = zOf(b);
  const difference = Math.abs(a.value - b.value);
  const limit = Math.hypot(toleranceOfRead(a), toleranceOfRead(b));
  const disagree = difference > limit;
  return { verdict: disagree ? 'disagree' : 'agrees', difference, limit, zA, zB, nearer: disagree && typeof estimate === 'number' ? nearerOf(zA, zB) : null };
}

import { z } from 'zod';
import { readSchema, toleranceOfRead } from './meter.js';

export const nodeSchema = z.object({
  kind: z.literal('node'),
  /** Amps of each branch, signed into the node. */
  branches: z.array(readSchema),
});

export interface NodeVerdict {
  readonly verdict: 'agrees' | 'sum';
  /** What is left over, A, signed into the node. */
  readonly residual: number;
  readonly limit: number;
}

/** Amps into a bar sum to nothing, within the root-sum-square of their meters. 10 A in and 7 A out: a branch is missing. */
export function judgeNode({ branches }: z.infer<typeof nodeSchema>): NodeVerdict {
  const residual = branches.reduce((sum, b) => sum + b.value, 0);
  const limit = Math.hypot(...branches.map(toleranceOfRead));
  return { verdict: Math.abs(residual) <= limit ? 'agrees' : 'sum', residual, limit };
}

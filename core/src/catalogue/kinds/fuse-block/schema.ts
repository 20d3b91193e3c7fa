import { z } from 'zod';
import { partBase } from '../common.js';

export const fuseBlockSchema = partBase.extend({
  kind: z.literal('fuse-block'),
  ways: z.number().int().positive(),
  /** Most that one way, and the whole block, may carry, A. */
  wayA: z.number().positive(),
  totalA: z.number().positive(),
});
export type FuseBlockPart = z.infer<typeof fuseBlockSchema>;

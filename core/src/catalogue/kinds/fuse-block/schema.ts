import { z } from 'zod';
import { partBase } from '../common.js';

export const fuseBlockSchema = partBase.extend({
  kind: z.literal('fuse-block'),
  ways: z.number().int().positive(),
  /** Most that one way, and the whole block, may carry, A. */
  wayA: z.number().positive(),
  totalA: z.number().positive(),
  /** What its ways hold: blades, or cartridges where a short is more than a blade breaks. */
  holds: z.enum(['blade', 'cartridge']),
});
export type FuseBlockPart = z.infer<typeof fuseBlockSchema>;

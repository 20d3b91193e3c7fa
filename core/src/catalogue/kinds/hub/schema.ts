import { z } from 'zod';
import { partBase } from '../common.js';

/** Bus bars, fuse ways, shunt and disconnect on one board, with or without a main switch: fewer joints, and nothing on it replaced alone. */
export const hubSchema = partBase.extend({
  kind: z.literal('hub'),
  /** Of its bars, all that enters or leaves the battery, A. */
  barsA: z.number().positive(),
  ways: z.number().int().positive(),
  /** Most that one way may carry, A. */
  wayA: z.number().positive(),
  shunt: z.object({ ratedA: z.number().positive(), dropMv: z.number().positive() }),
  /** In the positive of all ways. */
  disconnect: z.object({ ratedA: z.number().positive(), milliohm: z.number().positive(), ownMa: z.number().min(0) }),
  mainSwitch: z.object({ ratedA: z.number().positive(), peakA: z.number().positive(), milliohm: z.number().positive() }).nullable(),
});
export type HubPart = z.infer<typeof hubSchema>;

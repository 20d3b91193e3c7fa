import { z } from 'zod';
import { partBase } from '../common.js';

export const inverterSchema = partBase.extend({
  kind: z.literal('inverter'),
  ratedW: z.number().positive(),
  /** What it gives for some seconds, W. */
  surgeW: z.number().positive(),
  /** An inverter-charger also charges the bank when mains comes in. */
  charger: z.object({ outputA: z.number().positive(), acW: z.number().positive() }).nullable(),
  inputV: z.union([z.literal(12), z.literal(24)]),
  waveform: z.enum(['sine', 'modified']),
});
export type InverterPart = z.infer<typeof inverterSchema>;

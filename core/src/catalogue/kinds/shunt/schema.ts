import { z } from 'zod';
import { partBase } from '../common.js';

/** A measuring shunt in the battery's negative. */
export const shuntSchema = partBase.extend({
  kind: z.literal('shunt'),
  /** Carried all day, and the volts across it at that current, A and mV. */
  ratedA: z.number().positive(),
  dropMv: z.number().positive(),
});
export type ShuntPart = z.infer<typeof shuntSchema>;

import { z } from 'zod';
import { partBase } from '../common.js';

export const isolatorSchema = partBase.extend({
  kind: z.literal('isolator'),
  ratedA: z.number().positive(),
  /** Volts at the starting battery at which it closes and opens, with their delays. */
  closeV: z.number(),
  closeAfterS: z.number(),
  openV: z.number(),
  openAfterS: z.number(),
});
export type IsolatorPart = z.infer<typeof isolatorSchema>;

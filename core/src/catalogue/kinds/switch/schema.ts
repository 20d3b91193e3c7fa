import { z } from 'zod';
import { partBase } from '../common.js';

/** A battery's main switch, turned by hand. */
export const switchSchema = partBase.extend({
  kind: z.literal('switch'),
  /** Carried all day, and for the seconds of a start, A. */
  ratedA: z.number().positive(),
  peakA: z.number().positive(),
  /** When closed, with the joints at its two studs, mΩ. */
  milliohm: z.number().positive(),
});
export type SwitchPart = z.infer<typeof switchSchema>;

import { z } from 'zod';
import { partBase } from '../common.js';

/** What parts a battery from everything, or chooses between two, turned by hand. */
export const switchSchema = partBase.extend({
  kind: z.literal('switch'),
  /** Carried all day, and for the seconds of a start, A. */
  ratedA: z.number().positive(),
  peakA: z.number().positive(),
  /** When closed, with the joints at its two studs, mΩ. */
  milliohm: z.number().positive(),
  /** It chooses between two batteries; else it parts one. */
  selects: z.boolean().default(false),
});
export type SwitchPart = z.infer<typeof switchSchema>;

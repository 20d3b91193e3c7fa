import { z } from 'zod';
import { partBase } from '../common.js';

/** A low-voltage disconnect: a contact that opens before the battery is empty. */
export const disconnectSchema = partBase.extend({
  kind: z.literal('disconnect'),
  ratedA: z.number().positive(),
  /** When closed, with the joints at its two studs, mΩ. */
  milliohm: z.number().positive(),
  /** What it draws itself, mA. */
  ownMa: z.number().min(0),
});
export type DisconnectPart = z.infer<typeof disconnectSchema>;

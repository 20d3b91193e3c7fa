import { z } from 'zod';
import { partBase } from '../common.js';

/** A display or a row of buttons where people are: shows what senders tell, and tells relays what to do. */
export const remoteSchema = partBase.extend({
  kind: z.literal('remote'),
  /** Buttons that switch something; 0: it only shows. */
  buttons: z.number().int().min(0).max(32),
  ownMa: z.number().min(0),
});
export type RemotePart = z.infer<typeof remoteSchema>;

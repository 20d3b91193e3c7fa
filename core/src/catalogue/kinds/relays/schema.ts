import { z } from 'zod';
import { partBase } from '../common.js';

/** Contacts beside the fuse block that a remote unit or a condition opens and closes. */
export const relaysSchema = partBase.extend({
  kind: z.literal('relays'),
  outputs: z.number().int().min(1).max(32),
  /** Most that one contact carries, A. */
  outputA: z.number().positive(),
  /** One contact when closed, mΩ. */
  milliohm: z.number().positive(),
  /** How the contacts stand when the unit dies. */
  failsTo: z.enum(['off', 'on']),
  ownMa: z.number().min(0),
});
export type RelaysPart = z.infer<typeof relaysSchema>;

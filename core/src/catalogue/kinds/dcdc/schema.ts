import { z } from 'zod';
import { CHEMISTRIES } from '../battery/chemistry.js';
import { partBase } from '../common.js';

export const dcdcSchema = partBase.extend({
  kind: z.literal('dcdc'),
  outputA: z.number().positive(),
  /** Volts of the vehicle it charges from, and of the bank it charges. */
  inputV: z.union([z.literal(12), z.literal(24)]),
  outputV: z.union([z.literal(12), z.literal(24)]),
  efficiency: z.number().gt(0).lte(1),
  cutOutV: z.number().positive(),
  /** A second input for panels: the sun first, topped up from the vehicle; or one source at a time, the vehicle or the sun first. */
  sunInput: z.object({ maxV: z.number(), maxA: z.number(), way: z.enum(['sun first', 'vehicle first', 'sun alone']) }).nullable(),
  /** A third input, for mains: it charges with this many amps while it is plugged in. */
  mainsInput: z.object({ outputA: z.number().positive(), acW: z.number().positive() }).optional(),
  /** It can be set to half its output. */
  halfPower: z.boolean(),
  /** It stops charging a lithium bank below its range by a probe of its own. */
  coldLock: z.boolean(),
  /** Drawn from the starting battery while it waits, mA. */
  standbyMa: z.number().min(0),
  trigger: z.enum(['wire', 'volts']),
  profiles: z.array(z.enum(CHEMISTRIES)),
  /** Largest input fuse the maker allows, A; null: not stated. */
  maxFuseA: z.number().nullable(),
});
export type DcdcPart = z.infer<typeof dcdcSchema>;

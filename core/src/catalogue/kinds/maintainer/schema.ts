import { z } from 'zod';
import { partBase } from '../common.js';

/** A small charger that keeps a vehicle’s starting battery up out of the house bank. */
export const maintainerSchema = partBase.extend({
  kind: z.literal('maintainer'),
  /** Most that it gives, A. */
  outputA: z.number().positive(),
  /** Volts of the bank that it draws on, and of the starting battery that it keeps up. */
  inputV: z.union([z.literal(12), z.literal(24)]),
  outputV: z.union([z.literal(12), z.literal(24)]),
  efficiency: z.number().gt(0).lte(1),
  /** It gives only while the bank stands above this: what is spare, V. */
  aboveV: z.number().positive(),
  /** What it holds at the starting battery, V. */
  holdV: z.number().positive(),
  /** What it draws itself, mA. */
  ownMa: z.number().min(0),
});
export type MaintainerPart = z.infer<typeof maintainerSchema>;

import { z } from 'zod';
import { partBase } from '../common.js';

export const mainsChargerSchema = partBase.extend({
  kind: z.literal('mains-charger'),
  outputA: z.number().positive(),
  outputV: z.union([z.literal(12), z.literal(24)]),
  acW: z.number().positive(),
});
export type MainsChargerPart = z.infer<typeof mainsChargerSchema>;

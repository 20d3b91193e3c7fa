import { z } from 'zod';
import { partBase } from '../common.js';

export const solarControllerSchema = partBase.extend({
  kind: z.literal('solar-controller'),
  way: z.enum(['mppt', 'pwm']),
  maxV: z.number().positive(),
  maxA: z.number().positive(),
});
export type SolarControllerPart = z.infer<typeof solarControllerSchema>;

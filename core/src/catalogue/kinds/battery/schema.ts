import { z } from 'zod';
import { partBase } from '../common.js';
import { CHEMISTRIES } from './chemistry.js';

export const batterySchema = partBase.extend({
  kind: z.literal('battery'),
  chemistry: z.enum(CHEMISTRIES),
  capacityAh: z.number().positive(),
  /** Discharge limits of one battery, A: steady, and for some seconds. */
  continuousA: z.number().positive(),
  peakA: z.number().positive(),
  /** Of a power unit with chargers and an inverter inside: most that its own output carries, A. */
  outletA: z.number().positive().optional(),
});
export type BatteryPart = z.infer<typeof batterySchema>;

import { z } from 'zod';
import { partBase } from '../common.js';

/** What measures: with a face of its own, or a sender that a remote unit shows. */
export const meterSchema = partBase.extend({
  kind: z.literal('meter'),
  reads: z.enum(['volts', 'volts and amps', 'amps of circuits', 'tank', 'tilt', 'temperature']),
  /** Circuits that it measures at once. */
  channels: z.number().int().min(1).max(32),
  /** It shows what it measures itself. */
  shows: z.boolean(),
  /** What it draws all day, mA. */
  ownMa: z.number().min(0),
});
export type MeterPart = z.infer<typeof meterSchema>;

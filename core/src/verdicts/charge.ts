import { z } from 'zod';
import { absoluteOf, meterSchema, shareOf } from './meter.js';

export const chargeSchema = z.object({
  kind: z.literal('charge'),
  fromPercent: z.number(),
  toPercent: z.number(),
  /** What either charge shown may be off by, points. */
  pointsTolerance: z.number().min(0).default(1),
  inAh: z.number().min(0),
  outAh: z.number().min(0),
  hours: z.number().min(0),
  meter: meterSchema.default({ kind: 'shunt' }),
});

export interface ChargeVerdict {
  readonly verdict: 'possible' | 'impossible';
  readonly risePoints: number;
  readonly riseLimit: number;
  readonly netAh: number;
  readonly netLimit: number;
}

/** A battery's charge cannot rise while more is taken than given; to fall on net charge is possible, since losses go that way. From 62 to 70 % on 2.8 Ah in and 19.7 Ah out: impossible. */
export function judgeCharge(c: z.infer<typeof chargeSchema>): ChargeVerdict {
  const risePoints = c.toPercent - c.fromPercent;
  const riseLimit = c.pointsTolerance * Math.SQRT2;
  const netAh = c.inAh - c.outAh;
  const count = (ah: number): number => shareOf(c.meter) * ah + absoluteOf(c.meter) * c.hours;
  const netLimit = Math.hypot(count(c.inAh), count(c.outAh));
  return { verdict: risePoints > riseLimit && netAh < -netLimit ? 'impossible' : 'possible', risePoints, riseLimit, netAh, netLimit };
}

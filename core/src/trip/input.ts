import { z } from 'zod';
import { CHEMISTRIES } from '../catalogue/index.js';

export const span = z
  .tuple([z.number().min(0).max(24), z.number().min(0).max(24)])
  .refine(([from, to]) => from <= to, { message: 'a span runs from an earlier to a later hour; split one that passes midnight' });
const share = z.number().min(0).max(1);

export const tripLoadSchema = z.object({
  id: z.string(),
  kind: z.enum(['power', 'current']),
  /** W or A when it runs, by `kind`. */
  value: z.number().min(0),
  duty: share.default(1),
  hours: z.array(span),
  critical: z.boolean().default(false),
});

/** Step of a trip, s. */
export const tripStepSchema = z
  .number()
  .int()
  .positive()
  .default(60)
  .refine((s) => 3600 % s === 0, { message: 'the step must divide 3600 s' });

/** A trip as the model takes it; sun is 24 hourly watts of a clear day. */
export const tripInputSchema = z.object({
  stepS: tripStepSchema,
  days: z.number().int().min(1).max(366),
  battery: z.object({
    chemistry: z.enum(CHEMISTRIES),
    capacityAh: z.number().positive(),
    startSoc: share,
    ambientC: z.number().min(-60).max(90),
  }),
  loads: z.array(tripLoadSchema),
  alternator: z
    .object({ ratedA: z.number().min(0), setting: z.number().min(0).default(1), driveHours: z.array(span) })
    .nullable()
    .default(null),
  mains: z
    .object({ ratedA: z.number().min(0), hours: z.array(span) })
    .nullable()
    .default(null),
  sunWatts: z.array(z.number().min(0)).length(24).nullable().default(null),
  sunMaxA: z.number().min(0).nullable().optional(),
  cutoff: z.object({ openV: z.number(), closeV: z.number() }),
  reserveSoc: share.default(0.2),
  clearness: z.array(z.number().min(0)).nullable().optional(),
});

export type TripInput = z.infer<typeof tripInputSchema>;
export type TripLoad = z.infer<typeof tripLoadSchema>;
export type Span = readonly [fromH: number, toH: number];

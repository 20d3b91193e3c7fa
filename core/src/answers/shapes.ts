import { z } from 'zod';
import { FUSE_TYPES } from '../protection/index.js';

export const insulationSchema = z.union([z.literal(70), z.literal(90), z.literal(105), z.literal(125)]);

export const layingSchema = z.object({
  insulationC: insulationSchema,
  ambientC: z.number(),
  grouped: z.number().int().min(1),
  laid: z.enum(['air', 'conduit', 'insulation']),
});

/** One run to size, as the command line takes it: a current, or a power with the volts at its source. */
export const sizeSchema = layingSchema
  .extend({
    outM: z.number().min(0),
    backM: z.number().min(0),
    currentA: z.number().min(0).optional(),
    powerW: z.number().min(0).optional(),
    sourceV: z.number().positive().optional(),
    dropLimitPercent: z.number().positive(),
    nominalV: z.number().positive(),
    series: z.enum(['metric', 'gauge']),
    fuseType: z.enum(FUSE_TYPES),
    minAreaMm2: z.number().positive(),
    contactsMilliohm: z.number().min(0),
    tinned: z.boolean(),
    connectorA: z.number().positive().nullable().default(null),
    material: z.string().default('copper'),
  })
  .refine((i) => i.currentA !== undefined || (i.powerW !== undefined && i.sourceV !== undefined), { message: 'currentA, or powerW with sourceV', path: ['currentA'] });

export const fuseSchema = z.object({
  fuseType: z.enum(FUSE_TYPES),
  ratingA: z.number().positive(),
  faultMinA: z.number().positive(),
  faultMaxA: z.number().positive(),
  areaMm2: z.number().positive(),
  insulationC: insulationSchema,
});

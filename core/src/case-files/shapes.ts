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

const treeRunSchema = z.object({
  id: z.string().min(1),
  parent: z.string().nullable().default(null),
  outM: z.number().min(0),
  backM: z.number().min(0),
  ambientC: z.number(),
  grouped: z.number().int().min(1),
  laid: z.enum(['air', 'conduit', 'insulation']),
  lastingA: z.number().min(0),
  usualA: z.number().min(0),
  fuseType: z.enum(FUSE_TYPES),
  maxFuseA: z.number().positive().nullable().default(null),
  minAreaMm2: z.number().positive(),
  maxAreaMm2: z.number().positive().nullable().default(null),
  limitPercent: z.number().positive().nullable().default(null),
  refV: z.number().positive().nullable().default(null),
});

/** A whole tree of runs to size at the least copper. */
export const treeSchema = z
  .object({ nominalV: z.number().positive(), insulationC: insulationSchema, tinned: z.boolean().default(false), series: z.enum(['metric', 'gauge']), runs: z.array(treeRunSchema).min(1).max(2000) })
  .superRefine(({ runs }, ctx) => {
    const parentOf = new Map<string, string | null>();
    for (const [i, r] of runs.entries()) {
      if (parentOf.has(r.id)) ctx.addIssue({ code: 'custom', path: ['runs', i, 'id'], message: 'an id that no other run has is accepted' });
      parentOf.set(r.id, r.parent);
    }
    for (const [i, r] of runs.entries()) {
      const path = ['runs', i, 'parent'];
      if (r.parent !== null && !parentOf.has(r.parent)) ctx.addIssue({ code: 'custom', path, message: 'the id of another run, or null for one that starts at a source, is accepted' });
      const seen = new Set<string>();
      for (let at: string | null | undefined = r.id; at != null && !seen.has(at); at = parentOf.get(at)) {
        seen.add(at);
        if (parentOf.get(at) === r.id) {
          ctx.addIssue({ code: 'custom', path, message: 'a run that does not, in turn, hang on this one is accepted: they close a ring' });
          break;
        }
      }
    }
  });

import { z } from 'zod';
import { partSchema } from '../catalogue/index.js';
import { briefSchema, type existingSchema, type traceSchema } from './brief-schema.js';
import { text } from './common-schema.js';
import { loadSchema, type feedSchema, type PURPOSES } from './load-schema.js';
import { boardSchema, placementSchema, plugEditSchema } from './places-schema.js';
import {
  type arraySchema,
  type bankSchema,
  type batteriesSchema,
  type converterSchema,
  type distributionSchema,
  type linkSchema,
  type monitorSchema,
  RIG,
  type switchgearSchema,
} from './rig-schema.js';
import { supplySchema } from './supply-schema.js';
import { vehicleSchema } from './vehicle-schema.js';

export const SCHEMA_VERSION = 6;

/** What a person has said of a run; everything else about it is drafted. */
export const runEditSchema = z.object({
  outM: z.number().min(0).max(200).optional(),
  backM: z.number().min(0).max(200).optional(),
  areaMm2: z.number().positive().max(300).optional(),
  fuseA: z.number().positive().max(1000).optional(),
  laid: z.enum(['air', 'conduit', 'insulation']).optional(),
  grouped: z.number().int().min(1).max(40).optional(),
  ambientC: z.number().min(-40).max(120).optional(),
  /** Waypoints that it must pass, in order; waypoints and ways that it must not. */
  via: z.array(z.string().max(40)).max(20).optional(),
  avoid: z.array(z.string().max(40)).max(40).optional(),
  /** The return goes by its own cable, or through the body. */
  back: z.enum(['cable', 'chassis']).optional(),
  /** Spare cores pulled with it. */
  spares: z.number().int().min(0).max(12).optional(),
  /** What protects it, where not what is usual there. */
  protect: z.enum(['fuse', 'breaker, manual reset', 'breaker, self-resetting']).optional(),
  /** Its breaker is made for one direction of current only. */
  poled: z.boolean().optional(),
});

/** Smallest sizes by use, mm², and the smallest fuse of a general circuit, A: what a workshop fits though less would do. */
const customSchema = z.object({
  loadMm2: z.number().min(0.5).max(10),
  coldMm2: z.number().min(0.5).max(10),
  feedMm2: z.number().min(1).max(50),
  leadMm2: z.number().min(1).max(95),
  loadFuseA: z.number().min(1).max(15),
});

export const USUAL_CUSTOM: z.infer<typeof customSchema> = { loadMm2: 1.5, coldMm2: 2.5, feedMm2: 10, leadMm2: 16, loadFuseA: 5 };

/** The workshop's schools and ways. */
export const settingsSchema = z.object({
  series: z.enum(['metric', 'gauge']),
  insulationC: z.union([z.literal(70), z.literal(90), z.literal(105), z.literal(125)]),
  tinned: z.boolean(),
  dropSchool: z.enum(['by purpose', '5 % everywhere']),
  /** Usable share of the bank; null: the chemistry's default. */
  usableShare: z.number().gt(0).lte(1).nullable(),
  /** What a draft takes where trades differ. */
  batterySchool: z.enum(['lithium', 'AGM']),
  sunSchool: z.enum(['through the charger', 'own controller']),
  regulatorSchool: z.enum(['MPPT', 'PWM']),
  boardSchool: z.enum(['separate parts', 'hub board']),
  variableSchool: z.enum(['DC-DC charger', 'voltage fixed by the dealer']),
  /** Resting-volts chart of lead-acid: rested four hours, or lightly loaded (0.2 V lower). */
  voltsChart: z.enum(['rested', 'loaded']),
  /** The workshop's own colour of plug housings by what they carry; only the same colour mates. */
  plugColours: z.record(z.string().max(40), text(20)),
  /** Bending radius over the outside diameter: above 16 mm², and up to it. */
  bending: z.object({ thick: z.number().min(1).max(20), thin: z.number().min(1).max(20) }),
  custom: customSchema.default(USUAL_CUSTOM),
  /** A short above what a block's fuse breaks, behind one that breaks it all: to be looked at, or not to be built so. */
  backup: z.enum(['look', 'stop']).default('look'),
});

/** Loads that share one feed: behind a row of switches, or on a joint strip. */
export const groupSchema = z.object({
  order: z.number(),
  name: text(80),
  kind: z.enum(['switch bank', 'joint strip']),
  /** One fuse for all of them, in the feed; or one in each tail as well. */
  fuses: z.enum(['one for all', 'one each']),
});

export const acceptedSchema = z.object({ by: text(80), reason: text(500), at: text(40) });

/** One job's design: the only document that is edited, always by patches. */
export const designSchema = z.object({
  schemaVersion: z.literal(SCHEMA_VERSION),
  brief: briefSchema,
  loads: z.record(z.string(), loadSchema),
  groups: z.record(z.string().max(60), groupSchema),
  supply: supplySchema,
  ...RIG,
  /** Parts of the workshop’s own that the job uses, with the data it was planned with. */
  parts: z.record(z.string().max(60), partSchema),
  /** The vehicle with the workshop's own dimensions; null: the shipped one of its kind. */
  vehicle: vehicleSchema.nullable(),
  places: z.record(z.string(), placementSchema),
  board: boardSchema.nullable(),
  plugs: z.record(z.string(), plugEditSchema),
  runs: z.record(z.string(), runEditSchema),
  accepted: z.record(z.string(), acceptedSchema),
  settings: settingsSchema,
});

export type Design = z.infer<typeof designSchema>;
export type Brief = z.infer<typeof briefSchema>;
export type Trip = Brief['trip'];
export type Existing = z.infer<typeof existingSchema>;
export type Trace = z.infer<typeof traceSchema>;
export type Load = z.infer<typeof loadSchema>;
export type Feed = z.infer<typeof feedSchema>;
export type LoadGroup = z.infer<typeof groupSchema>;
export type Supply = z.infer<typeof supplySchema>;
export type Batteries = z.infer<typeof batteriesSchema>;
export type RigBank = z.infer<typeof bankSchema>;
export type RigArray = z.infer<typeof arraySchema>;
export type RigConverter = z.infer<typeof converterSchema>;
export type RigLink = z.infer<typeof linkSchema>;
export type RigDistribution = z.infer<typeof distributionSchema>;
export type RigSwitch = z.infer<typeof switchgearSchema>;
export type RigMonitor = z.infer<typeof monitorSchema>;
export type Settings = z.infer<typeof settingsSchema>;
export type Placement = z.infer<typeof placementSchema>;
export type Board = z.infer<typeof boardSchema>;
export type PlugEdit = z.infer<typeof plugEditSchema>;
export type RunEdit = z.infer<typeof runEditSchema>;
export type Purpose = (typeof PURPOSES)[number];

import { z } from 'zod';
import { partSchema } from '../catalogue/index.js';
import { METER_DEFAULTS } from '../verdicts/index.js';
import { briefSchema, type existingSchema, type traceSchema } from './brief-schema.js';
import { text, thingId } from './common-schema.js';
import { type feedSchema, type loadSchema, type PURPOSES } from './load-schema.js';
import { couplingSchema, furtherVehicleSchema, type groupSchema, OF_VEHICLE, type runEditSchema } from './of-vehicle-schema.js';
import { type airSchema, type boardSchema, type placementSchema, type plugEditSchema } from './places-schema.js';
import { type arraySchema, type bankSchema, type batteriesSchema, type converterSchema, type distributionSchema, type linkSchema, type monitorSchema, type switchgearSchema } from './rig-schema.js';
import { type supplySchema } from './supply-schema.js';

export const SCHEMA_VERSION = 6;

/** Smallest sizes by use, mm², and the smallest fuse of a general circuit, A: what a workshop fits though less would do. */
const customSchema = z.object({
  loadMm2: z.number().min(0.5).max(10),
  coldMm2: z.number().min(0.5).max(10),
  feedMm2: z.number().min(1).max(50),
  leadMm2: z.number().min(1).max(95),
  loadFuseA: z.number().min(1).max(15),
});

export const USUAL_CUSTOM: z.infer<typeof customSchema> = { loadMm2: 1.5, coldMm2: 2.5, feedMm2: 10, leadMm2: 16, loadFuseA: 5 };

/** An instrument as its leaflet and its label say: what it may be off by, as a share of what it reads and in its unit, and when it was last checked. */
const meterClassSchema = z.object({
  name: text(60).default(''),
  share: z.number().min(0).max(0.2),
  absolute: z.number().min(0).max(5),
  checkedOn: z.iso.date().nullable().default(null),
});
export type MeterClass = z.infer<typeof meterClassSchema>;

const metersSchema = z.object({ volt: meterClassSchema, clamp: meterClassSchema, shunt: meterClassSchema });

export const USUAL_METERS: z.infer<typeof metersSchema> = {
  volt: { name: '', checkedOn: null, ...METER_DEFAULTS.volt },
  clamp: { name: '', checkedOn: null, ...METER_DEFAULTS.clamp },
  shunt: { name: '', checkedOn: null, ...METER_DEFAULTS.shunt },
};

/** Torque by stud where no maker says, N·m. */
const nm = z.number().min(0.2).max(80);
const torqueSchema = z.object({ M4: nm, M5: nm, M6: nm, M8: nm, M10: nm });

/** Soft battery inserts are often lower. */
export const USUAL_TORQUE_NM: z.infer<typeof torqueSchema> = { M4: 1.5, M5: 3, M6: 5, M8: 12, M10: 20 };

/** In what prices are said, and what comes on top; an empty sign: bare planning prices. */
const moneySchema = z.object({ sign: text(6), tax: text(20), taxPercent: z.number().min(0).max(50) });
export type Money = z.infer<typeof moneySchema>;

/** What a quote asks beside the parts’ own prices, and for how long it stands; without tax. */
const quoteTermsSchema = z.object({
  /** Money for an hour of work; 0: labour is not asked for. */
  hourRate: z.number().min(0).max(10000),
  /** On top of the parts’ prices, per cent. */
  marginPercent: z.number().min(0).max(200),
  validDays: z.number().int().min(1).max(365),
  /** What a quote says is not in it, beside what follows from the job. */
  notIncluded: text(1000),
});
export type QuoteTerms = z.infer<typeof quoteTermsSchema>;

/** Planning figures, until a workshop says its own. */
export const USUAL_TERMS: QuoteTerms = { hourRate: 110, marginPercent: 20, validDays: 30, notIncluded: '' };

/** How a workshop numbers its fuses: by their runs or counted by themselves, with a prefix before either. */
export const fuseMarksSchema = z.object({ by: z.enum(['their run', 'their own count']), prefix: text(4) });
export const USUAL_MARKS = { by: 'their run', prefix: '' } as const;

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
  /** A short above what a block's fuse breaks, behind one that breaks it all: usual here and no finding, to be looked at, or not to be built so. */
  backup: z.enum(['note', 'look', 'stop']).default('look'),
  /** What readings are judged by. */
  meters: metersSchema.default(USUAL_METERS),
  torqueNm: torqueSchema.default(USUAL_TORQUE_NM),
  fuseMarks: fuseMarksSchema.default(USUAL_MARKS),
  money: moneySchema.default({ sign: '', tax: '', taxPercent: 0 }),
  quote: quoteTermsSchema.default(USUAL_TERMS),
});

/** One job's design: the only document that is edited, always by patches. */
export const designSchema = z.object({
  schemaVersion: z.literal(SCHEMA_VERSION),
  brief: briefSchema,
  ...OF_VEHICLE,
  /** Parts of the workshop’s own that the job uses, with the data it was planned with. */
  parts: z.record(z.string().max(60), partSchema),
  /** Vehicles beside the one that the job began with, and what joins vehicles to one another. */
  vehicles: z.record(thingId, furtherVehicleSchema).default({}),
  couplings: z.record(thingId, couplingSchema).default({}),
  settings: settingsSchema,
});

export type Design = z.infer<typeof designSchema>;
export type FurtherVehicle = z.infer<typeof furtherVehicleSchema>;
export type Coupling = z.infer<typeof couplingSchema>;
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
export type Air = z.infer<typeof airSchema>;
export type Board = z.infer<typeof boardSchema>;
export type PlugEdit = z.infer<typeof plugEditSchema>;
export type RunEdit = z.infer<typeof runEditSchema>;
export type Purpose = (typeof PURPOSES)[number];

import { z } from 'zod';

export const SCHEMA_VERSION = 1;

export const VEHICLE_KINDS = ['tray-back', 'canopy-ute', 'wagon', 'van', 'caravan', 'camper', 'light-truck'] as const;
export type VehicleKind = (typeof VEHICLE_KINDS)[number];

const text = (most: number) => z.string().max(most, { message: `at most ${most} letters` });
const volts = z.union([z.literal(12), z.literal(24)]);
const partId = z.string().max(60).nullable();
const hour = z.number().min(0).max(24);

/** Hours of a day, [from, to); one that passes midnight is two. */
const spanSchema = z.tuple([hour, hour]);

export const briefSchema = z.object({
  customer: text(120),
  vehicleKind: z.enum(VEHICLE_KINDS),
  plate: text(20),
  /** Volts of the vehicle itself. */
  vehicleV: volts,
  alternator: z.object({ ratedA: z.number().min(0).max(1000), voltage: z.enum(['fixed', 'variable']) }),
  trip: z.object({
    days: z.number().int().min(1).max(365),
    drivingH: hour,
    /** Month of the trip, 1–12, and where: latitude with south negative. */
    month: z.number().int().min(1).max(12),
    latitudeDeg: z.number().min(-66).max(66),
    ambientC: z.number().min(-40).max(60),
  }),
  /** Kilograms that may still be added, as weighed; null: not known. */
  payloadLeftKg: z.number().min(0).max(20000).nullable(),
  notes: text(4000),
});

export const PURPOSES = ['fridge', 'electronics', 'lights', 'sockets', 'pump', 'heater', 'tools', 'other'] as const;

export const loadSchema = z.object({
  /** Place in the table. */
  order: z.number(),
  name: text(80),
  purpose: z.enum(PURPOSES),
  supply: z.enum(['dc', 'mains']),
  draw: z.object({ unit: z.enum(['W', 'A']), value: z.number().min(0).max(100000) }),
  /** How much of its hours it runs: a share of them, or so many hours a day. */
  use: z.discriminatedUnion('by', [z.object({ by: z.literal('duty'), duty: z.number().min(0).max(1) }), z.object({ by: z.literal('hours'), hours: hour })]),
  when: z.discriminatedUnion('at', [z.object({ at: z.enum(['all day', 'daytime', 'evening', 'night', 'driving']) }), z.object({ at: z.literal('hours'), spans: z.array(spanSchema).max(12) })]),
  critical: z.boolean(),
});

export const supplySchema = z.object({
  /** Volts of the house side. */
  houseV: volts,
  battery: z.object({ part: partId, count: z.number().int().min(1).max(12) }),
  isolation: z.enum(['dcdc', 'isolator', 'none']),
  dcdc: partId,
  isolator: partId,
  sun: z.object({ panel: partId, count: z.number().int().min(1).max(20), controller: partId }),
  mains: z.object({ charger: partId, hoursADay: hour }),
  inverter: partId,
  fuseBlock: partId,
  startingAh: z.number().min(20).max(400),
});

/** What a person has said of a run; everything else about it is drafted. */
export const runEditSchema = z.object({
  outM: z.number().min(0).max(200).optional(),
  backM: z.number().min(0).max(200).optional(),
  areaMm2: z.number().positive().max(300).optional(),
  fuseA: z.number().positive().max(1000).optional(),
  laid: z.enum(['air', 'conduit', 'insulation']).optional(),
  grouped: z.number().int().min(1).max(40).optional(),
  ambientC: z.number().min(-40).max(120).optional(),
});

export const settingsSchema = z.object({
  series: z.enum(['metric', 'gauge']),
  insulationC: z.union([z.literal(70), z.literal(90), z.literal(105), z.literal(125)]),
  tinned: z.boolean(),
  dropSchool: z.enum(['by purpose', '5 % everywhere']),
  /** Usable share of the bank; null: the chemistry's default. */
  usableShare: z.number().gt(0).lte(1).nullable(),
});

export const acceptedSchema = z.object({ by: text(80), reason: text(500), at: text(40) });

/** One job's design: the only document that is edited, always by patches. */
export const designSchema = z.object({
  schemaVersion: z.literal(SCHEMA_VERSION),
  brief: briefSchema,
  loads: z.record(z.string(), loadSchema),
  supply: supplySchema,
  /** Zone by gear. */
  places: z.record(z.string(), text(40)),
  runs: z.record(z.string(), runEditSchema),
  accepted: z.record(z.string(), acceptedSchema),
  settings: settingsSchema,
});

export type Design = z.infer<typeof designSchema>;
export type Brief = z.infer<typeof briefSchema>;
export type Load = z.infer<typeof loadSchema>;
export type Supply = z.infer<typeof supplySchema>;
export type RunEdit = z.infer<typeof runEditSchema>;
export type Purpose = (typeof PURPOSES)[number];

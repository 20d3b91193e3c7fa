import { z } from 'zod';
import { hour, partId, text, volt, volts } from './common-schema.js';

export const VEHICLE_KINDS = ['tray-back', 'canopy-ute', 'wagon', 'van', 'caravan', 'camper', 'light-truck', 'slide-on', 'portable-box'] as const;
export type VehicleKind = (typeof VEHICLE_KINDS)[number];

/** What people do with the vehicle; each calls for its usual loads. */
export const USES = ['weekends', 'touring', 'remote work', 'mobile workshop', 'events', 'living aboard'] as const;
export type Use = (typeof USES)[number];

/** Functions that one piece of gear can have; whoever takes it out must see to each. */
export const FUNCTIONS = [
  'starts the engine',
  'stores charge',
  'charges from the vehicle',
  'charges from the sun',
  'charges from mains',
  'isolates the starting battery',
  'fuses',
  'low-voltage cut-off',
  'measures',
  'makes 230 V',
] as const;
export type GearFunction = (typeof FUNCTIONS)[number];

const outsideMm = z.number().min(1, { message: 'from 1 to 5000 mm is accepted' }).max(5000, { message: 'from 1 to 5000 mm is accepted' });

/** Gear that is in the vehicle already. */
export const existingSchema = z.object({
  order: z.number(),
  name: text(80),
  /** Part of the catalogue whose data it has; null: its own data as far as known. */
  part: partId,
  verdict: z.enum(['keep', 'move', 'remove']),
  does: z.array(z.enum(FUNCTIONS)).max(FUNCTIONS.length),
  /** Signed omissions by function: who said that nothing need take it over. */
  omitted: z.partialRecord(z.enum(FUNCTIONS), text(80)),
  /** What its plate says, as far as known: Ah of a battery, A of a charger, W of anything else. */
  own: z.object({ capacityAh: z.number().positive().max(2000).nullable(), outputA: z.number().positive().max(500).nullable(), watts: z.number().positive().max(20000).nullable() }),
  ageYears: z.number().min(0).max(60).nullable(),
  kg: z.number().min(0).max(2000).nullable(),
  /** Outside, mm: across, up, out of what it is fixed to; null: not measured, so that it has no place in the pictures. */
  mm: z.tuple([outsideMm, outsideMm, outsideMm]).nullable().default(null),
  notes: text(500),
});

/** A wire of an undocumented loom, as it was traced. */
export const traceSchema = z.object({
  order: z.number(),
  colour: text(40),
  from: text(80),
  to: text(80),
  live: z.enum(['always', 'ignition on', 'accessory', 'lights on', 'never', 'not tested']),
  areaMm2: z.number().positive().max(300).nullable(),
  lengthM: z.number().min(0).max(200).nullable(),
  fuseA: z.number().positive().max(1000).nullable(),
  verdict: z.enum(['keep', 'remove', 'undecided']),
  /** Battery at its end, and what hangs on it already, A; null: not measured. */
  fedFrom: z.enum(['house', 'vehicle']),
  presentA: z.number().min(0).max(500).nullable(),
  /** Where its fuse is: box and slot, and which blade is the fed side. */
  slot: text(60),
  /** Airbags, brakes, steering, stability: never to be tapped. */
  safety: z.boolean(),
  /** Run of the plan that this wire serves; null: none. */
  run: z.string().max(60).nullable(),
});

export const tripSchema = z.object({
  /** Region of the shipped table, which gives latitude, sky and temperatures; null: the figures beside it. */
  region: z.string().max(40).nullable(),
  /** Month of the trip, 1–12, and where: latitude with south negative. */
  month: z.number().int().min(1).max(12),
  latitudeDeg: z.number().min(-66).max(66),
  ambientC: z.number().min(-40).max(60),
  days: z.number().int({ message: 'whole days are accepted' }).min(1, { message: 'from 1 to 365 days is accepted' }).max(365, { message: 'from 1 to 365 days is accepted' }),
  /** Hours driven on a travel day. */
  drivingH: hour,
  /** Days parked after each travel day. */
  parkedDays: z.number().int().min(0).max(365),
  /** Hours of mains at night, and on which nights. */
  mainsH: hour,
  mainsNights: z.enum(['never', 'travel days', 'parked days', 'every night']),
  /** Days that differ from the pattern, by number from 1. */
  dayEdits: z.record(z.string().regex(/^\d{1,3}$/), z.object({ drivingH: hour.optional(), mainsH: hour.optional() })),
});

export const briefSchema = z.object({
  customer: text(120),
  vehicleKind: z.enum(VEHICLE_KINDS),
  plate: text(20),
  /** Volts of the vehicle itself. */
  vehicleV: volts,
  alternator: z.object({
    ratedA: z.number().min(0).max(1000),
    voltage: z.enum(['fixed', 'variable']),
    /** What the vehicle itself takes; null: the default. */
    vehicleA: z.number().min(0).max(500).nullable(),
    /** Volts at the starting battery as measured on a drive; null: the default of its kind. */
    measured: z.object({ coldIdleV: volt, cruiseV: volt, overrunV: volt, warmIdleV: volt }).nullable(),
    /** It stands with the engine running for hours, as at a work site. */
    idlesForHours: z.boolean().default(false),
  }),
  use: z.enum(USES),
  trip: tripSchema,
  /** Kilograms that may still be added, as weighed; null: not known. */
  payloadLeftKg: z.number().min(0).max(20000).nullable(),
  /** Most that the parts may cost, in whole currency units; null: not said. */
  budget: z.number().min(0).max(1e6).nullable(),
  /** Day from which care is counted: it left the workshop; null: it has not. */
  careFrom: z.iso.date({ message: 'a day such as 2026-12-03 is accepted' }).nullable().default(null),
  existing: z.record(z.string(), existingSchema),
  traces: z.record(z.string(), traceSchema),
  notes: text(4000),
});

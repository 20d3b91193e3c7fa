import { z } from 'zod';
import { briefSchema } from './brief-schema.js';
import { text, thingId } from './common-schema.js';
import { loadSchema } from './load-schema.js';
import { mainsSchema, nothingSaid } from './mains-schema.js';
import { airSchema, boardSchema, placementSchema, plugEditSchema } from './places-schema.js';
import { RIG } from './rig-schema.js';
import { supplySchema } from './supply-schema.js';
import { vehicleSchema } from './vehicle-schema.js';

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

/** Loads that share one feed: behind a row of switches, or on a joint strip. */
export const groupSchema = z.object({
  order: z.number(),
  name: text(80),
  kind: z.enum(['switch bank', 'joint strip']),
  /** One fuse for all of them, in the feed; or one in each tail as well. */
  fuses: z.enum(['one for all', 'one each']),
});

/** One sheathed cable with several cores, in which runs lie that go the same way. */
export const multicoreSchema = z.object({
  order: z.number(),
  name: text(60),
  /** Keys of its runs. */
  runs: z.array(z.string().max(80)).max(20),
  /** Each run goes back in a core of its own, or those of one bar together in as many as their sum asks for. */
  back: z.enum(['own', 'common']),
  /** Cores of the cable that is bought; null: the least that is stocked. */
  cores: z.number().int().min(2).max(40).nullable(),
  /** Colours of its cores in the order in which they are taken, as they stand on the cable; makers differ. None: by number. */
  colours: z.array(text(24)).max(40).default([]),
});

const quantity = z.number().min(0, { message: 'from 0 is accepted' }).max(9999, { message: 'up to 9999 is accepted' });

/** What was got of one line of the order. */
export const boughtSchema = z.object({
  /** What it was called when it was got: the plan may ask for it no more. */
  what: text(160),
  unit: z.enum(['pc', 'm']),
  /** Asked for in all, from a supplier or off the shelf, and how much of it is here. */
  count: quantity,
  here: quantity,
  from: text(80),
  /** Day on which the rest should be here; null: nobody said. */
  due: z.iso.date({ message: 'a day such as 2026-12-03 is accepted' }).nullable(),
  /** How much of it the workshop’s shelf gave; below 0: so much went on to it. */
  shelf: z.number().min(-9999).max(9999).default(0),
});

/** What a supplier asks for one of a line of the order, without tax, and as of which day. */
export const pricedSchema = z.object({
  each: z.number().positive({ message: 'above 0 is accepted' }).max(1_000_000),
  from: text(80),
  on: z.iso.date({ message: 'a day such as 2026-12-03 is accepted' }),
});

export const acceptedSchema = z.object({ by: text(80), reason: text(500), at: text(40) });

/** What stands with one vehicle: what it feeds, its rig, and where all of it is. */
export const OF_VEHICLE = {
  loads: z.record(z.string(), loadSchema),
  groups: z.record(z.string().max(60), groupSchema),
  supply: supplySchema,
  ...RIG,
  /** The vehicle with the workshop's own dimensions; null: the shipped one of its kind. */
  vehicle: vehicleSchema.nullable(),
  places: z.record(z.string(), placementSchema),
  board: boardSchema.nullable(),
  /** Fans by the zone that they air. */
  air: z.record(z.string().max(40), airSchema).default({}),
  plugs: z.record(z.string(), plugEditSchema),
  runs: z.record(z.string(), runEditSchema),
  multicores: z.record(thingId, multicoreSchema).default({}),
  /** By the line of the order. */
  bought: z.record(z.string().max(160), boughtSchema).default({}),
  /** By the line of the order; a line that is not here is reckoned with the default for planning. */
  prices: z.record(z.string().max(160), pricedSchema).default({}),
  accepted: z.record(z.string(), acceptedSchema),
  mains: mainsSchema.default(nothingSaid),
} as const;

/** A further vehicle of a job; its customer, trip and money are the job’s, its ids its own. */
export const furtherVehicleSchema = z.object({
  order: z.number(),
  name: text(60),
  /** The vehicle in whose body it stands, as a further rig there with a bank of its own; null: it is a vehicle itself. */
  within: thingId.nullable().default(null),
  brief: briefSchema.omit({ customer: true, trip: true, budget: true }),
  ...OF_VEHICLE,
});

/** What joins two vehicles of a job. */
export const couplingSchema = z.object({
  order: z.number(),
  name: text(60),
  from: thingId,
  to: thingId,
  /** Charge from the engine of one to the rig of the other, by a plug; a mains lead from an inverter’s outlet to an inlet; or a DC lead from the bank of one to the inlet of a charger of the other. */
  carries: z.enum(['charge', 'mains', 'dc']),
  /** Of a lead: the load that is its outlet in the giving vehicle, whose hours and watts are the lead’s, and the inlet that it goes into. */
  outlet: thingId.nullable(),
  inlet: thingId.nullable(),
  /** Charge of the giving bank below which the lead rests, 0–1. */
  floorSoc: z.number().min(0).max(1),
});

import { z } from 'zod';
import { hour, share, spanSchema, text, thingId } from './common-schema.js';

export const PURPOSES = ['fridge', 'electronics', 'lights', 'sockets', 'pump', 'heater', 'tools', 'cooking', 'medical', 'brakes', 'fan', 'other'] as const;

/** What a load draws: by its plate, by a measurement of one cycle at nominal volts, or by the energy of a day. */
export const drawSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('plate'), unit: z.enum(['W', 'A']), value: z.number().min(0).max(100000) }),
  z.object({ by: z.literal('measured'), onA: z.number().min(0).max(1000), onS: z.number().min(0).max(86400), offS: z.number().min(0).max(86400) }),
  z.object({ by: z.literal('energy'), whDay: z.number().min(0).max(100000) }),
]);

/** How much of its hours a load runs: a share, hours a day, or the duty at 25 °C of a fridge or freezer that is kept at so many degrees, which grows with the heat. */
export const useSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('duty'), duty: share }),
  z.object({ by: z.literal('hours'), hours: hour }),
  z.object({ by: z.literal('fridge'), duty25: share, insideC: z.number().min(-40).max(15) }),
]);

export const whenSchema = z.discriminatedUnion('at', [
  z.object({ at: z.enum(['all day', 'daytime', 'evening', 'night', 'driving']) }),
  z.object({ at: z.literal('hours'), spans: z.array(spanSchema).max(12) }),
]);

/**
 * What a load's own wire starts at: a way of the fuse block (or a fuse at the bus bars), a battery's own post, a switch
 * bank or joint strip that it shares, or a circuit that is there already and how that is tapped.
 */
export const feedSchema = z.discriminatedUnion('by', [
  /** `on`: the block whose way it is; without it the nearest that has one free. */
  z.object({ by: z.literal('own'), on: thingId.optional() }),
  /** A battery's own post, before every switch: always live. */
  z.object({ by: z.literal('battery'), of: z.enum(['house', 'vehicle']) }),
  z.object({ by: z.literal('group'), group: z.string().max(60) }),
  z.object({ by: z.literal('wire'), wire: z.string().max(60), how: z.enum(['joint', 'fuse tap', 'piercing tap']) }),
]);

export const loadSchema = z.object({
  /** Place in the table. */
  order: z.number(),
  name: text(80),
  purpose: z.enum(PURPOSES),
  supply: z.enum(['dc', 'mains']),
  draw: drawSchema,
  use: useSchema,
  when: whenSchema,
  critical: z.boolean(),
  /** Drawn all day while it does not run, W. */
  standbyW: z.number().min(0).max(5000),
  /** Starting current over running current. */
  surge: z.number().min(1).max(20),
  /** Dimmer, 0–1 of full power. */
  dim: share,
  /** Loads that never run at the same time, by id. */
  neverWith: z.record(z.string(), z.literal(true)),
  /** What feeds it before the house battery does: mains when plugged in, the vehicle while driving, gas when parked. */
  also: z.object({ mains: z.boolean(), vehicle: z.boolean(), gas: z.boolean() }),
  feed: feedSchema,
  /** Rating of the plug or socket that it is put on by, A; null: wired. */
  plugA: z.number().min(1).max(350).nullable().default(null),
  /** The inverter whose outlet a mains load is on; without it the smallest that bears it. */
  inverter: thingId.optional(),
  /** An outlet into which a lead to another vehicle of the job is plugged. */
  lead: z.literal(true).optional(),
  light: z.object({ lumens: z.number().min(0).max(100000), colour: z.enum(['white', 'warm', 'amber', 'red']) }).nullable(),
});

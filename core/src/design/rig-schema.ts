import { z } from 'zod';
import { hour, partId, share, spanSchema, text, thingId } from './common-schema.js';

/** What every thing of a rig says: its place among its kind, and a name where the drafted one will not do. */
const thing = { order: z.number(), name: text(80) };

const refIn = <const C extends [string, ...string[]]>(collections: C) => z.object({ in: z.enum(collections), id: thingId });

/** Batteries of one part; those of a bank are joined, so that a bank may hold two parts. */
export const batteriesSchema = z.object({ order: z.number(), part: partId, count: z.number().int().min(1).max(12) });

export const bankSchema = z.object({
  ...thing,
  batteries: z.record(thingId, batteriesSchema),
  /** Switchgear that chooses between this bank and others; null: it is in use always. */
  selector: thingId.nullable(),
});

export const arraySchema = z.object({
  ...thing,
  part: partId,
  count: z.number().int().min(1).max(40),
  /** Panels in series in each string. */
  inSeries: z.number().int().min(1).max(10),
  /** Share of the light that never reaches the panels, 0–1. */
  shade: share,
  /** Put out when parked, for so many hours, with or without a regulator of its own; null: it is fixed. */
  portable: z.object({ regulated: z.boolean(), hours: hour }).nullable(),
  /** What takes its power: a converter with an input for panels, or straight a bank; null: nothing yet. */
  into: refIn(['converters', 'banks']).nullable(),
  /** What it is joined to takes from it only while the bank is below this charge, 0–1; null: always. */
  startBelow: share.nullable(),
});

export const converterSchema = z.object({
  ...thing,
  part: partId,
  /** The bank that it charges or draws on. */
  bank: thingId.nullable(),
  /** What feeds its DC input: a vehicle’s starting side, an inlet of a DC lead, a bank, another converter; null: nothing. */
  from: refIn(['vehicles', 'banks', 'converters', 'inlets']).nullable(),
  /** The mains inlet that its lead hangs on; null: none. */
  inlet: thingId.nullable(),
  /** Set to half its output. */
  half: z.boolean(),
  /** What switches it on, where it charges from a vehicle. */
  trigger: z.enum(['ignition wire', 'volts', 'always-live wire']),
  /** A switch in the trigger that keeps it off (steep hill, hot engine). */
  inhibit: z.boolean(),
});

/** A tie between a starting battery and a bank. */
export const linkSchema = z.object({ ...thing, part: partId, vehicle: thingId, bank: thingId });

export const inletSchema = z.object({
  ...thing,
  /** Hours of every day in which something feeds it beside the nights on site: a generator, another vehicle. */
  hours: z.array(spanSchema).max(6).default([]),
  /** Of a lead from another bank: its nominal volts, the most that its plugs bear, A, and how long the loose cable between them is, m; null: it is one for 230 V. */
  dc: z
    .object({ nominalV: z.union([z.literal(12), z.literal(24)]), mostA: z.number().min(1).max(300), leadM: z.number().min(0).max(50) })
    .nullable()
    .default(null),
});

export const distributionSchema = z.object({ ...thing, kind: z.enum(['bars', 'fuse block']), part: partId });

export const switchgearSchema = z.object({
  ...thing,
  /** A charging selector chooses the bank that is charged; the main switch, where a bank stands behind it, that which the loads hang on. */
  does: z.enum(['main switch', 'charging selector', 'disconnect']),
  part: partId,
  pole: z.enum(['positive', 'negative']),
});

/** What measures, shows or switches. */
export const monitorSchema = z.object({
  ...thing,
  part: partId,
  /** What it measures: a bank, a converter, an array, a load; null: what its name says, as a tank. */
  measures: thingId.nullable(),
  /** The remote unit that shows it and tells it what to do; null: itself, or nothing. */
  shownBy: thingId.nullable().default(null),
  /** Loads that its outputs switch, in their order. */
  switches: z.array(thingId).max(32).default([]),
  /** What closes its outputs beside a button: a reading above or below so much of its unit; null: the button alone. */
  when: z
    .object({ of: thingId, is: z.enum(['above', 'below']), value: z.number().min(-1000).max(10000) })
    .nullable()
    .default(null),
});

/** A monitor that nobody said more of. */
export const PLAIN_MONITOR = { name: '', measures: null, shownBy: null, switches: [], when: null } satisfies Omit<z.infer<typeof monitorSchema>, 'order' | 'part'>;

const keyed = <T extends z.ZodType>(of: T) => z.record(thingId, of);

/** The collections that a rig is made of; an id is used once in all of them. */
export const RIG = {
  banks: keyed(bankSchema),
  arrays: keyed(arraySchema),
  converters: keyed(converterSchema),
  links: keyed(linkSchema),
  inlets: keyed(inletSchema),
  distribution: keyed(distributionSchema),
  switchgear: keyed(switchgearSchema),
  monitors: keyed(monitorSchema),
} as const;

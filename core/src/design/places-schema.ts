import { z } from 'zod';
import { text } from './common-schema.js';

const onFaceMm = z.number().min(-20000).max(20000);
export const TURNS = [0, 90, 180, 270] as const;

/** Where a piece of gear is; what is not said is drafted. */
export const placementSchema = z.object({
  zone: text(40),
  /** Its place on a face: lower, forward corner in mm on that face; null: drafted somewhere in the zone. */
  on: z.object({ face: text(40), u: onFaceMm, v: onFaceMm, turn: z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]) }).nullable(),
  /** Fitted now, only provided for (way, cable and fuse), or left for later (space kept). */
  when: z.enum(['now', 'provision', 'later']),
});

const flow = z.number().min(0, { message: 'from 0 to 2000 m³/h is accepted' }).max(2000, { message: 'from 0 to 2000 m³/h is accepted' });

/** Fans of a closed space, by their plates, and its vents. */
export const airSchema = z.object({
  /** Drawn out, m³/h; its inlet has a dust filter. */
  outM3h: flow,
  /** Blown in behind a filter, m³/h, so that dust is kept out by pressure. */
  inM3h: flow,
  /** Air inside from which the thermostat lets them run, °C. */
  fromC: z.number().min(0).max(80),
  /** Free area of each of two vents, one low and one high, behind dust screens, cm²; absent: none. */
  ventCm2: z.number().min(0).max(2000).optional(),
});

/** The mounting board: a sheet on a face, which carries gear of its own. */
export const boardSchema = z.object({
  face: text(40),
  u: onFaceMm,
  v: onFaceMm,
  w: z.number().min(100, { message: 'from 100 mm is accepted' }).max(2400, { message: 'up to 2400 mm is accepted' }),
  h: z.number().min(100, { message: 'from 100 mm is accepted' }).max(2400, { message: 'up to 2400 mm is accepted' }),
  thickMm: z.number().min(3, { message: 'from 3 mm is accepted' }).max(40, { message: 'up to 40 mm is accepted' }),
  /** Side at which cables come in. */
  entry: z.enum(['bottom', 'top', 'left', 'right']),
});

/** What a person has said of a plug pair; the rest is drafted. */
export const plugEditSchema = z.object({
  colour: text(20).optional(),
  /** Feed and return are swapped at this plug. */
  swapped: z.boolean().optional(),
  cover: z.boolean().optional(),
  isolator: z.boolean().optional(),
  mount: z.enum(['flush', 'bracket', 'loose lead']).optional(),
});

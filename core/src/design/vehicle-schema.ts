import { z } from 'zod';
import { text } from './common-schema.js';

/** Version of the vehicle file; see docs/file-formats.md. */
export const VEHICLE_FORMAT = 1;

const id = z.string().regex(/^[a-z][a-z0-9-]{0,39}$/, { message: 'small letters, digits and dashes are accepted, a letter first, at most 40' });
const mm = z.number().min(-3000, { message: 'from −3000 mm is accepted' }).max(20000, { message: 'up to 20000 mm is accepted' });
const sizeMm = z.number().min(1, { message: 'from 1 mm is accepted' }).max(20000, { message: 'up to 20000 mm is accepted' });
const kg = z.number().min(0).max(50000);
const svgPath = z.string().regex(/^[MLHVQCAZmlhvqcaz0-9.,\s-]+$/, { message: 'an SVG path is accepted' });

/** A point, mm: x rearward from the front, y from the left side to the right, z up from the ground. */
export const pointSchema = z.object({ x: mm, y: mm, z: mm });
/** A box from its front, left, lower corner: l along x, w along y, h along z, mm. */
export const boxSchema = pointSchema.extend({ l: sizeMm, w: sizeMm, h: sizeMm });

export const WEATHERS = ['dry', 'dust', 'splash', 'spray'] as const;
export const HAZARDS = ['exhaust', 'steering', 'suspension', 'edge', 'stones', 'moving'] as const;
export const POINT_KINDS = ['starting battery', 'alternator', 'grommet', 'earth stud', 'trailer socket', 'mains inlet'] as const;
export const OPENING_KINDS = ['door', 'lid', 'drawer', 'slide', 'lifting floor', 'roof'] as const;
export const NORMALS = ['+x', '-x', '+y', '-y', '+z', '-z'] as const;

const carrierSchema = z.object({
  id,
  name: text(60),
  /** What may still be added when empty, kg; null: not stated. */
  payloadKg: kg.nullable(),
  /** Weight on the coupling: where it is, what it bears empty, and its limit. */
  drawbar: z.object({ x: mm, emptyKg: kg, limitKg: kg }).nullable(),
});

const zoneSchema = z.object({
  id,
  name: text(60),
  carrier: id,
  /** Air for sizing, °C. */
  ambientC: z.number().min(-40).max(120),
  /** People sit or sleep here. */
  people: z.boolean(),
  weather: z.enum(WEATHERS),
  stones: z.boolean(),
  reach: z.enum(['at hand', 'behind a lid', 'with tools']),
  /** What its walls are made of, for fixing. */
  surface: text(60),
  /** Its name stands inside the box, where a body line passes above it. */
  nameInside: z.boolean().optional(),
  box: boxSchema,
});

/** A rectangle that gear is fixed to. u runs along x on side walls, floor and top, along y on end walls; v runs up, on floor and top along y. */
const faceSchema = z.object({
  id,
  zone: id,
  name: text(60),
  /** Where its gear sticks out to. */
  normal: z.enum(NORMALS),
  at: pointSchema,
  w: sizeMm,
  h: sizeMm,
  limitKg: kg,
  /** Room behind the panel, mm; null: not known, look before drilling. */
  depthBehindMm: z.number().min(0).max(2000).nullable(),
  trim: text(120),
  /** What the factory put there. */
  protrusions: z.array(z.object({ name: text(60), u: mm, v: mm, w: sizeMm, h: sizeMm, outMm: sizeMm })).max(20),
});

const openingSchema = z.object({
  id,
  kind: z.enum(OPENING_KINDS),
  name: text(60),
  zone: id,
  /** All that it passes through when it moves. */
  sweep: boxSchema,
  /** Travel that a loom on it must follow, mm; 0: nothing rides on it. */
  travelMm: z.number().min(0).max(5000),
  holds: text(80),
});

const axleSchema = z.object({ id, name: text(60), carrier: id, x: mm, emptyKg: kg, limitKg: kg });
const keepSchema = z.object({
  id,
  name: text(60),
  box: boxSchema,
  /** Gear of another rig in the same body: where it stands, what it weighs and the heat that it gives off, W; absent: a part of the vehicle. */
  gear: z.object({ zone: id, kg, heatW: z.number().min(0).max(100000) }).optional(),
  /** It is the walls round a zone: gear in that zone stands free of it, all other gear outside. */
  round: id.optional(),
});
const knownPointSchema = z.object({
  id,
  kind: z.enum(POINT_KINDS),
  name: text(60),
  waypoint: id,
  note: text(120),
  /** Of a trailer socket: one of its pins feeds a fridge; absent: nobody has said. */
  feedsFridge: z.boolean().optional(),
});
const waypointSchema = z.object({ id, name: text(60), at: pointSchema, carrier: id, zone: id.nullable() });

/** A stretch that cable can follow between two waypoints. */
const waySchema = z.object({
  id,
  a: id,
  b: id,
  along: text(80),
  /** What bends, and what the picture leaves out, add to the straight line between the two points, mm. */
  moreMm: z.number().min(0).max(20000),
  ambientC: z.number().min(-40).max(120),
  hazards: z.array(z.object({ kind: z.enum(HAZARDS), nearMm: z.number().min(0).max(5000) })).max(6),
  conduit: z.boolean(),
  /** A pass through sheet or wall; stockMm: a hole that is there, bore in mm; null: to be drilled. */
  pass: z.object({ stockMm: z.number().min(1).max(200).nullable(), behind: text(120), outside: z.boolean() }).nullable(),
  /** Travel that the loom must follow here, mm. */
  movingMm: z.number().min(0).max(5000),
  /** Vehicle and trailer part here: every circuit needs a plug. */
  coupling: z.boolean(),
});

const layer = z.array(svgPath).max(60);
/** A view in layers, from the lowest up; one who draws by hand needs the first three. */
const drawingSchema = z.object({
  body: layer,
  glass: layer,
  lines: layer,
  /** Behind the panels. */
  under: layer.default([]),
  /** Where a panel turns away from the light. */
  shade: layer.default([]),
  /** What one looks into. */
  inside: layer.default([]),
  /** Rubber, plastic, black steel. */
  dark: layer.default([]),
  lamps: layer.default([]),
});

/** Gear that a draft sets down, by what it does. */
export const GEAR_ROLES = ['starting', 'charger', 'house', 'bus', 'block', 'inverter', 'panel', 'controller', 'mains', 'control', 'load'] as const;

/** A kind of vehicle with everything that places and runs need to know of it, in millimetres. */
export const vehicleSchema = z.object({
  format: z.literal(VEHICLE_FORMAT, { message: `format ${VEHICLE_FORMAT} is accepted` }),
  name: text(80).min(1, { message: 'a name is accepted, not nothing' }),
  lengthMm: sizeMm,
  widthMm: sizeMm,
  heightMm: sizeMm,
  side: drawingSchema,
  plan: drawingSchema,
  wheels: z.array(z.object({ x: mm, r: sizeMm, trackMm: sizeMm })).max(8),
  carriers: z.array(carrierSchema).min(1).max(3),
  zones: z.array(zoneSchema).min(1).max(24),
  faces: z.array(faceSchema).max(80),
  openings: z.array(openingSchema).max(30),
  axles: z.array(axleSchema).max(6),
  keep: z.array(keepSchema).max(2000),
  points: z.array(knownPointSchema).max(30),
  waypoints: z.array(waypointSchema).max(120),
  ways: z.array(waySchema).max(240),
  /** Face by role where a draft sets gear down. */
  usual: z.record(z.enum(GEAR_ROLES), id),
});

export type Vehicle = z.infer<typeof vehicleSchema>;
export type Zone = Vehicle['zones'][number];
export type Face = Vehicle['faces'][number];
export type Opening = Vehicle['openings'][number];
export type Axle = Vehicle['axles'][number];
export type Waypoint = Vehicle['waypoints'][number];
export type Way = Vehicle['ways'][number];
export type Hazard = (typeof HAZARDS)[number];
export type Weather = (typeof WEATHERS)[number];
export type Point = z.infer<typeof pointSchema>;
export type Box = z.infer<typeof boxSchema>;
export type GearRole = (typeof GEAR_ROLES)[number];

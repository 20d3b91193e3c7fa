import { z } from 'zod';
import { BLANK_EXISTING, BLANK_TRACE, FUNCTIONS, placementSchema, TURNS, type Design, type Existing, type Load, type Trace } from '../design/index.js';
import { loadFromLibrary, LOAD_LIBRARY } from '../loads/index.js';
import { command, Refused } from './command.js';
import { freshAmong, lastOrder, partOf } from './things.js';

const id = z
  .string()
  .regex(/^[a-z][a-z0-9-]*$/, { message: 'small letters, digits and dashes, a letter first' })
  .max(40);

/** Fields as given, each of them one that the thing has or may have. */
function checked<T extends object>(now: T, set: Readonly<Record<string, unknown>>, what: string, more: readonly string[] = []): T {
  const known = [...Object.keys(now), ...more.filter((k) => !(k in now))];
  const odd = Object.keys(set).find((k) => !known.includes(k));
  if (odd !== undefined) throw new Refused(`set.${odd}: not a field of ${what}; ${known.join(', ')} are accepted`);
  return { ...now, ...set };
}

const fields = z.record(z.string(), z.unknown()).default({});

/** Fields of a load that most have not. */
const MAY_HAVE: readonly (keyof Load)[] = ['inverter'];

/** An appliance of the library, with fields of its own where it differs. */
export const addLoad = command({
  input: z.strictObject({ id: id.optional(), item: id, size: z.number().positive().optional(), set: fields }),
  words: (i) => `a load: ${i.item}`,
  change: (d, i) => {
    const load = loadFromLibrary(i.item, lastOrder(d.loads), i.size);
    if (!load) throw new Refused(`item: ${i.item} is none of the library; ${LOAD_LIBRARY.map((l) => l.id).join(', ')} are accepted`);
    d.loads[freshAmong(d.loads, i.id, i.item)] = checked<Load>(load, i.set, i.item, MAY_HAVE);
  },
});

function loadOf(d: Design, load: string): Load {
  const found = d.loads[load];
  if (!found) throw new Refused(`load: ${load} is not there; ${Object.keys(d.loads).join(', ') || 'there are none yet'}`);
  return found;
}

/** Changes fields of a load: what it draws, when, what its wire starts at. */
export const setLoad = command({
  input: z.strictObject({ load: z.string().max(60), set: fields }),
  words: (i) => `${Object.keys(i.set).join(', ')} of ${i.load}`,
  change: (d, { load, set }) => void (d.loads[load] = checked<Load>(loadOf(d, load), set, load, MAY_HAVE)),
});

/** Takes a load out, with what hung on it. */
export const removeLoad = command({
  input: z.strictObject({ load: z.string().max(60) }),
  words: (i) => `without ${i.load}`,
  change: (d, { load }) => {
    loadOf(d, load);
    delete d.loads[load];
  },
});

/** Gear that is in the vehicle already: kept, moved or taken out, with what it does and who signed for what nothing takes over. */
export const addExisting = command({
  input: z.strictObject({ id: id.optional(), name: z.string().min(1).max(80), does: z.array(z.enum(FUNCTIONS)).default([]), set: fields }),
  words: (i) => `in it already: ${i.name}`,
  change: (d, i, catalogue) => {
    if (typeof i.set['part'] === 'string') partOf(catalogue, [...new Set(catalogue.parts.map((p) => p.kind))], i.set['part']);
    const made = freshAmong(d.brief.existing, i.id, 'gear');
    d.brief.existing[made] = checked<Existing>({ ...BLANK_EXISTING, order: lastOrder(d.brief.existing), name: i.name, does: i.does }, i.set, i.name);
  },
});

/** A wire of an undocumented loom, as it was traced. */
export const addTrace = command({
  input: z.strictObject({ id: id.optional(), set: fields }),
  words: (i) => `a wire as traced: ${String(i.set['colour'] ?? '')}`,
  change: (d, i) => {
    const made = freshAmong(d.brief.traces, i.id, 'wire');
    d.brief.traces[made] = checked<Trace>({ ...BLANK_TRACE, order: lastOrder(d.brief.traces) }, i.set, 'a traced wire');
  },
});

/** Where a piece of gear is: a zone, or a spot of a face; and whether it is fitted now, provided for, or left for later. */
export const place = command({
  input: z.strictObject({
    gear: z.string().max(60),
    zone: z.string().max(40),
    on: z
      .strictObject({ face: z.string().max(40), u: z.number(), v: z.number(), turn: z.union(TURNS.map((t) => z.literal(t))).default(0) })
      .nullable()
      .default(null),
    when: placementSchema.shape.when.default('now'),
  }),
  words: (i) => `${i.gear} in ${i.zone}`,
  change: (d, { gear, zone, on, when }) => {
    d.places[gear] = { zone, on: on && { ...on, turn: on.turn as 0 | 90 | 180 | 270 }, when };
  },
});

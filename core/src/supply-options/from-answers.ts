import { catalogueOf, type Catalogue } from '../catalogue/index.js';
import { doCommands, type Asked } from '../commands/index.js';
import { withVehicle } from '../couplings/index.js';
import { asFurther, blankDesign, editDesign, OWN, vehicleIds, type Design } from '../design/index.js';
import { LOAD_LIBRARY } from '../loads/index.js';
import { inWords, type Finding } from '../rules/index.js';
import { threeDrafts, TIERS } from './drafts.js';
import { finish } from './finish.js';
import { takeDraft } from './take.js';
import { applyIntake, intakeOf, intakeSchema, type Intake } from './intake.js';

/** A job made of answers, with what is worth saying about it; or what is wrong with the answers, naming the field. */
export type FromAnswers = { readonly ok: true; readonly design: Design; readonly remarks: readonly string[] } | { readonly ok: false; readonly message: string };

class Wrong extends Error {}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);
const came = (value: unknown): string => JSON.stringify(value)?.slice(0, 40) ?? 'nothing';

/** What is said of one vehicle beside the ten answers. */
const BESIDE = ['customer', 'tier', 'commands', 'vehicles', 'couplings', 'name', 'rig', 'within'] as const;

interface Said {
  readonly intake: Intake;
  readonly tier: (typeof TIERS)[number];
  readonly name: string;
  /** It only tows or carries. */
  readonly noRig: boolean;
  /** The vehicle in whose body it stands, as a further rig there; null: it is a vehicle itself. */
  readonly within: string | null;
}

/** Ten answers about one vehicle; what they leave out is as in the design given. */
function saidOf(raw: unknown, at: string, blank: Design): Said {
  if (!isObject(raw)) throw new Wrong(`${at || 'answers'}: got ${came(raw)}; an object is accepted`);
  const field = (name: string): string => (at ? `${at}.${name}` : name);
  const given = Object.fromEntries(Object.entries(raw).filter(([k]) => !BESIDE.some((b) => b === k)));
  const { tier = 'sound', name = '', rig = 'drafted', within = null } = raw;
  if (!TIERS.includes(tier as Said['tier'])) throw new Wrong(`${field('tier')}: got ${came(tier)}; one of ${TIERS.join(', ')} is accepted`);
  if (typeof name !== 'string' || name.length > 60) throw new Wrong(`${field('name')}: got ${came(name)}; at most 60 letters are accepted`);
  if (rig !== 'drafted' && rig !== 'none') throw new Wrong(`${field('rig')}: got ${came(rig)}; drafted, none are accepted`);
  if (within !== null && typeof within !== 'string') throw new Wrong(`${field('within')}: got ${came(within)}; the id of a vehicle is accepted`);
  // What the job is for settles the usual answer to the others.
  const use = intakeSchema.shape.use.safeParse(given['use'] ?? blank.brief.use);
  if (!use.success) throw new Wrong(`${field('use')}: ${use.error.issues[0]!.message}`);
  const usual = { ...intakeOf({ ...blank, brief: { ...blank.brief, use: use.data } }), ...(given['vehicleKind'] === 'light-truck' ? { houseV: 24 } : {}) };
  const unknown = Object.keys(given).find((k) => !(k in usual));
  if (unknown) throw new Wrong(`${field(unknown)}: not an answer; ${[...Object.keys(usual), ...BESIDE].join(', ')} are accepted`);
  const parsed = intakeSchema.safeParse({ ...usual, ...given });
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    throw new Wrong(`${field(issue.path.join('.') || 'answers')}: ${issue.message}`);
  }
  const wish = parsed.data.wishes.find((w) => !LOAD_LIBRARY.some((i) => i.id === w.id));
  if (wish) throw new Wrong(`${field('wishes')}: got ${came(wish.id)}; an appliance of the library is accepted: ${LOAD_LIBRARY.map((i) => i.id).join(', ')}`);
  return { intake: parsed.data, tier: tier as Said['tier'], name, noRig: rig === 'none', within };
}

/** A design with nothing in it but its vehicle. */
const bare = (d: Design): Design => ({ ...d, loads: {}, banks: {}, arrays: {}, converters: {}, links: {}, distribution: {}, switchgear: {}, monitors: {} });

/** The job with one of its vehicles changed. */
function changed(job: Design, id: string, catalogue: Catalogue, change: (view: Design) => Design): Design {
  const edited = withVehicle(job, id, catalogue, (shown) => ({ ok: true, design: change(shown) }));
  if (!edited.ok) throw new Wrong(`${id}: ${edited.message}`);
  return edited.design;
}

function commanded(job: Design, field: string, commands: unknown, more: (c: Record<string, unknown>) => object = () => ({})): Design {
  if (!Array.isArray(commands)) throw new Wrong(`${field}: got ${came(commands)}; an array of { do, with } is accepted`);
  const odd = commands.findIndex((c) => !isObject(c) || typeof c['do'] !== 'string');
  if (odd >= 0) throw new Wrong(`${field}.${odd}: got ${came(commands[odd])}; { do, with } is accepted`);
  const done = doCommands(job, (commands as Record<string, unknown>[]).map((c) => ({ ...c, ...more(c) })) as unknown as Asked[]);
  if (!done.ok) throw new Wrong(done.message.replace(/^commands/, field));
  return done.design;
}

/** Every vehicle with what the program knows how to mend, and the stops that stay; what is usually fitted too, where the job is a draft. */
function finished(job: Design, usual: boolean): { readonly design: Design; readonly stops: readonly Finding[] } {
  const stops: Finding[] = [];
  let now = job;
  for (const id of vehicleIds(job))
    now = changed(now, id, catalogueOf(now), (view) => {
      if (!Object.keys(view.banks).length) return view;
      const done = finish(view, catalogueOf(view), usual);
      stops.push(...done.stops);
      return done.design;
    });
  return { design: now, stops };
}

/** Does commands to a job one after another, and mends what the program knows how to mend. */
export function afterCommands(job: Design, commands: unknown): FromAnswers {
  return tried(() => {
    const done = commanded(job, 'commands', commands);
    if (Array.isArray(commands) && !commands.length) return { design: done, remarks: [] };
    const { design, stops } = finished(done, false);
    return { design, remarks: stops.map((f) => inWords(f).say) };
  });
}

function tried(make: () => { readonly design: Design; readonly remarks: readonly string[] }): FromAnswers {
  try {
    return { ok: true, ...make() };
  } catch (trouble) {
    if (trouble instanceof Wrong) return { ok: false, message: trouble.message };
    throw trouble;
  }
}

/** Answers about the trip, which is the job's: a further vehicle has none of its own. */
const OF_TRIP = ['where', 'days', 'drivingH', 'mains'] as const;

/** Answers about the body and its engine, which all rigs in it share. */
const OF_BODY = ['vehicleKind', 'alternator'] as const;

const VEHICLE_ID = /^[a-z][a-z0-9-]{0,39}$/;

/** A further rig in the body of a vehicle that was said before it: its kind and engine are that one's. */
function inBody(one: Said, said: ReadonlyMap<string, Said>, raw: object, at: string): Said {
  const bodies = [...said].filter(([, v]) => v.within === null).map(([id]) => id);
  const body = bodies.includes(one.within!) ? said.get(one.within!)! : null;
  if (!body) throw new Wrong(`${at}.within: got ${came(one.within)}; a vehicle that is said before it is accepted: ${bodies.join(', ')}`);
  const twice = OF_BODY.find((k) => k in raw);
  if (twice) throw new Wrong(`${at}.${twice}: it is that of ${one.within}, in which this rig stands; say it once, there`);
  return { ...one, intake: { ...one.intake, vehicleKind: body.intake.vehicleKind, alternator: body.intake.alternator } };
}

/** What is said of each vehicle, the one of the job itself first. */
function everySaid(own: Said, vehicles: Readonly<Record<string, unknown>>, first: Design): ReadonlyMap<string, Said> {
  const said = new Map<string, Said>([[OWN, own]]);
  for (const [id, v] of Object.entries(vehicles)) {
    if (id === OWN || !VEHICLE_ID.test(id)) throw new Wrong(`vehicles.${id}: small letters, digits and dashes, a letter first, and not ${OWN}, are accepted as an id`);
    const twice = isObject(v) ? OF_TRIP.find((k) => k in v) : undefined;
    if (twice) throw new Wrong(`vehicles.${id}.${twice}: the trip is that of the job; say it once, beside customer`);
    const one = saidOf(v, `vehicles.${id}`, first);
    said.set(id, one.within === null ? one : inBody(one, said, v as object, `vehicles.${id}`));
  }
  return said;
}

/** The vehicles of a job, with their loads and engines, and nothing built into them yet. */
function empty(customer: string, said: ReadonlyMap<string, Said>): Design {
  const job = applyIntake(blankDesign(customer), said.get(OWN)!.intake);
  if (said.size === 1) return job;
  const vehicles = [...said].slice(1).map(([id, v], n) => [id, { ...asFurther(bare(applyIntake(blankDesign(customer), v.intake)), n + 1, v.name), within: v.within }] as const);
  const made = { ...bare(job), vehicles: Object.fromEntries(vehicles) };
  const checked = editDesign(made, [{ op: 'test', path: '/schemaVersion', value: made.schemaVersion }]);
  if (!checked.ok) throw new Wrong(checked.message);
  return checked.design;
}

/** Couplings of one sort, plugs or leads, as they stand in answers, each of them a command. */
function coupled(job: Design, raw: unknown, leads: boolean): Design {
  if (!Array.isArray(raw)) throw new Wrong(`couplings: got ${came(raw)}; an array of { from, to } is accepted`);
  let now = job;
  for (const [i, c] of (raw as unknown[]).entries()) {
    if (!isObject(c)) throw new Wrong(`couplings.${i}: got ${came(c)}; { from, to } is accepted`);
    if ((c['carries'] === 'mains' || c['carries'] === 'dc') !== leads) continue;
    const done = doCommands(now, [{ do: 'couple', with: c }]);
    if (!done.ok) throw new Wrong(done.message.replace(/^commands\.0/, `couplings.${i}`));
    now = done.design;
  }
  return now;
}

/** A vehicle drafted behind the engine that charges it, at the tier asked for; what that does not stand is remarked. */
function drafted(view: Design, customer: string, said: Said, catalogue: Catalogue, remark: (words: string) => void): Design {
  const { brief, supply, settings, parts, vehicle } = view;
  const asked = applyIntake({ ...blankDesign(customer), brief, supply, settings, parts, vehicle }, { ...said.intake, alternator: brief.alternator });
  const draft = threeDrafts(asked, catalogue).find((d) => d.tier === said.tier)!;
  if (!draft.stands) remark(`the ${draft.tier} draft does not quite stand ${draft.says}`);
  return takeDraft(asked, draft.design);
}

/**
 * A job of ten answers for each of its vehicles. Vehicles are drafted behind the engine that charges them, the one of the
 * job itself first; then each vehicle's own commands are done, leads from outlets to inlets laid, commands of the job
 * done, and what can be mended is.
 */
export function jobFromAnswers(document: unknown, catalogue: Catalogue): FromAnswers {
  return tried(() => {
    const blank = blankDesign('new customer');
    const own = saidOf(document, '', blank);
    const { customer = 'new customer', commands = [], vehicles = {}, couplings = [] } = document as Record<string, unknown>;
    if (typeof customer !== 'string') throw new Wrong(`customer: got ${came(customer)}; a name is accepted`);
    if (!isObject(vehicles)) throw new Wrong(`vehicles: got ${came(vehicles)}; an object of vehicles by their ids is accepted`);
    const { brief } = applyIntake(blank, own.intake);
    const said = everySaid(own, vehicles, { ...blank, brief: { ...blank.brief, trip: brief.trip } });
    const remarks: string[] = [];
    let job = coupled(empty(customer, said), couplings, false);
    for (const [id, v] of said) if (!v.noRig) job = changed(job, id, catalogue, (view) => drafted(view, customer, v, catalogue, (words) => remarks.push(said.size > 1 ? `${id}: ${words}` : words)));
    for (const [id, v] of Object.entries(vehicles) as [string, Record<string, unknown>][])
      if (v['commands'] !== undefined) job = commanded(job, `vehicles.${id}.commands`, v['commands'], () => ({ in: id }));
    const all = commanded(coupled(job, couplings, true), 'commands', commands);
    if (said.size === 1 && Array.isArray(commands) && !commands.length) return { design: all, remarks };
    const { design, stops } = finished(all, true);
    return { design, remarks: [...remarks, ...stops.map((f) => inWords(f).say)] };
  });
}

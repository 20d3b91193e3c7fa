import { catalogueOf, type Catalogue } from '../catalogue/index.js';
import { doCommands, type Asked } from '../commands/index.js';
import { inJob, patchOfJob } from '../couplings/index.js';
import { asFurther, blankDesign, editDesign, OWN, patchBetween, vehicleIds, withRig, type Design } from '../design/index.js';
import { LOAD_LIBRARY } from '../loads/index.js';
import { inWords, type Finding } from '../rules/index.js';
import { threeDrafts, TIERS } from './drafts.js';
import { finish } from './finish.js';
import { applyIntake, intakeOf, intakeSchema, type Intake } from './intake.js';

/** A job made of answers, with what is worth saying about it; or what is wrong with the answers, naming the field. */
export type FromAnswers = { readonly ok: true; readonly design: Design; readonly remarks: readonly string[] } | { readonly ok: false; readonly message: string };

class Wrong extends Error {}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);
const came = (value: unknown): string => JSON.stringify(value)?.slice(0, 40) ?? 'nothing';

/** What is said of one vehicle beside the ten answers. */
const BESIDE = ['customer', 'tier', 'commands', 'vehicles', 'couplings', 'name', 'rig'] as const;

interface Said {
  readonly intake: Intake;
  readonly tier: (typeof TIERS)[number];
  readonly name: string;
  /** It only tows or carries. */
  readonly noRig: boolean;
}

/** Ten answers about one vehicle; what they leave out is as in the design given. */
function saidOf(raw: unknown, at: string, blank: Design): Said {
  if (!isObject(raw)) throw new Wrong(`${at || 'answers'}: got ${came(raw)}; an object is accepted`);
  const field = (name: string): string => (at ? `${at}.${name}` : name);
  const given = Object.fromEntries(Object.entries(raw).filter(([k]) => !BESIDE.some((b) => b === k)));
  const { tier = 'sound', name = '', rig = 'drafted' } = raw;
  if (!TIERS.includes(tier as Said['tier'])) throw new Wrong(`${field('tier')}: got ${came(tier)}; one of ${TIERS.join(', ')} is accepted`);
  if (typeof name !== 'string' || name.length > 60) throw new Wrong(`${field('name')}: got ${came(name)}; at most 60 letters are accepted`);
  if (rig !== 'drafted' && rig !== 'none') throw new Wrong(`${field('rig')}: got ${came(rig)}; drafted, none are accepted`);
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
  return { intake: parsed.data, tier: tier as Said['tier'], name, noRig: rig === 'none' };
}

/** A design with nothing in it but its vehicle. */
const bare = (d: Design): Design => ({ ...d, loads: {}, banks: {}, arrays: {}, converters: {}, links: {}, distribution: {}, switchgear: {}, monitors: {} });

/** The job with one of its vehicles changed. */
function changed(job: Design, id: string, catalogue: Catalogue, change: (view: Design) => Design): Design {
  const view = inJob(job, id, catalogue);
  const patch = patchOfJob(job, id, catalogue, patchBetween(view, change(view)));
  const edited = typeof patch === 'string' ? { ok: false as const, message: patch } : patch.length ? editDesign(job, patch) : { ok: true as const, design: job };
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

/** Every vehicle with what the program knows how to mend, and the stops that stay. */
function finished(job: Design): { readonly design: Design; readonly stops: readonly Finding[] } {
  const stops: Finding[] = [];
  let now = job;
  for (const id of vehicleIds(job))
    now = changed(now, id, catalogueOf(now), (view) => {
      if (!Object.keys(view.banks).length) return view;
      const done = finish(view, catalogueOf(view));
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
    const { design, stops } = finished(done);
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

/** Couplings as they stand in answers, each of them a command. */
function couplings(raw: unknown): readonly Record<string, unknown>[] {
  if (!Array.isArray(raw)) throw new Wrong(`couplings: got ${came(raw)}; an array of { from, to } is accepted`);
  return raw.map((c, i) => {
    if (!isObject(c)) throw new Wrong(`couplings.${i}: got ${came(c)}; { from, to } is accepted`);
    return c;
  });
}

/**
 * A job of ten answers for each of its vehicles. Vehicles are drafted behind the engine that charges them, the one of the
 * job itself first; then each vehicle's own commands are done, leads from outlets to inlets laid, commands of the job done, and what can be mended is.
 */
export function jobFromAnswers(document: unknown, catalogue: Catalogue): FromAnswers {
  return tried(() => {
    const blank = blankDesign('new customer');
    const own = saidOf(document, '', blank);
    const raw = document as Record<string, unknown>;
    const { customer = 'new customer', commands = [], vehicles = {}, couplings: coupled = [] } = raw;
    if (typeof customer !== 'string') throw new Wrong(`customer: got ${came(customer)}; a name is accepted`);
    if (!isObject(vehicles)) throw new Wrong(`vehicles: got ${came(vehicles)}; an object of vehicles by their ids is accepted`);
    const said = new Map<string, Said>([[OWN, own]]);
    // What a further vehicle does not say of the trip is as the job has it.
    const first = applyIntake(blankDesign(customer), own.intake);
    for (const [id, v] of Object.entries(vehicles)) said.set(id, saidOf(v, `vehicles.${id}`, { ...first, brief: { ...blank.brief, trip: first.brief.trip } }));
    let job = first;
    if (said.size > 1) job = { ...bare(job), vehicles: {} };
    for (const [n, [id, v]] of [...said].slice(1).entries()) job = { ...job, vehicles: { ...job.vehicles, [id]: asFurther(bare(applyIntake(blankDesign(customer), v.intake)), n + 1, v.name) } };
    const checked = editDesign(job, [{ op: 'test', path: '/schemaVersion', value: job.schemaVersion }]);
    if (!checked.ok) throw new Wrong(checked.message);
    const joins = couplings(coupled);
    const couple = (some: readonly Record<string, unknown>[], field: string): Design =>
      commanded(
        job,
        field,
        some.map((c) => ({ do: 'couple', with: c })),
      );
    job = couple(
      joins.filter((c) => c['carries'] !== 'mains'),
      'couplings',
    );
    const remarks: string[] = [];
    for (const [id, v] of said) {
      if (v.noRig) continue;
      job = changed(job, id, catalogue, (view) => {
        const asked = applyIntake({ ...blankDesign(customer), brief: view.brief, supply: view.supply, settings: view.settings, parts: view.parts }, { ...v.intake, alternator: view.brief.alternator });
        const draft = threeDrafts(asked, catalogue).find((d) => d.tier === v.tier)!;
        if (!draft.stands) remarks.push(`${said.size > 1 ? `${id}: ` : ''}the ${draft.tier} draft does not quite stand ${draft.says}`);
        return withRig(asked, draft.design);
      });
    }
    for (const [id, v] of Object.entries(vehicles)) {
      const own = (v as Record<string, unknown>)['commands'];
      if (own !== undefined) job = commanded(job, `vehicles.${id}.commands`, own, () => ({ in: id }));
    }
    job = couple(
      joins.filter((c) => c['carries'] === 'mains'),
      'couplings',
    );
    const all = commanded(job, 'commands', commands);
    if (said.size === 1 && Array.isArray(commands) && !commands.length) return { design: all, remarks };
    const { design, stops } = finished(all);
    return { design, remarks: [...remarks, ...stops.map((f) => inWords(f).say)] };
  });
}

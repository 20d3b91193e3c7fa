import {
  answer,
  applyTalk,
  assess,
  blankDesign,
  catalogueOf,
  circuitPlan,
  circuitsCsv,
  circuitStateSchema,
  doCommands,
  finish,
  inWords,
  LOAD_LIBRARY,
  netlist,
  orderCsv,
  PARKED,
  QUESTIONS,
  readDesign,
  settle,
  SHIPPED_CATALOGUE,
  stateFigures,
  sweep,
  talkOf,
  talkSchema,
  threeDrafts,
  TIERS,
  type Asked,
  type CircuitPlan,
  type CircuitState,
  type Design,
  type Question,
  withRig,
} from '@meridex/core';
import { diagramSvg } from './diagram.js';

/** What the command prints, and how it ends: 0 answered, 2 bad input. */
export interface Outcome {
  readonly code: 0 | 2;
  readonly out: string;
  readonly err: string;
}

const JOB_COMMANDS = ['assess', 'order', 'circuits', 'diagram', 'netlist'] as const;
type JobCommand = (typeof JOB_COMMANDS)[number];
const USAGE = `meridex ${[...QUESTIONS, ...JOB_COMMANDS, 'draft', 'change'].join('|')} FILE   (- reads standard input)`;

const bad = (message: string): Outcome => ({ code: 2, out: '', err: `meridex: ${message}\n` });
const good = (result: unknown, remarks: readonly string[] = []): Outcome => ({ code: 0, out: `${JSON.stringify(result, null, 1)}\n`, err: remarks.map((r) => `meridex: note: ${r}\n`).join('') });

interface CaseLike {
  readonly name?: string;
  readonly formula?: string;
  readonly input?: unknown;
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);

function ask(question: Question, document: unknown): Outcome {
  if (!isObject(document)) return bad(`input: got ${JSON.stringify(document)?.slice(0, 40) ?? 'nothing'}; an object is accepted`);
  const cases = document['cases'];
  if (cases === undefined) {
    const one = answer(question, document['input'] ?? document, document['formula'] as string | undefined);
    return one.ok ? good(one.result, one.remarks) : bad(one.message);
  }
  if (!Array.isArray(cases)) return bad('cases: an array of cases is accepted');
  const results: unknown[] = [];
  const remarks: string[] = [];
  for (const [i, c] of (cases as CaseLike[]).entries()) {
    const one = answer(question, c?.input ?? c, c?.formula);
    if (!one.ok) return bad(`cases.${i}.${one.message}`);
    results.push({ name: c?.name ?? String(i), result: one.result });
    remarks.push(...(one.remarks ?? []).map((r) => `cases.${i}: ${r}`));
  }
  return good(results, remarks);
}

/** The state that a job file asks about; parked with everything on where it names none. */
function stateIn(document: Record<string, unknown>): CircuitState | string {
  const given = document['state'];
  if (given === undefined) return PARKED;
  const parsed = circuitStateSchema.safeParse(isObject(given) ? { ...PARKED, ...given } : given);
  if (parsed.success) return parsed.data;
  const issue = parsed.error.issues[0]!;
  return `state${issue.path.length ? `.${issue.path.join('.')}` : ''}: ${issue.message}`;
}

function withState(document: Record<string, unknown>, design: Design, use: (plan: CircuitPlan, state: CircuitState) => Outcome): Outcome {
  const state = stateIn(document);
  if (typeof state === 'string') return bad(state);
  const plan = circuitPlan(design, catalogueOf(design), assess(design, catalogueOf(design)));
  return plan ? use(plan, state) : bad('design.banks: no circuit, since the house battery or its own lead is missing');
}

function solveJob(document: Record<string, unknown>, design: Design): Outcome {
  return withState(document, design, (plan, state) => good(stateFigures(plan, state)));
}

function netlistOf(document: Record<string, unknown>, design: Design): Outcome {
  return withState(document, design, (plan, state) => {
    const r = settle(plan, state);
    if (r.ok) return { code: 0, out: netlist(r.circuit, `${design.brief.customer}, ${JSON.stringify(state)}`, r.solved.nodeVolt), err: '' };
    const why = stateFigures(plan, state);
    return bad(`state: ${why.ok ? r.error : why.say}`);
  });
}

async function onJob(command: JobCommand | 'solve', document: unknown): Promise<Outcome> {
  const read = readDesign(isObject(document) && 'design' in document ? document['design'] : document);
  if (!read.ok) return bad(read.message);
  const { design } = read;
  const job = document as Record<string, unknown>;
  if (command === 'solve') return solveJob(job, design);
  if (command === 'netlist') return netlistOf(job, design);
  const catalogue = catalogueOf(design);
  const a = assess(design, catalogue);
  if (command === 'diagram') return { code: 0, out: await diagramSvg(design, a), err: '' };
  if (command === 'order') return { code: 0, out: orderCsv(a.order), err: '' };
  if (command === 'circuits') {
    const plan = circuitPlan(design, catalogue, a);
    return { code: 0, out: circuitsCsv(a.runs, plan && sweep(plan)), err: '' };
  }
  return good({
    tellTales: a.tellTales,
    runs: a.runs.map((r) => (r.ok ? { run: r.spec.name, ...r.figures, below: undefined, window: undefined } : { run: r.spec.name, error: r.error })),
    findings: a.open.map((f) => ({ ...f, ...inWords(f) })),
  });
}

/** A job of ten answers: what they leave out is as a new job has it; the same circuit as the button gives. */
function draftJob(document: unknown): Outcome {
  if (!isObject(document)) return bad(`answers: got ${JSON.stringify(document)?.slice(0, 40) ?? 'nothing'}; an object is accepted`);
  const { customer = 'new customer', tier = 'sound', commands = [], ...given } = document;
  if (typeof customer !== 'string') return bad(`customer: got ${JSON.stringify(customer)}; a name is accepted`);
  if (!TIERS.includes(tier as (typeof TIERS)[number])) return bad(`tier: got ${JSON.stringify(tier)}; one of ${TIERS.join(', ')} is accepted`);
  const blank = blankDesign(customer);
  const kind = given['vehicleKind'];
  // What the job is for settles the usual answer to the others.
  const use = talkSchema.shape.use.safeParse(given['use'] ?? blank.brief.use);
  if (!use.success) return bad(`use: ${use.error.issues[0]!.message}`);
  const usual = { ...talkOf({ ...blank, brief: { ...blank.brief, use: use.data } }), ...(kind === 'light-truck' ? { houseV: 24 } : {}) };
  const unknown = Object.keys(given).find((k) => !(k in usual));
  if (unknown) return bad(`${unknown}: not an answer; ${Object.keys(usual).join(', ')}, customer, tier, commands are accepted`);
  const parsed = talkSchema.safeParse({ ...usual, ...given });
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    return bad(`${issue.path.join('.') || 'answers'}: ${issue.message}`);
  }
  const wish = parsed.data.wishes.find((w) => !LOAD_LIBRARY.some((i) => i.id === w.id));
  if (wish) return bad(`wishes: got ${JSON.stringify(wish.id)}; an appliance of the library is accepted: ${LOAD_LIBRARY.map((i) => i.id).join(', ')}`);
  const job = applyTalk(blank, parsed.data);
  const draft = threeDrafts(job, SHIPPED_CATALOGUE).find((d) => d.tier === tier)!;
  const remarks = draft.stands ? [] : [`the ${draft.tier} draft does not quite stand ${draft.says}`];
  return changed(withRig(job, draft.design), commands, remarks);
}

/** A job with commands done to it one after another, and mended where the program knows how; the first that is refused ends it. */
function changed(design: Design, commands: unknown, remarks: readonly string[] = []): Outcome {
  if (!Array.isArray(commands)) return bad(`commands: got ${JSON.stringify(commands)?.slice(0, 40) ?? 'nothing'}; an array of { do, with } is accepted`);
  const odd = commands.findIndex((c) => !isObject(c) || typeof c['do'] !== 'string');
  if (odd >= 0) return bad(`commands.${odd}: got ${JSON.stringify(commands[odd])?.slice(0, 40)}; { do, with } is accepted`);
  const done = doCommands(design, commands as Asked[]);
  if (!done.ok) return bad(done.message);
  if (!commands.length) return good({ design: done.design }, remarks);
  const finished = finish(done.design, catalogueOf(done.design));
  return good({ design: finished.design }, [...remarks, ...finished.stops.map((f) => inWords(f).say)]);
}

function changeJob(document: unknown): Outcome {
  if (!isObject(document) || !('design' in document)) return bad('design: nothing came; a job file with commands beside its design is accepted');
  const read = readDesign(document['design']);
  return read.ok ? changed(read.design, document['commands']) : bad(read.message);
}

/** True for a job file, whose circuit is drawn from its design. */
const isJob = (document: unknown): boolean => isObject(document) && ('design' in document || 'schemaVersion' in document);

/** Runs one command on the text of a file. */
export async function run(command: string | undefined, text: string): Promise<Outcome> {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    return bad(`input: not JSON (${(error as Error).message.split('\n')[0]})`);
  }
  if (command === 'solve' && isJob(document)) return onJob(command, document);
  if (command === 'draft') return draftJob(document);
  if (command === 'change') return changeJob(document);
  if (QUESTIONS.includes(command as Question)) return ask(command as Question, document);
  if (JOB_COMMANDS.includes(command as JobCommand)) return onJob(command as JobCommand, document);
  return bad(`command: got ${command ?? 'nothing'}; usage: ${USAGE}`);
}

export { USAGE };

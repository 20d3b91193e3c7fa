import {
  afterCommands,
  answer,
  type Assessment,
  assessIn,
  assessJob,
  catalogueOf,
  circuitPlan,
  circuitsCsv,
  circuitStateSchema,
  faultBook,
  type FaultProbe,
  type FromAnswers,
  inJob,
  testPlan,
  inWords,
  isJoined,
  jobFromAnswers,
  joinedTripOf,
  netlist,
  orderCsv,
  orderOfJob,
  OWN,
  PARKED,
  QUESTIONS,
  readDesign,
  readKnown,
  searchFault,
  SHIPPED_CATALOGUE,
  settleInJob,
  stateFigures,
  stateInJob,
  sweep,
  vehicleIds,
  type CircuitState,
  type Design,
  type Question,
} from '@meridex/core';
import { diagramSvg } from './diagram.js';

/** What the command prints, and how it ends: 0 answered, 2 bad input. */
export interface Outcome {
  readonly code: 0 | 2;
  readonly out: string;
  readonly err: string;
}

const JOB_COMMANDS = ['assess', 'order', 'circuits', 'diagram', 'netlist', 'simulate', 'expect', 'faults'] as const;
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

/** The vehicle that a job file asks about; the one that the job began with where it names none. */
function vehicleNamed(document: Record<string, unknown>, job: Design): string | null {
  const id = document['vehicle'] ?? OWN;
  return typeof id === 'string' && vehicleIds(job).includes(id) ? id : null;
}

const NO_CIRCUIT = 'design.banks: no circuit, since the house battery or its own lead is missing';

function solveJob(document: Record<string, unknown>, job: Design, id: string): Outcome {
  const state = stateIn(document);
  if (typeof state === 'string') return bad(state);
  const figures = stateInJob(job, id, catalogueOf(job), state);
  return figures ? good(figures) : bad(NO_CIRCUIT);
}

function netlistOf(document: Record<string, unknown>, job: Design, id: string): Outcome {
  const state = stateIn(document);
  if (typeof state === 'string') return bad(state);
  const found = settleInJob(job, id, catalogueOf(job), state);
  if (!found) return bad(NO_CIRCUIT);
  const { plan, result: r } = found;
  if (r.ok) return { code: 0, out: netlist(r.circuit, `${job.brief.customer}, ${JSON.stringify(state)}`, r.solved.nodeVolt), err: '' };
  const why = stateFigures(plan, state);
  return bad(`state: ${why.ok ? r.error : why.say}`);
}

const assessed = (a: Assessment): object => ({
  tellTales: a.tellTales,
  runs: a.runs.map((r) => (r.ok ? { run: r.spec.name, ...r.figures, below: undefined, window: undefined } : { run: r.spec.name, error: r.error })),
  findings: a.open.map((f) => ({ ...f, ...inWords(f) })),
});

/** A job's figures: of the vehicle that is named, else of all of them, with what their banks go through together. */
function assessFile(document: Record<string, unknown>, job: Design, id: string): Outcome {
  const catalogue = catalogueOf(job);
  const one = assessIn(job, id, catalogue);
  if (!isJoined(job) || 'vehicle' in document) return good(assessed(one));
  const vehicles = Object.fromEntries(assessJob(job, catalogue).map((v) => [v.id, v.assessment && assessed(v.assessment)]));
  return good({ vehicles, trip: joinedTripOf(job, catalogue)?.result ?? null });
}

/** What a job's banks go through on its trip, in the month's mean weather: of the vehicle that is named, else of all, with what they do together. */
function simulateFile(document: Record<string, unknown>, job: Design, id: string): Outcome {
  const catalogue = catalogueOf(job);
  const tripOf = (a: Assessment | null): object | null => (a?.trip ? { ...a.trip, hourlySoc: undefined } : null);
  if (!isJoined(job) || 'vehicle' in document) return good(tripOf(assessIn(job, id, catalogue)));
  return good({ vehicles: Object.fromEntries(assessJob(job, catalogue).map((v) => [v.id, tripOf(v.assessment)])), together: joinedTripOf(job, catalogue)?.result ?? null });
}

/** Every reading to take, with what it should be, how far it may lie from that, and how things must stand. */
function expected(design: Design, a: Assessment): Outcome {
  const plan = testPlan(design, catalogueOf(design))?.groups.flatMap((g) => g.rows) ?? [];
  return good(
    [...a.prove, ...plan].map(({ id, where, state, meter, unit, expected: value, tolerance, dropV, mostV, atMost }) => ({
      id,
      where,
      state,
      meter: unit === '°C' ? 'thermometer' : unit === 'ms' ? 'residual-current tester' : meter.kind,
      unit,
      expected: value,
      tolerance,
      dropV,
      mostV,
      ...(atMost ? { atMost } : {}),
    })),
  );
}

/** Causes of at least this probability are printed. */
const LEAST_SHARE = 0.002;

/** What is likely wrong with a job's rig after the file's readings and complaints, and what to measure next. */
function findFaults(design: Design, file: Record<string, unknown>): Outcome {
  const book = faultBook(design, catalogueOf(design));
  if (!book) return bad(NO_CIRCUIT);
  const read = readKnown(book, { readings: file['readings'], complaints: file['complaints'] });
  if (!read.ok) return bad(read.message);
  const { causes, next, tests, ruledOut, noneFits, settled } = searchFault(book, read.known);
  const told = ({ id, words, minutes, unit, expected, tolerance }: FaultProbe): object => ({ test: id, words, minutes, unit, expected, tolerance });
  return good({
    causes: causes.filter((c) => c.share >= LEAST_SHARE).map(({ fault, share, sameAs }) => ({ id: fault.id, name: fault.name, share, sameAs, fix: fault.fix })),
    next: next && { ...told(next.probe), bits: next.bits, branches: next.branches },
    tests: tests.map(({ probe, bits }) => ({ ...told(probe), bits })),
    ruledOut,
    noneFits,
    settled,
    complaints: book.complaints.map(({ id, words }) => ({ id, words })),
    leftOut: book.leftOut,
  });
}

async function onJob(command: JobCommand | 'solve', document: unknown): Promise<Outcome> {
  const read = readDesign(isObject(document) && 'design' in document ? document['design'] : document);
  if (!read.ok) return bad(read.message);
  const job = read.design;
  const file = document as Record<string, unknown>;
  const inFile = 'design' in file ? file : {};
  const id = vehicleNamed(inFile, job);
  if (id === null) return bad(`vehicle: got ${JSON.stringify(inFile['vehicle'])}; one of ${vehicleIds(job).join(', ')} is accepted`);
  if (command === 'solve') return solveJob(file, job, id);
  if (command === 'netlist') return netlistOf(file, job, id);
  if (command === 'assess') return assessFile(inFile, job, id);
  if (command === 'simulate') return simulateFile(inFile, job, id);
  const catalogue = catalogueOf(job);
  if (command === 'order') return { code: 0, out: orderCsv(orderOfJob(assessJob(job, catalogue).filter((v) => !('vehicle' in inFile) || v.id === id))), err: '' };
  const design = inJob(job, id, catalogue);
  const a = assessIn(job, id, catalogue);
  if (command === 'expect') return expected(design, a);
  if (command === 'faults') return findFaults(design, inFile);
  if (command === 'diagram') return { code: 0, out: await diagramSvg(design, a), err: '' };
  const plan = circuitPlan(design, catalogue, a);
  return { code: 0, out: circuitsCsv(a.runs, plan && sweep(plan)), err: '' };
}

/** A job of answers, or as changed: what it could not mend goes to the error stream, line by line. */
const asJob = (made: FromAnswers): Outcome => (made.ok ? good({ design: made.design }, made.remarks) : bad(made.message));

function changeJob(document: unknown): Outcome {
  if (!isObject(document) || !('design' in document)) return bad('design: nothing came; a job file with commands beside its design is accepted');
  const read = readDesign(document['design']);
  return read.ok ? asJob(afterCommands(read.design, document['commands'])) : bad(read.message);
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
  if (command === 'draft') return asJob(jobFromAnswers(document, SHIPPED_CATALOGUE));
  if (command === 'change') return changeJob(document);
  if (QUESTIONS.includes(command as Question)) return ask(command as Question, document);
  if (JOB_COMMANDS.includes(command as JobCommand)) return onJob(command as JobCommand, document);
  return bad(`command: got ${command ?? 'nothing'}; usage: ${USAGE}`);
}

export { USAGE };

import type { z } from 'zod';
import { planWeek, weekSchema } from '../bay-week/index.js';
import { buildOrder, buildOrderSchema } from '../build-order/index.js';
import { cuttingPlan, cuttingSchema } from '../cutting/index.js';
import { faultTableSchema, findFault } from '../fault-finder/index.js';
import { circuitSchema, examine, solveCircuit } from '../network/index.js';
import { judgeFault, sizeRun } from '../protection/index.js';
import { rigTripSchema, simulateRigTrip } from '../rig-trip/index.js';
import { sizeTree } from '../tree/index.js';
import { simulateTrip, tripInputSchema } from '../trip/index.js';
import { verdictOf, verdictSchema } from '../verdicts/index.js';
import { FORMULAS } from './formulas.js';
import { fuseSchema, sizeSchema, treeSchema } from './shapes.js';

export const QUESTIONS = ['solve', 'size', 'tree', 'fuse', 'formula', 'trip', 'rigtrip', 'verdict', 'infer', 'cut', 'sequence', 'week'] as const;
export type Question = (typeof QUESTIONS)[number];

/** An answer, or the field that keeps it from being given. */
export type Answer = { readonly ok: true; readonly result: unknown; /** What is worth knowing beside it. */ readonly remarks?: readonly string[] } | { readonly ok: false; readonly message: string };

/** Printed figures are cut at a millionth (areas at a ten-thousandth): below any meter, and the same on every machine. */
const round = (value: number, places: number): number => Math.round(value * 10 ** places) / 10 ** places;

function got(input: unknown, path: readonly PropertyKey[]): string {
  let here: unknown = input;
  for (const key of path) here = typeof here === 'object' && here !== null ? (here as Record<PropertyKey, unknown>)[key] : undefined;
  return here === undefined ? 'nothing' : JSON.stringify(here).slice(0, 60);
}

/** A schema's first complaint as one line: the field, what came, what is accepted. */
function complaint(error: z.ZodError, input: unknown): string {
  const issue = error.issues[0]!;
  const field = issue.path.join('.') || 'input';
  return `${field}: got ${got(input, issue.path)}; ${issue.message}`.replace(/\s+/g, ' ');
}

function read<S extends z.ZodType>(schema: S, input: unknown, compute: (value: z.output<S>) => unknown): Answer {
  const parsed = schema.safeParse(input);
  return parsed.success ? { ok: true, result: compute(parsed.data) } : { ok: false, message: complaint(parsed.error, input) };
}

function answerSize(input: z.output<typeof sizeSchema>): unknown {
  if (input.material !== 'copper') return { error: 'material-refused' };
  const demand = input.currentA !== undefined ? { currentA: input.currentA } : { powerW: input.powerW!, sourceV: input.sourceV! };
  const { currentA: _c, powerW: _p, sourceV: _s, ...path } = input;
  const r = sizeRun({ ...path, ...demand });
  if (!r.ok) return { error: r.error };
  return {
    size: r.size,
    areaMm2: round(r.areaMm2, 4),
    fuseA: r.fuseA,
    boundBy: r.boundBy,
    currentA: round(r.currentA, 6),
    ampacityA: round(r.ampacityA, 6),
    conductorC: round(r.conductorC, 6),
    dropV: round(r.dropV, 6),
    dropPercent: round(r.dropPercent, 6),
  };
}

function answerTree(input: z.output<typeof treeSchema>): unknown {
  const r = sizeTree(input);
  if (!r.ok) return { error: r.error, run: r.run };
  const runs = Object.entries(r.runs).map(([id, s]) => [
    id,
    { ...s, areaMm2: round(s.areaMm2, 4), dropPercent: round(s.dropPercent, 6), pathDropPercent: round(s.pathDropPercent, 6), ...(s.missesBy === undefined ? {} : { missesBy: round(s.missesBy, 6) }) },
  ]);
  return { runs: Object.fromEntries(runs), copperMm2M: round(r.copperMm2M, 6) };
}

function answerTrip(input: z.output<typeof tripInputSchema>): unknown {
  const { hourlySoc: _, ...result } = simulateTrip(input);
  return result;
}

function answerSolve(input: unknown): Answer {
  const parsed = circuitSchema.safeParse(input);
  if (!parsed.success) return { ok: false, message: complaint(parsed.error, input) };
  const r = solveCircuit(parsed.data);
  const remarks = examine(parsed.data, r).map((x) => x.say);
  const result = r.ok ? { nodeVolt: r.nodeVolt, branchAmp: r.branchAmp } : { error: r.error, at: r.at };
  return remarks.length ? { ok: true, result, remarks } : { ok: true, result };
}

/** Answers one case of a question. Never throws on bad input. @example answer('formula', { … }, 'fridgeDuty') */
export function answer(question: Question, input: unknown, formula?: string): Answer {
  switch (question) {
    case 'solve':
      return answerSolve(input);
    case 'size':
      return read(sizeSchema, input, answerSize);
    case 'tree':
      return read(treeSchema, input, answerTree);
    case 'fuse':
      return read(fuseSchema, input, (i) => judgeFault(i));
    case 'trip':
      return read(tripInputSchema, input, answerTrip);
    case 'rigtrip':
      return read(rigTripSchema, input, simulateRigTrip);
    case 'verdict':
      return read(verdictSchema, input, verdictOf);
    case 'infer':
      return read(faultTableSchema, input, findFault);
    case 'cut':
      return read(cuttingSchema, input, cuttingPlan);
    case 'sequence':
      return read(buildOrderSchema, input, buildOrder);
    case 'week':
      return read(weekSchema, input, planWeek);
    case 'formula': {
      const compute = formula === undefined ? undefined : FORMULAS[formula];
      if (!compute) return { ok: false, message: `formula: got ${formula ?? 'nothing'}; one of ${Object.keys(FORMULAS).join(', ')} is accepted` };
      try {
        return { ok: true, result: compute(input) };
      } catch (error) {
        if (isZodError(error)) return { ok: false, message: complaint(error, input) };
        throw error;
      }
    }
  }
}

function isZodError(error: unknown): error is z.ZodError {
  return error instanceof Error && 'issues' in error;
}

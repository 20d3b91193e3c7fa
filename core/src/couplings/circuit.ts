import { circuitPlan, figuresOf, settle, stateFigures, type CircuitPlan, type CircuitState, type NoState, type SettledState, type StateFigures, type StateResult } from '../circuit/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { engineOf, vehicleIds, type Design } from '../design/index.js';
import { assess } from '../assess/index.js';
import { inJob } from './in-job.js';
import { hasRig } from './views.js';

/** The circuits of all vehicles that hang on one engine. */
export interface JoinedPlan {
  readonly engine: string;
  readonly plans: ReadonlyMap<string, CircuitPlan>;
}

/** The circuits of a job, by the engine that charges them. */
export function joinedPlans(job: Design, catalogue: Catalogue): readonly JoinedPlan[] {
  const all = vehicleIds(job).flatMap((id) => {
    const design = inJob(job, id, catalogue);
    const plan = hasRig(design) ? circuitPlan(design, catalogue, assess(design, catalogue)) : null;
    return plan ? [{ id, engine: engineOf(job, id), plan }] : [];
  });
  return [...new Set(all.map((x) => x.engine))].map((engine) => ({ engine, plans: new Map(all.filter((x) => x.engine === engine).map((x) => [x.id, x.plan])) }));
}

const MOST_ROUNDS = 80;
/** Change of what a vehicle takes from the starting battery below which the circuits agree, W. */
const AGREED_W = 1e-7;

/** What flows from the starting battery into a vehicle's own runs, W. */
function takenW(r: SettledState, plan: CircuitPlan): number {
  return plan.runs.reduce((w, { spec }) => {
    const run = r.runs.get(spec.id);
    return spec.from.ref.in === 'vehicles' && run ? w + run.amp * run.fromV : w;
  }, 0);
}

/**
 * The circuits of vehicles on one engine, each in its state, as one network: they meet at the starting battery alone, so
 * that each is solved with what the others take there, again and again until all agree. Each then has the same volts at
 * the starting battery as one solution of all of them has.
 */
export function settleJoined({ plans }: JoinedPlan, stateOf: (id: string) => CircuitState): ReadonlyMap<string, StateResult> {
  const taken = new Map<string, number>([...plans.keys()].map((id) => [id, 0]));
  let results = new Map<string, StateResult>();
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const others = (id: string): number => [...taken].reduce((w, [of, watts]) => (of === id ? w : w + watts), 0);
    let moved = 0;
    results = new Map();
    for (const [id, plan] of plans) {
      const r = settle({ ...plan, besideW: others(id) }, stateOf(id));
      results.set(id, r);
      const now = r.ok ? takenW(r, plan) : 0;
      moved = Math.max(moved, Math.abs(now - taken.get(id)!));
      taken.set(id, now);
    }
    if (moved < AGREED_W || plans.size < 2) break;
  }
  return results;
}

/** A vehicle's circuit in a state, and its plan. */
export interface InState {
  readonly plan: CircuitPlan;
  readonly result: StateResult;
}

/** One vehicle's circuit in a state in which all vehicles on its engine are; null while its battery has no fitted lead. */
export function settleInJob(job: Design, id: string, catalogue: Catalogue, state: CircuitState): InState | null {
  const joined = joinedPlans(job, catalogue).find((p) => p.plans.has(id));
  const plan = joined?.plans.get(id);
  return joined && plan ? { plan, result: settleJoined(joined, () => state).get(id)! } : null;
}

/** The same in figures, or why there is none. */
export function stateInJob(job: Design, id: string, catalogue: Catalogue, state: CircuitState): StateFigures | NoState | null {
  const found = settleInJob(job, id, catalogue, state);
  if (!found) return null;
  return found.result.ok ? figuresOf(found.plan, found.result) : stateFigures(found.plan, state);
}

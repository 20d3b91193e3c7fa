import { circuitPlan, figuresOf, settle, stateFigures, type CircuitPlan, type CircuitState, type NoState, type SettledState, type StateFigures, type StateResult } from '../circuit/index.js';
import { plugPoleOhm, resistanceOhmPerM } from '../cable/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { engineOf, vehicleIds, type Design } from '../design/index.js';
import { assess } from '../assess/index.js';
import { serves } from '../routes/index.js';
import { inJob } from './in-job.js';
import { hasRig, leadsIn } from './views.js';

/** A DC lead between two of the circuits. */
interface Lead {
  readonly from: string;
  readonly to: string;
  readonly outlet: string;
  readonly inlet: string;
}

/** Circuits of vehicles that hang on one engine, or on one another by a DC lead. */
export interface JoinedPlan {
  readonly plans: ReadonlyMap<string, CircuitPlan>;
  /** The engine that charges each. */
  readonly engines: ReadonlyMap<string, string>;
  readonly leads: readonly Lead[];
}

/** Ids in groups: two are together as soon as a chain of pairs joins them. */
function grouped(ids: readonly string[], pairs: readonly (readonly [string, string])[]): readonly (readonly string[])[] {
  const group = new Map(ids.map((id) => [id, new Set([id])]));
  for (const [a, b] of pairs) {
    const [one, other] = [group.get(a), group.get(b)];
    if (!one || !other || one === other) continue;
    for (const id of other) {
      one.add(id);
      group.set(id, one);
    }
  }
  return [...new Set(group.values())].map((g) => ids.filter((id) => g.has(id)));
}

/** The circuits of a job, in as many groups as stand apart from one another. */
export function joinedPlans(job: Design, catalogue: Catalogue): readonly JoinedPlan[] {
  const plans = new Map(
    vehicleIds(job).flatMap((id) => {
      const design = inJob(job, id, catalogue);
      const plan = hasRig(design) ? circuitPlan(design, catalogue, assess(design, catalogue)) : null;
      return plan ? [[id, plan] as const] : [];
    }),
  );
  const ids = [...plans.keys()];
  const engines = new Map(ids.map((id) => [id, engineOf(job, id)]));
  const leads = leadsIn(job).flatMap(([, { carries, from, to, outlet, inlet }]): Lead[] =>
    carries === 'dc' && outlet !== null && inlet !== null && plans.has(from) && plans.has(to) ? [{ from, to, outlet, inlet }] : [],
  );
  const sameEngine = ids.map((id): [string, string] => [ids.find((x) => engines.get(x) === engines.get(id))!, id]);
  return grouped(ids, [...sameEngine, ...leads.map((l): [string, string] => [l.from, l.to])]).map((group) => ({
    plans: new Map(group.map((id) => [id, plans.get(id)!])),
    engines,
    leads: leads.filter((l) => group.includes(l.from)),
  }));
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

/** A lead without loose cable: its two plugs go into one another, ohm. */
const LEAST_OHM = 1e-6;

/** Feed and return of a lead's loose cable, as wide as the run that it goes into, and the poles of its plugs, ohm. */
function ohmOf({ runs, plant, design }: CircuitPlan, inlet: string): number {
  const thing = plant.dcInlets.find((i) => i.ref.id === inlet);
  const run = runs.find((r) => r.spec.from.ref.id === inlet);
  if (!thing || !run || !thing.leadM) return LEAST_OHM;
  const perM = resistanceOhmPerM(run.figures.areaMm2, design.settings.tinned, run.spec.ambientC) / run.figures.perPole;
  return 2 * thing.leadM * perM + 2 * plugPoleOhm(thing.mostA);
}

/** A lead as its two ends last met there: what the outlet brings, V, and what the inlet takes, W. */
interface Met {
  volt: number | null;
  watts: number;
}

/** What stands at the ends of the leads of one vehicle. */
function withLeads(plan: CircuitPlan, id: string, leads: ReadonlyMap<Lead, Met>): Pick<CircuitPlan, 'leads' | 'outletW'> {
  const ends = [...leads];
  return {
    leads: Object.fromEntries(ends.flatMap(([l, { volt }]) => (l.to === id && volt !== null ? [[l.inlet, { volt, ohm: ohmOf(plan, l.inlet) }]] : []))),
    outletW: Object.fromEntries(ends.flatMap(([l, { watts }]) => (l.from === id ? [[l.outlet, watts]] : []))),
  };
}

/** What a solution says of the leads of its vehicle; by how much that moved, W and V together. */
function meet(r: SettledState, plan: CircuitPlan, id: string, leads: ReadonlyMap<Lead, Met>): number {
  let moved = 0;
  for (const [l, met] of leads) {
    if (l.from === id) {
      const run = plan.runs.find((x) => serves(x, 'load feed', l.outlet));
      const volt = run ? (r.runs.get(run.spec.id)?.toV ?? null) : null;
      moved = Math.max(moved, Math.abs((volt ?? 0) - (met.volt ?? 0)));
      met.volt = volt;
    }
    if (l.to === id) {
      const feeds = plan.runs.filter((x) => x.spec.from.ref.in === 'inlets' && x.spec.from.ref.id === l.inlet).map((x) => r.runs.get(x.spec.id)!);
      const amp = feeds.reduce((sum, run) => sum + Math.max(0, run.amp), 0);
      // What the outlet gives: what arrives, and what the lead itself loses.
      const watts = amp * ((feeds[0]?.fromV ?? 0) + amp * ohmOf(plan, l.inlet));
      moved = Math.max(moved, Math.abs(watts - met.watts));
      met.watts = watts;
    }
  }
  return moved;
}

/**
 * The circuits of vehicles that are joined, each in its state, as one network: they meet at the starting battery of one
 * engine and at the plugs of DC leads, so that each is solved with what the others take and bring there, again and again
 * until all agree. Each then has the same volts as one solution of all of them has.
 */
export function settleJoined({ plans, engines, leads }: JoinedPlan, stateOf: (id: string) => CircuitState): ReadonlyMap<string, StateResult> {
  const taken = new Map<string, number>([...plans.keys()].map((id) => [id, 0]));
  const met = new Map<Lead, Met>(leads.filter((l) => plans.has(l.from) && plans.has(l.to)).map((l) => [l, { volt: null, watts: 0 }]));
  let results = new Map<string, StateResult>();
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const others = (id: string): number => [...taken].reduce((w, [of, watts]) => (of === id || engines.get(of) !== engines.get(id) ? w : w + watts), 0);
    let moved = 0;
    results = new Map();
    for (const [id, plan] of plans) {
      const r = settle({ ...plan, besideW: others(id), ...withLeads(plan, id, met) }, stateOf(id));
      results.set(id, r);
      const now = r.ok ? takenW(r, plan) : 0;
      moved = Math.max(moved, Math.abs(now - taken.get(id)!));
      taken.set(id, now);
      if (r.ok) moved = Math.max(moved, meet(r, plan, id, met));
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

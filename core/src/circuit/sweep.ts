import type { DayLoad } from '../loads/index.js';
import { LinearCircuit } from '../network/index.js';
import { fromPlug, withPort } from '../plant/index.js';
import { givesBy, isMainLead, terminals } from '../routes/index.js';
import { dcChargersOf } from '../supply/index.js';
import type { CircuitPlan } from './plan.js';
import { settle, type SettledState } from './settle.js';
import { feedId, HOLD_OHM } from './settling.js';
import { namedStates, PARKED, type CircuitState } from './state.js';

/** The state in which a run carries most. */
export interface WorstRun {
  readonly id: string;
  /** Its size, A; always positive. */
  readonly amp: number;
  readonly state: CircuitState;
}

/** The state in which a load gets least. */
export interface WorstLoad {
  readonly id: string;
  readonly name: string;
  readonly volt: number;
  readonly state: CircuitState;
}

export interface Sweep {
  readonly runs: readonly WorstRun[];
  readonly loads: readonly WorstLoad[];
  /** States that were solved for it. */
  readonly solved: number;
  /**
   * False also where nothing settled that could tell. True where no load's current can raise another load's volts, which is what makes the corners the worst: then
   * everything on, nothing charging, and the lowest volts at the posts give each load its least.
   */
  readonly boundHolds: boolean;
  /** States in which something asks for more than the wires can give. */
  readonly collapses: readonly CircuitState[];
}

/** Below this a current is a leak through an open contact, A. */
const LEAK_A = 0.05;
/** Slack below which an influence counts as none, A for each A. */
const NO_INFLUENCE = 1e-9;

/** How a run's current answers to one ampere drawn by each load or given by each giver, from one factorisation. */
function influences(base: SettledState, plan: CircuitPlan): { readonly run: Map<string, Map<string, number>>; readonly raises: boolean } {
  const giving = new Set(base.givers.map((g) => g.id));
  const bare = { ...base.circuit, sources: base.circuit.sources.filter((s) => !giving.has(s.id)) };
  const linear = LinearCircuit.of(bare);
  const run = new Map<string, Map<string, number>>();
  if (!linear) return { run, raises: true };
  const wires = new Set(plan.runs.map((r) => feedId(r.spec.id)));
  const feeds = bare.resistors.filter((r) => wires.has(r.id));
  const fed = new Set(base.circuit.loads.map((l) => l.id));
  const ports = plan.runs.flatMap(({ spec }) =>
    (spec.role === 'load feed' || spec.role === 'inverter feed') && fed.has(spec.to.gear) ? [{ id: spec.to.gear, plus: spec.to.plus, minus: spec.to.minus }] : [],
  );
  let raises = false;
  const reach = new Float64Array(linear.open.length);
  const answer = (id: string, plus: string, minus: string): void => {
    linear.draw(plus, minus, reach);
    for (const f of feeds) {
      const of = run.get(f.id) ?? run.set(f.id, new Map()).get(f.id)!;
      of.set(id, -linear.across(reach, f.a, f.b) / f.ohm);
    }
  };
  for (const p of ports) {
    answer(p.id, p.plus, p.minus);
    for (const q of ports) if (linear.across(reach, q.plus, q.minus) < -NO_INFLUENCE) raises = true;
  }
  for (const g of base.givers)
    if (g.id !== 'alternator') answer(g.id, [...base.circuit.loads, ...base.circuit.sources].find((l) => l.id === g.id)?.plus ?? terminals(g.id, 'out').plus, terminals(g.id).minus);
  return { run, raises };
}

/** The corner of all states at which what pushes a run's current one way is on, and all that pushes back is off. */
function corner(plan: CircuitPlan, lowest: CircuitState, of: ReadonlyMap<string, number>, sign: 1 | -1, mainsLoads: readonly DayLoad[]): CircuitState[] {
  const pushes = (id: string, given: boolean): boolean => (given ? -1 : 1) * sign * (of.get(id) ?? 0) > NO_INFLUENCE;
  const only = plan.runs.flatMap(({ spec }) => (spec.role === 'load feed' && pushes(spec.to.gear, false) ? [spec.serves.id] : []));
  const loads = { only: [...only, ...mainsLoads.filter((l) => l.inverter !== null && pushes(l.inverter, false)).map((l) => l.id)] };
  const engine = plan.runs.some(({ spec }) => spec.role === 'charger feed' && spec.from.ref.in === 'vehicles' && pushes(spec.serves.id, true));
  const sun = plan.plant.converters.some((c) => c.inputs.some((i) => i.by === 'array') && pushes(c.ref.id, true)) || engine ? 'full' : 'none';
  const mains = fromPlug(plan.plant).some((c) => pushes(c.ref.id, true));
  const charges = engine || mains || sun === 'full';
  const base: CircuitState = { ...lowest, loads, sun, mains, postsV: charges ? null : lowest.postsV };
  return engine
    ? [
        { ...base, engine: 'cruise' },
        { ...base, engine: 'idle' },
      ]
    : [base];
}

/**
 * Volts at the posts at which a charger just still gives all its amps at its set volts: there it puts out, and so takes
 * in, the most it ever can.
 */
function fullOutputs({ runs, bank, design, catalogue }: CircuitPlan): Pick<CircuitState, 'engine' | 'mains' | 'postsV'>[] {
  const main = (runs.find(isMainLead)?.figures.ohm ?? 0) / bank.strings;
  const outOhm = (unit: string): number => runs.find((r) => givesBy(r, unit))?.figures.ohm ?? 0;
  return dcChargersOf(design, catalogue).map(({ id, port, share, from }) => {
    const byVehicle = from.in === 'vehicles';
    return { engine: byVehicle ? 'idle' : 'off', mains: !byVehicle, postsV: bank.absorptionV - port.outputA * share * (outOhm(id) + main + HOLD_OHM) };
  });
}

/**
 * The worst state of every run and load, without trying all states. A run's current is a sum of what each load and
 * charger adds to it, each with a sign that the wires alone decide; so it is largest at the corner where everything of
 * one sign is on and everything of the other is off. Few runs differ in their signs, so few corners are left to solve.
 * Constant power draws more as volts fall, so the corners are taken at the lowest volts that the disconnect allows.
 */
export function sweep(plan: CircuitPlan): Sweep {
  const lowest: CircuitState = { ...PARKED, postsV: plan.bank.openV };
  const everything = settle(plan, { ...lowest, engine: 'cruise', sun: 'full', mains: true, postsV: null });
  const discharging = settle(plan, lowest);
  const base = everything.ok ? everything : discharging;
  const mainsLoads = plan.day.loads.filter((l) => l.mains);
  const states = new Map<string, CircuitState>();
  const ask = (s: CircuitState): void => void states.set(JSON.stringify(s), s);
  ask(lowest);
  // The alternator is tied in by an isolator or a converter, which no fixed sign describes: with it, loads on and off.
  for (const engine of ['idle', 'cruise'] as const) for (const loads of ['on', 'off'] as const) ask({ ...lowest, engine, loads, postsV: null });
  // A charger takes most where its own output stands highest: pressed up by all others, at the alternator's lowest volts.
  for (const sun of ['none', 'full'] as const) for (const mains of [false, true]) ask({ ...lowest, engine: 'idle', sun, mains, loads: 'off', postsV: null });
  // What is put out, and what keeps the starting battery up, work while the vehicle stands: they take no part in what is tried on the road.
  if (plan.arrays.some((a) => a.portables.length) || withPort(plan.plant, 'startOut').length)
    for (const loads of ['on', 'off'] as const) for (const mains of [false, true]) ask({ ...lowest, sun: 'full', loads, mains, postsV: null });
  // Nearly full, chargers hold their volts and carry the loads beside the bank.
  for (const loads of ['on', 'off'] as const) ask({ ...lowest, engine: 'cruise', sun: 'full', mains: true, charging: 'absorption', loads, postsV: null });
  for (const full of fullOutputs(plan)) ask({ ...lowest, ...full, loads: 'off' });
  const { run, raises } = base.ok ? influences(base, plan) : { run: new Map<string, Map<string, number>>(), raises: true };
  for (const of of run.values()) for (const sign of [1, -1] as const) corner(plan, lowest, of, sign, mainsLoads).forEach(ask);
  const worst = new Map<string, WorstRun>();
  const least = new Map<string, WorstLoad>();
  const collapses: CircuitState[] = [];
  for (const state of states.values()) {
    const r = settle(plan, state);
    if (!r.ok) {
      collapses.push(state);
      continue;
    }
    for (const { id, amp } of r.runs.values()) if (Math.abs(amp) > (worst.get(id)?.amp ?? -1)) worst.set(id, { id, amp: Math.abs(amp), state });
    for (const l of r.loads) if (l.live && l.id !== 'vehicle' && l.volt < (least.get(l.id)?.volt ?? Infinity)) least.set(l.id, { id: l.id, name: l.name, volt: l.volt, state });
  }
  return { runs: [...worst.values()], loads: [...least.values()], solved: states.size, boundHolds: !raises, collapses };
}

/** Most that flows in each direction of every run, over the states that people ask about by name, A. */
export function bothWays(plan: CircuitPlan): ReadonlyMap<string, { readonly outA: number; readonly backA: number }> {
  const most = new Map<string, { outA: number; backA: number }>();
  for (const state of Object.values(namedStates(plan))) {
    const r = settle(plan, state);
    if (!r.ok) continue;
    for (const { id, amp } of r.runs.values()) {
      const of = most.get(id) ?? { outA: 0, backA: 0 };
      most.set(id, { outA: Math.max(of.outA, amp > LEAK_A ? amp : 0), backA: Math.max(of.backA, amp < -LEAK_A ? -amp : 0) });
    }
  }
  return most;
}

import { solveCircuit, type Circuit, type Solved } from '../network/index.js';
import { FIRST_BANK } from '../plant/index.js';
import { terminals } from '../routes/index.js';
import { applySolution, cutOut } from './apply-solution.js';
import type { CircuitPlan } from './plan.js';
import { turned } from './second.js';
import { feedId, Settling, type GiverMode } from './settling.js';
import type { CircuitState } from './state.js';

export interface GiverResult {
  readonly id: string;
  readonly name: string;
  readonly mode: GiverMode;
  readonly volt: number;
  readonly amp: number;
  /** Taken from the vehicle's side, W and A; 0 where it takes from outside the circuit. */
  readonly inW: number;
  readonly inA: number;
  readonly inV: number;
}

export interface BatteryResult {
  readonly id: string;
  /** String of its bank, from 1; null: the starting battery. */
  readonly string: number | null;
  /** The gear that it is, or is a string of. */
  readonly gear: string;
  /** It is on charge while another bank is in use. */
  readonly aside: boolean;
  readonly volt: number;
  readonly amp: number;
}

export interface RunResult {
  readonly id: string;
  /** From the run's start to its end, A. */
  readonly amp: number;
  readonly conductorC: number;
  /** Between feed and return at start and end, V. */
  readonly fromV: number;
  readonly toV: number;
}

export interface SettledState {
  readonly ok: true;
  readonly state: CircuitState;
  readonly circuit: Circuit;
  readonly solved: Solved;
  readonly runs: ReadonlyMap<string, RunResult>;
  readonly givers: readonly GiverResult[];
  readonly loads: readonly { readonly id: string; readonly name: string; readonly volt: number; readonly amp: number; readonly live: boolean }[];
  /** Batteries: amps out of each, charging below 0. */
  readonly batteries: readonly BatteryResult[];
  readonly isolatorClosed: boolean | null;
  /** Rounds until modes, temperatures and powers agreed; false: they went on changing. */
  readonly rounds: number;
  readonly steady: boolean;
}

export type StateResult = SettledState | { readonly ok: false; readonly state: CircuitState; readonly error: 'no-operating-point' | 'floating-node'; readonly at: readonly string[] };

const MOST_ROUNDS = 60;

function report(s: Settling, circuit: Circuit, solved: Solved, rounds: number, steady: boolean): SettledState {
  const volt = (plus: string, minus: string): number => (solved.nodeVolt[plus] ?? 0) - (solved.nodeVolt[minus] ?? 0);
  const runs = new Map<string, RunResult>();
  for (const { spec } of s.plan.runs)
    runs.set(spec.id, {
      id: spec.id,
      amp: solved.branchAmp[feedId(spec.id)] ?? 0,
      conductorC: s.u.conductorC.get(spec.id)!,
      fromV: volt(spec.from.plus, spec.from.minus),
      toV: volt(spec.to.plus, spec.to.minus),
    });
  const givers = s.givers.map((g): GiverResult => {
    const inW = s.u.inW.get(g.id) ?? 0;
    const inV = g.input ? volt(g.input.plus, g.input.minus) : 0;
    return { id: g.id, name: g.name, mode: s.u.modes.get(g.id)!, volt: volt(g.plus, g.minus), amp: s.outA(solved, g), inW, inV, inA: inV > 0 ? inW / inV : 0 };
  });
  const fed = new Set(circuit.loads.map((l) => l.id));
  const loads = s.drawn.map((d) => {
    const across = volt(d.plus, d.minus);
    const live = fed.has(d.id);
    return { id: d.id, name: d.name, volt: across, live, amp: !live ? 0 : d.kind === 'current' ? d.value : d.value / across };
  });
  const gearAt = new Map(s.plan.runs.map(({ spec }) => [spec.from.plus, spec.from.gear]));
  const batteries = s.strings.map((x): BatteryResult => ({
    id: x.id,
    string: x.string,
    gear: gearAt.get(x.posts.plus) ?? FIRST_BANK.id,
    aside: x.side === 'aside',
    volt: volt(x.posts.plus, x.posts.minus),
    amp: s.u.limited.has(x.id) ? -s.stringOf(x).takesA : (solved.branchAmp[x.id] ?? 0),
  }));
  const starting = terminals('starting');
  if (s.starting) batteries.push({ id: 'starting', string: null, gear: 'starting', aside: false, volt: volt(starting.plus, starting.minus), amp: solved.branchAmp['starting'] ?? 0 });
  return { ok: true, state: s.state, circuit, solved, runs, givers, loads, batteries, isolatorClosed: s.links.length ? s.u.closed.size > 0 : null, rounds, steady };
}

/**
 * A design's circuit in one state, with everything that depends on the answer settled: chargers give all they can or
 * hold their volts, batteries take what they can, converters draw what they give over their efficiency, cables are as
 * warm as their own current makes them, loads that nothing feeds are dark.
 */
export function settle(plan: CircuitPlan, state: CircuitState): StateResult {
  const as = turned(plan, state);
  return as === plan ? settleOn(plan, state) : { ...settleOn(as, { ...state, bank: 'first', charges: 'the bank in use' }), state };
}

function settleOn(plan: CircuitPlan, state: CircuitState): StateResult {
  const s = new Settling(plan, state);
  for (let round = 1; ; round++) {
    const circuit = s.circuit();
    const solved = solveCircuit(circuit);
    if (!solved.ok && solved.error === 'no-operating-point' && round < MOST_ROUNDS && cutOut(s, circuit)) continue;
    if (!solved.ok) return { ok: false, state, error: solved.error === 'no-operating-point' ? solved.error : 'floating-node', at: solved.at };
    const changed = applySolution(s, solved);
    if (!changed) return report(s, circuit, solved, round, true);
    if (round === MOST_ROUNDS) return report(s, circuit, solved, round, false);
  }
}

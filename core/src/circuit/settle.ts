import { resistanceOhmPerM } from '../cable/index.js';
import { batterySource } from '../catalogue/index.js';
import { solveCircuit, type Circuit, type CircuitLoad, type Resistor, type Solved, type Source } from '../network/index.js';
import { drawnIn, type Drawn } from './drawn.js';
import { joinedTo, OPEN_OHM } from './live.js';
import type { CircuitPlan } from './plan.js';
import type { CircuitState } from './state.js';
import { bankInUse, giversIn, litPanels, stringIn, type Giver } from './units.js';
import { houseNode, ISOLATOR_OHM, wireAt } from './wires.js';

/** How a giver stands: off, giving all its current, all its sun, or holding its volts. */
export type GiverMode = 'off' | 'cut out' | 'all its amps' | 'all its sun' | 'holding';

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
  readonly batteries: readonly { readonly id: string; readonly volt: number; readonly amp: number }[];
  readonly isolatorClosed: boolean | null;
  /** Rounds until modes, temperatures and powers agreed; false: they went on changing. */
  readonly rounds: number;
  readonly steady: boolean;
}

export type StateResult = SettledState | { readonly ok: false; readonly state: CircuitState; readonly error: 'no-operating-point' | 'floating-node'; readonly at: readonly string[] };

const MOST_ROUNDS = 60;
/** A giver's own resistance while it holds its volts, and a regulator's towards its panels, ohm. */
const HOLD_OHM = 1e-3;
/** A battery whose volts at the posts are given has none of its own, ohm. */
const POSTS_OHM = 1e-6;

/** Everything that may still change while the state settles. */
interface Underway {
  readonly modes: Map<string, GiverMode>;
  /** Strings that take all they can, instead of what the volts press into them. */
  readonly limited: Set<number>;
  readonly charging: Set<number>;
  /** Power that each charger takes from the vehicle's side, W. */
  readonly inW: Map<string, number>;
  readonly conductorC: Map<string, number>;
  isolatorClosed: boolean;
}

class Settling {
  readonly bank;
  readonly lit;
  readonly givers: Giver[];
  readonly drawn: Drawn[];
  readonly starting: boolean;
  readonly isolator;
  readonly u: Underway;

  constructor(
    readonly plan: CircuitPlan,
    readonly state: CircuitState,
  ) {
    this.bank = bankInUse(plan, state);
    this.starting = plan.runs.some((r) => r.spec.from.gear === 'starting');
    const lit = litPanels(plan.array, state, this.bank.nominalV * 1.1);
    this.lit = lit && plan.runs.some((r) => r.spec.id === 'panel-regulator') ? lit : null;
    const nodes = new Set(plan.runs.flatMap((r) => [r.spec.from.plus, r.spec.to.plus]));
    this.givers = giversIn(plan, state, this.lit).filter((g) => nodes.has(g.plus) && (!g.input || nodes.has(g.input.plus)));
    this.drawn = drawnIn(plan, state);
    const part = plan.catalogue.find('isolator', plan.design.supply.isolator);
    this.isolator = plan.runs.some((r) => r.spec.id === 'isolator-bus') ? part : null;
    const closed = state.isolator === 'closed' || (state.isolator === 'by itself' && state.engine !== 'off');
    this.u = {
      modes: new Map(this.givers.map((g) => [g.id, g.sunOnly ? 'all its sun' : 'holding'])),
      limited: new Set(),
      charging: new Set(),
      inW: new Map(),
      conductorC: new Map(plan.runs.map((r) => [r.spec.id, r.spec.ambientC])),
      isolatorClosed: this.isolator !== null && closed,
    };
  }

  private resistors(): Resistor[] {
    const { plan, state, u } = this;
    const out: Resistor[] = [];
    for (const run of plan.runs) {
      const { spec } = run;
      if (spec.id === 'panel-regulator' && !this.lit) continue;
      const perM = resistanceOhmPerM(run.figures.areaMm2, plan.design.settings.tinned, u.conductorC.get(spec.id)!);
      const w = wireAt(run, perM);
      out.push(
        { id: `${spec.id}.feed`, a: spec.from.plus, b: spec.to.plus, ohm: w.fromEndOhm + w.feedOhm + w.toEndOhm },
        { id: `${spec.id}.back`, a: spec.to.minus, b: spec.from.minus, ohm: w.backOhm },
      );
    }
    const open = { switch: state.mainSwitch === 'open', disconnect: state.disconnect === 'open', shunt: false };
    for (const p of plan.inline) out.push({ id: p.id, a: p.a, b: p.b, ohm: open[p.id] ? OPEN_OHM : p.ohm });
    if (this.isolator) out.push({ id: 'isolator', a: 'charger.in+', b: 'charger.out+', ohm: u.isolatorClosed ? ISOLATOR_OHM : OPEN_OHM });
    return out;
  }

  private sources(): { sources: Source[]; loads: CircuitLoad[] } {
    const { plan, state, u, bank } = this;
    const sources: Source[] = [];
    const loads: CircuitLoad[] = [];
    for (let k = 1; k <= bank.strings; k++) {
      const node = houseNode(plan.bank, k);
      const s = stringIn(bank, k, state);
      if (state.postsV !== null) sources.push({ id: `battery${k}`, plus: `${node}+`, minus: `${node}-`, volt: state.postsV, ohm: POSTS_OHM });
      else if (u.limited.has(k)) loads.push({ id: `battery${k}`, plus: `${node}+`, minus: `${node}-`, kind: 'current', value: s.takesA });
      else sources.push({ id: `battery${k}`, plus: `${node}+`, minus: `${node}-`, volt: s.volt, ohm: u.charging.has(k) ? s.chargeOhm : s.ohm });
    }
    if (this.starting) {
      const one = batterySource('flooded', plan.design.supply.startingAh, 'typical');
      const inSeries = plan.design.brief.vehicleV / 12;
      // Nearly full all its life: it takes little, behind a charging resistance.
      sources.push({ id: 'starting', plus: 'starting+', minus: 'starting-', volt: one.volt * inSeries, ohm: one.ohm * inSeries * (state.engine === 'off' ? 1 : 8) });
    }
    for (const g of this.givers) {
      const mode = u.modes.get(g.id)!;
      if (mode === 'holding') sources.push({ id: g.id, plus: g.plus, minus: g.minus, volt: g.setV, ohm: HOLD_OHM });
      else if (mode === 'all its amps') loads.push({ id: g.id, plus: g.plus, minus: g.minus, kind: 'current', value: -g.limitA });
      else if (mode === 'all its sun') loads.push({ id: g.id, plus: g.plus, minus: g.minus, kind: 'power', value: -g.sunW });
      const watts = u.inW.get(g.id) ?? 0;
      if (g.input && watts > 0) loads.push({ id: `${g.id}.in`, plus: g.input.plus, minus: g.input.minus, kind: 'power', value: watts });
    }
    if (this.lit) {
      const { regulator, holdV, currentA } = this.lit;
      sources.push({ id: 'regulator', plus: regulator.plus, minus: regulator.minus, volt: holdV, ohm: HOLD_OHM });
      loads.push({ id: 'panels', plus: 'panel+', minus: 'panel-', kind: 'current', value: -currentA });
    }
    return { sources, loads };
  }

  /** The circuit as things stand; loads that nothing reaches are left out. */
  circuit(): Circuit {
    const resistors = this.resistors();
    const { sources, loads } = this.sources();
    const giving = loads.filter((l) => l.value < 0 && l.id !== 'panels');
    const live = joinedTo(
      { resistors },
      [...sources, ...giving].map((s) => s.plus),
    );
    const nodes = new Set<string>(['bus-']);
    for (const r of resistors) nodes.add(r.a).add(r.b);
    for (const s of [...sources, ...loads]) nodes.add(s.plus).add(s.minus);
    const fed = this.drawn.filter((d) => live.has(d.plus)).map(({ name: _, ...load }): CircuitLoad => load);
    return { ground: 'bus-', nodes: [...nodes], resistors, sources, loads: [...loads, ...fed] };
  }

  /**
   * Where nothing settles, it may be a charger that asks more of its feed than the feed can give: its input would fall
   * below its cut-out first. True when one was cut out for that.
   */
  cutOut(circuit: Circuit): boolean {
    const asking = this.givers.filter((g) => g.input && (this.u.inW.get(g.id) ?? 0) > 0);
    const inputs = new Set(asking.map((g) => `${g.id}.in`));
    const without = circuit.loads.filter((l) => !inputs.has(l.id));
    if (!asking.length || !solveCircuit({ ...circuit, loads: without }).ok) return false;
    const alone = (g: Giver): boolean => solveCircuit({ ...circuit, loads: [...without, ...circuit.loads.filter((l) => l.id === `${g.id}.in`)] }).ok;
    const weak = asking.filter((g) => !alone(g));
    for (const g of weak.length ? weak : asking.slice(-1)) {
      this.u.modes.set(g.id, 'cut out');
      this.u.inW.set(g.id, 0);
    }
    return true;
  }

  /** Takes over what a solution shows; true when something changed. */
  learn(solved: Solved): boolean {
    const changes = [this.learnBank(solved), this.learnGivers(solved), this.learnInputs(solved), this.learnIsolator(solved), this.learnHeat(solved)];
    return changes.some(Boolean);
  }

  private across(solved: Solved, plus: string, minus: string): number {
    return (solved.nodeVolt[plus] ?? 0) - (solved.nodeVolt[minus] ?? 0);
  }

  private learnBank(solved: Solved): boolean {
    const { u } = this;
    let changed = false;
    if (this.state.postsV !== null) return false;
    for (let k = 1; k <= this.bank.strings; k++) {
      if (u.limited.has(k)) continue;
      const s = stringIn(this.bank, k, this.state);
      const amp = solved.branchAmp[`battery${k}`] ?? 0;
      const charging = amp < -1e-9;
      if (charging !== u.charging.has(k)) {
        if (charging) u.charging.add(k);
        else u.charging.delete(k);
        changed = true;
      } else if (-amp > s.takesA + 1e-6 && this.givers.length) {
        u.limited.add(k);
        for (const g of this.givers) if (g.id !== 'alternator' && u.modes.get(g.id) !== 'cut out') u.modes.set(g.id, 'holding');
        changed = true;
      }
    }
    return changed;
  }

  private learnGivers(solved: Solved): boolean {
    const { u } = this;
    let changed = false;
    for (const g of this.givers) {
      const mode = u.modes.get(g.id)!;
      if (mode === 'cut out') continue;
      const volt = this.across(solved, g.plus, g.minus);
      const holding = solved.branchAmp[g.id] ?? 0;
      const most = g.sunOnly ? Math.min(g.limitA, g.sunW / Math.max(volt, 1)) : g.limitA;
      let next: GiverMode = mode;
      if (mode === 'holding') next = holding < -1e-9 ? 'off' : holding > most + 1e-6 ? (g.sunOnly && most < g.limitA ? 'all its sun' : 'all its amps') : mode;
      else if (mode === 'off') next = volt < g.setV - 1e-6 ? 'holding' : mode;
      else if (volt > g.setV + 1e-9) next = 'holding';
      else if (mode === 'all its sun' && g.sunW / volt > g.limitA + 1e-9) next = 'all its amps';
      if (next !== mode) {
        u.modes.set(g.id, next);
        changed = true;
      }
    }
    this.freeBank();
    return changed;
  }

  /** Volts must come from somewhere: when nothing on the house side holds them any more, the bank does again. */
  private freeBank(): void {
    const holds = this.givers.some((g) => g.id !== 'alternator' && this.u.modes.get(g.id) === 'holding') || (this.isolator !== null && this.u.isolatorClosed);
    if (!holds) this.u.limited.clear();
  }

  outA(solved: Solved, g: Giver): number {
    const mode = this.u.modes.get(g.id)!;
    if (mode === 'holding') return Math.max(0, solved.branchAmp[g.id] ?? 0);
    if (mode === 'all its amps') return g.limitA;
    return mode === 'all its sun' ? g.sunW / this.across(solved, g.plus, g.minus) : 0;
  }

  private learnInputs(solved: Solved): boolean {
    let changed = false;
    for (const g of this.givers) {
      if (!g.input) continue;
      const was = this.u.inW.get(g.id) ?? 0;
      const inV = this.across(solved, g.input.plus, g.input.minus);
      const out = this.outA(solved, g) * this.across(solved, g.plus, g.minus);
      if (was > 0 && inV < g.input.cutOutV && this.u.modes.get(g.id) !== 'cut out') {
        this.u.modes.set(g.id, 'cut out');
        this.u.inW.set(g.id, 0);
        changed = true;
        continue;
      }
      const now = Math.max(0, out - g.sunW) / g.input.efficiency;
      if (Math.abs(now - was) > 1e-9 * Math.max(1, was)) changed = true;
      this.u.inW.set(g.id, now);
    }
    return changed;
  }

  private learnIsolator(solved: Solved): boolean {
    if (!this.isolator || this.state.isolator !== 'by itself') return false;
    const volt = this.across(solved, 'starting+', 'starting-');
    const { u } = this;
    const next = u.isolatorClosed ? volt >= this.isolator.openV : volt >= this.isolator.closeV;
    const changed = next !== u.isolatorClosed;
    // Once open it stays so while the state settles: its delays, not this moment, decide about closing again.
    if (changed && u.isolatorClosed) u.isolatorClosed = false;
    return changed && !next;
  }

  private learnHeat(solved: Solved): boolean {
    let most = 0;
    const { insulationC } = this.plan.design.settings;
    for (const { spec, figures } of this.plan.runs) {
      const amp = Math.abs(solved.branchAmp[`${spec.id}.feed`] ?? 0) / figures.perPole;
      const share = figures.ampacityA > 0 ? Math.min(1, amp / figures.ampacityA) : 1;
      const next = spec.ambientC + (insulationC - spec.ambientC) * share * share;
      most = Math.max(most, Math.abs(next - this.u.conductorC.get(spec.id)!));
      this.u.conductorC.set(spec.id, next);
    }
    return most > 0.01;
  }
}

function report(s: Settling, circuit: Circuit, solved: Solved, rounds: number, steady: boolean): SettledState {
  const volt = (plus: string, minus: string): number => (solved.nodeVolt[plus] ?? 0) - (solved.nodeVolt[minus] ?? 0);
  const runs = new Map<string, RunResult>();
  for (const { spec } of s.plan.runs)
    runs.set(spec.id, {
      id: spec.id,
      amp: solved.branchAmp[`${spec.id}.feed`] ?? 0,
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
  const batteries = [
    ...Array.from({ length: s.bank.strings }, (_, i) => ({ id: `battery${i + 1}`, node: houseNode(s.plan.bank, i + 1) })),
    ...(s.starting ? [{ id: 'starting', node: 'starting' }] : []),
  ].map(({ id, node }, i) => ({ id, volt: volt(`${node}+`, `${node}-`), amp: s.u.limited.has(i + 1) && id !== 'starting' ? -stringIn(s.bank, i + 1, s.state).takesA : (solved.branchAmp[id] ?? 0) }));
  return { ok: true, state: s.state, circuit, solved, runs, givers, loads, batteries, isolatorClosed: s.isolator ? s.u.isolatorClosed : null, rounds, steady };
}

/**
 * A design's circuit in one state, with everything that depends on the answer settled: chargers give all they can or
 * hold their volts, batteries take what they can, converters draw what they give over their efficiency, cables are as
 * warm as their own current makes them, loads that nothing feeds are dark.
 */
export function settle(plan: CircuitPlan, state: CircuitState): StateResult {
  const s = new Settling(plan, state);
  for (let round = 1; ; round++) {
    const circuit = s.circuit();
    const solved = solveCircuit(circuit);
    if (!solved.ok && solved.error === 'no-operating-point' && round < MOST_ROUNDS && s.cutOut(circuit)) continue;
    if (!solved.ok) return { ok: false, state, error: solved.error === 'no-operating-point' ? solved.error : 'floating-node', at: solved.at };
    const changed = s.learn(solved);
    if (!changed) return report(s, circuit, solved, round, true);
    if (round === MOST_ROUNDS) return report(s, circuit, solved, round, false);
  }
}

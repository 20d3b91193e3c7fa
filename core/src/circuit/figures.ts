import { cableSeries } from '../cable/index.js';
import { ofSolution } from '../network/index.js';
import { isMainLead } from '../routes/index.js';
import { dcChargersOf } from '../supply/index.js';
import { drawnIn } from './drawn.js';
import type { CircuitPlan } from './plan.js';
import { inputId } from './settling.js';
import { settle, type GiverResult, type RunResult, type SettledState, type StateResult } from './settle.js';
import type { CircuitState } from './state.js';

/** A settled state in plain figures, to be shown, sent or kept. */
export interface StateFigures {
  readonly ok: true;
  readonly state: CircuitState;
  readonly runs: readonly RunResult[];
  readonly givers: readonly GiverResult[];
  readonly loads: SettledState['loads'];
  readonly batteries: SettledState['batteries'];
  readonly isolatorClosed: boolean | null;
  /** Amps through main switch, shunt and disconnect, by their ids. */
  readonly inlineA: Readonly<Record<string, number>>;
  /** Volts of every node against the negative bus bar. */
  readonly nodeVolt: Readonly<Record<string, number>>;
  /** What is worth knowing about the solution itself; empty when all is well. */
  readonly notes: readonly string[];
}

/** Why a state has no solution, and what would give it one. */
export interface NoState {
  readonly ok: false;
  readonly state: CircuitState;
  readonly say: string;
  /** The run whose copper decides it, with the smallest size that holds; null: no cable helps. */
  readonly run: string | null;
  readonly holdsMm2: number | null;
}

function notes(plan: CircuitPlan, r: SettledState): string[] {
  const out: string[] = [];
  if (!r.steady) out.push(`it went on changing after ${r.rounds} rounds: chargers hand over to one another; the figures are of one such moment`);
  out.push(...ofSolution(r.solved).map((x) => x.say));
  for (const g of r.givers) if (g.mode === 'cut out') out.push(`the ${g.name} has cut out: its feed brings it too few volts`);
  if (plan.standIns.length) out.push(`has no size yet, and stands here as its load wants it: ${plan.standIns.join(', ')}`);
  if (plan.leftOut.length) out.push(`left out, since it has no size: ${plan.leftOut.join(', ')}`);
  for (const l of r.loads) if (!l.live) out.push(`nothing feeds ${l.name}`);
  const low = r.batteries.filter((b) => b.id !== 'starting' && !b.aside && b.volt < plan.bank.openV - 1e-6);
  if (low.length) out.push(`the battery stands below the ${plan.bank.openV.toFixed(1)} V at which the disconnect opens`);
  return out;
}

export function figuresOf(plan: CircuitPlan, r: SettledState): StateFigures {
  const { state, givers, loads, batteries, isolatorClosed } = r;
  return {
    ok: true,
    state,
    runs: [...r.runs.values()],
    givers,
    loads,
    batteries,
    isolatorClosed,
    inlineA: Object.fromEntries(plan.inline.map((p) => [p.id, r.solved.branchAmp[p.id] ?? 0])),
    nodeVolt: r.solved.nodeVolt,
    notes: notes(plan, r),
  };
}

/** The plan with one run at another size. */
function withSize(plan: CircuitPlan, id: string, areaMm2: number): CircuitPlan {
  return { ...plan, runs: plan.runs.map((r) => (r.spec.id === id ? { ...r, figures: { ...r.figures, areaMm2 } } : r)) };
}

/** The smallest stocked size of one run at which a state settles; null: none. */
function holdsAt(plan: CircuitPlan, state: CircuitState, id: string, fromMm2: number): number | null {
  for (const { areaMm2 } of cableSeries(plan.design.settings.series)) {
    if (areaMm2 > fromMm2 && settle(withSize(plan, id, areaMm2), state).ok) return areaMm2;
  }
  return null;
}

/** Runs from an element back to the bus bars, the nearest first. */
function wayBack(plan: CircuitPlan, gear: string): string[] {
  const out: string[] = [];
  for (let at = gear; ;) {
    const run = plan.runs.find((r) => r.spec.to.gear === at && !out.includes(r.spec.id));
    if (!run) return out;
    out.push(run.spec.id);
    at = run.spec.from.gear;
  }
}

function collapse(plan: CircuitPlan, state: CircuitState, at: readonly string[]): NoState {
  // The heaviest is the one to blame, and its own run the first to widen.
  const drawn = drawnIn(plan, state).filter((d) => d.kind === 'power' && at.includes(d.id));
  const heaviest = drawn.sort((a, b) => b.value - a.value)[0];
  const unit = dcChargersOf(plan.design, plan.catalogue).find((c) => at.includes(inputId(c.id)))?.id;
  const name = heaviest ? (heaviest.load === null ? `the ${heaviest.name}` : heaviest.name) : (unit ?? at[0] ?? 'something');
  const mains = plan.runs.filter(isMainLead).map((r) => r.spec.id);
  for (const id of [...wayBack(plan, heaviest?.gear ?? unit ?? ''), ...mains]) {
    const run = plan.runs.find((r) => r.spec.id === id)!;
    const holdsMm2 = holdsAt(plan, state, id, run.figures.areaMm2);
    if (holdsMm2 !== null)
      return {
        ok: false,
        state,
        run: id,
        holdsMm2,
        say: `${name} asks for more than run ${run.spec.number} (${run.spec.name}, ${run.figures.cable}) can give: its volts collapse. From ${holdsMm2} mm² on it holds.`,
      };
  }
  return {
    ok: false,
    state,
    run: null,
    holdsMm2: null,
    say: `${name} asks for more than everything that is switched on can give: the volts collapse, and no cable helps. Switch loads off, or a source on.`,
  };
}

/** One state of a design's circuit in figures, or why there is none. */
export function stateFigures(plan: CircuitPlan, state: CircuitState): StateFigures | NoState {
  const r: StateResult = settle(plan, state);
  if (r.ok) return figuresOf(plan, r);
  if (r.error === 'no-operating-point') return collapse(plan, state, r.at);
  return { ok: false, state, run: null, holdsMm2: null, say: `Nothing joins ${r.at.join(', ')} to the rest of the circuit: a run between them has no size yet.` };
}

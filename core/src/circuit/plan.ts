import type { Catalogue } from '../catalogue/index.js';
import { asOfNow, type Design } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import { plant, type Plant } from '../plant/index.js';
import { givesBy, inCircuit, isBetweenBoxes, isMainLead, isSecondLead, serves, type Fitted, type RunSpec, type SizedRun } from '../routes/index.js';
import { arraysOf, bankOf, selectedBankOf, type Bank, type SolarArray } from '../supply/index.js';
import type { CircuitFault } from './fault.js';
import { inlineParts, type InlinePart } from './inline.js';
import type { LeadSource } from './lead.js';

/** A design's circuit, before anything is said about what is switched on. */
export interface CircuitPlan {
  readonly design: Design;
  readonly catalogue: Catalogue;
  /** What of it works now: what waits for later is not in it. */
  readonly plant: Plant;
  readonly bank: Bank;
  /** The bank behind the selector; null: none. */
  readonly second: Bank | null;
  /** The bank on charge while another is in use, with its leads among `runs`; null: what is in use is what is charged. */
  readonly aside: Bank | null;
  readonly arrays: readonly SolarArray[];
  readonly day: DayFigures;
  readonly runs: readonly Fitted[];
  /** Fitted leads of the bank behind the selector; no part of `runs`. */
  readonly secondLeads: readonly Fitted[];
  /** Names of runs that are left out, since they or what feeds them have no size. */
  readonly leftOut: readonly string[];
  /** Runs without a size, in whose place stands what their load wants. */
  readonly standIns: readonly string[];
  readonly inline: readonly InlinePart[];
  /** What other vehicles take from the same starting battery, W; below 0 they give to it. */
  readonly besideW?: number;
  /** What another bank brings at the inlet of its lead, by inlet; else as usual. */
  readonly leads?: Readonly<Record<string, LeadSource>>;
  /** What a lead to another bank takes at its outlet, W, by load; else what the load says. */
  readonly outletW?: Readonly<Record<string, number>>;
  /** What is wrong in it. */
  readonly fault?: CircuitFault;
}

/** The plan of an assessed design; null while its battery has no fitted lead. */
export function circuitPlan(design: Design, catalogue: Catalogue, assessed: { readonly day: DayFigures; readonly runs: readonly SizedRun[] }): CircuitPlan | null {
  const bank = bankOf(design, catalogue);
  if (!bank || !hasMain(assessed.runs)) return null;
  const runs = reachable(assessed.runs);
  const secondLeads = assessed.runs.map(inCircuit).filter((r) => isSecondLead(r));
  const there = new Set([...runs, ...secondLeads].map((r) => r.spec.id));
  return {
    design: asOfNow(design),
    catalogue,
    plant: plant(asOfNow(design), catalogue),
    bank,
    second: selectedBankOf(design, catalogue),
    aside: null,
    arrays: arraysOf(asOfNow(design), catalogue),
    day: assessed.day,
    runs,
    secondLeads,
    standIns: assessed.runs.filter((r) => !r.ok).map((r) => r.spec.name),
    leftOut: assessed.runs.filter((r) => !there.has(r.spec.id)).map((r) => r.spec.name),
    inline: inlineParts(design, catalogue),
  };
}

/** Runs that a run hangs on: what feeds the gear between bus bars and load that it starts at, and the far half of a charger's or link's way. */
function needs({ spec }: Fitted, fitted: readonly Fitted[]): boolean {
  if (feeders(spec).some((id) => !fitted.some((r) => r.spec.id === id))) return false;
  // What a box brings to another one is there as long as the box itself is fed.
  if (isBetweenBoxes({ spec }) && !fitted.some((r) => serves(r, 'charger feed', spec.from.ref.id))) return false;
  // A charger built into a battery has no way of its own to it.
  if (spec.role === 'charger feed') return spec.to.ref.in === 'banks' || fitted.some((r) => givesBy(r, spec.serves.id));
  return spec.role !== 'link feed' || fitted.some((r) => serves(r, 'link', spec.serves.id));
}

/** Gear between bus bars and loads: none of its feed, and what hangs on it floats. A group's own feed may start at the block in turn. */
export function feeders({ from, parent }: Pick<RunSpec, 'from' | 'parent'>): readonly string[] {
  const between = from.ref.in === 'groups' || from.ref.in === 'traces' || (from.ref.in === 'distribution' && from.gear !== 'bus');
  return between && parent ? [parent] : [];
}

/** Fitted runs whose way to the bus bars is fitted too: a gap would leave the rest floating. */
export function reachable(runs: readonly SizedRun[]): Fitted[] {
  const fitted = runs.map(inCircuit).filter((r) => !isSecondLead(r));
  const reached = fitted.filter((r) => needs(r, fitted));
  return reached.length < fitted.length ? reachable(reached) : reached;
}

/** True where the house battery's own lead is fitted: without it there is no circuit to speak of. */
export const hasMain = (runs: readonly SizedRun[]): boolean => runs.some(isMainLead);

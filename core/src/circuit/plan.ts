import type { Catalogue } from '../catalogue/index.js';
import { asOfNow, type Design } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import { inCircuit, type Fitted, type SizedRun } from '../routes/index.js';
import { arrayOf, bankOf, selectedBankOf, type Bank, type SolarArray } from '../supply/index.js';
import { inlineParts, type InlinePart } from './inline.js';

/** A design's circuit, before anything is said about what is switched on. */
export interface CircuitPlan {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly bank: Bank;
  /** The bank behind the selector; null: none. */
  readonly second: Bank | null;
  readonly array: SolarArray | null;
  readonly day: DayFigures;
  readonly runs: readonly Fitted[];
  /** Fitted leads of the bank behind the selector; no part of `runs`. */
  readonly secondLeads: readonly Fitted[];
  /** Names of runs that are left out, since they or what feeds them have no size. */
  readonly leftOut: readonly string[];
  /** Runs without a size, in whose place stands what their load wants. */
  readonly standIns: readonly string[];
  readonly inline: readonly InlinePart[];
}

/** The plan of an assessed design; null while its battery has no fitted lead. */
export function circuitPlan(design: Design, catalogue: Catalogue, assessed: { readonly day: DayFigures; readonly runs: readonly SizedRun[] }): CircuitPlan | null {
  const bank = bankOf(design, catalogue);
  if (!bank || !hasMain(assessed.runs)) return null;
  const runs = reachable(assessed.runs);
  const secondLeads = assessed.runs.map(inCircuit).filter((r) => SECOND_LEAD.test(r.spec.id));
  const there = new Set([...runs, ...secondLeads].map((r) => r.spec.id));
  return {
    design: asOfNow(design),
    catalogue,
    bank,
    second: selectedBankOf(design, catalogue),
    array: arrayOf(asOfNow(design), catalogue),
    day: assessed.day,
    runs,
    secondLeads,
    standIns: assessed.runs.filter((r) => !r.ok).map((r) => r.spec.name),
    leftOut: assessed.runs.filter((r) => !there.has(r.spec.id)).map((r) => r.spec.name),
    inline: inlineParts(design, catalogue),
  };
}

/** Leads of the bank behind the selector. */
const SECOND_LEAD = /^second\d*-bus$/;

/** Runs that hang on another one: without it they would float. */
const NEEDS: Readonly<Record<string, string>> = { 'start-charger': 'charger-bus', 'start-charger2': 'charger2-bus', 'start-isolator': 'isolator-bus' };

/** Runs that a piece of gear between bus bars and loads is fed by: none of them, and what hangs on it floats. */
export function feederOf(gear: string, parent: string | null): readonly string[] {
  if (gear === 'block') return ['bus-block'];
  // A group's own feed may start at the block in turn.
  return /^(group|wire):/.test(gear) && parent ? [parent] : [];
}

/** Fitted runs whose way to the bus bars is fitted too: a gap would leave the rest floating. */
export function reachable(runs: readonly SizedRun[]): Fitted[] {
  const fitted = runs.map(inCircuit).filter((r) => !SECOND_LEAD.test(r.spec.id));
  const ids = new Set(fitted.map((r) => r.spec.id));
  const reached = fitted.filter(({ spec }) => feederOf(spec.from.gear, spec.parent).every((f) => ids.has(f)) && (!NEEDS[spec.id] || ids.has(NEEDS[spec.id]!)));
  return reached.length < fitted.length ? reachable(reached) : reached;
}

/** True where the house battery's own lead is fitted: without it there is no circuit to speak of. */
export const hasMain = (runs: readonly SizedRun[]): boolean => runs.some((r) => /^house\d*-bus$/.test(r.spec.id));

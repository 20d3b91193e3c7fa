import type { FaultBook, FaultProbe } from './book.js';
import type { Fault } from './fault.js';
import { searchFault, type Known } from './search.js';

/** How hard a hidden fault is. */
export const LEVELS = ['one thing is dead', 'something is weak', 'anything'] as const;
export type Level = (typeof LEVELS)[number];

/** A fault that is hidden in a rig, with what the customer says of it and what a good search takes. */
export interface Riddle {
  readonly fault: string;
  readonly complaint: { readonly id: string; readonly words: string };
  /** What the search itself needs: tests and minutes. */
  readonly par: { readonly tests: number; readonly minutes: number };
}

/** Tests within which a riddle must be solvable to be fair. */
const FAIR_TESTS = 8;
/** Draws before it is said that there is none. */
const MOST_DRAWS = 40;

/** A stream of numbers from 0 to 1 that is the same for the same seed (Numerical Recipes’ linear congruence). */
function stream(seed: number): () => number {
  let s = (seed * 2654435761) >>> 0;
  return () => (s = (s * 1664525 + 1013904223) >>> 0) / 2 ** 32;
}

/** Whether a fault is of a level: parted and dead things are easy; what still conducts is not. */
function isOf(level: Level, fault: Fault): boolean {
  const parted =
    Object.values(fault.change.addOhm ?? {}).some((ohm) => ohm >= 1e6) || fault.change.drawsNothing !== undefined || fault.change.mainSwitch !== undefined || fault.change.disconnect !== undefined;
  return level === 'anything' || (level === 'one thing is dead') === parted;
}

/**
 * What the simulated meter shows at a test under a fault: the prediction with the meter’s own error, the same each time
 * for one seed, rounded as its display does.
 */
export function simulatedReading(book: FaultBook, fault: string, test: string, seed: number): number {
  const at = book.probes.findIndex((p) => p.id === test);
  const { predicted, tolerance } = book.probes[at]!;
  const next = stream(seed + 7919 * (at + 1));
  const normal = Math.sqrt(-2 * Math.log(next() + 1e-12)) * Math.cos(2 * Math.PI * next());
  const step = tolerance < 0.05 ? 0.01 : 0.1;
  return Math.round((predicted[fault]! + (normal * tolerance) / 3) / step) * step + 0;
}

/** The search’s own way to a fault: its tests and minutes; null: it is not found in a fair number of tests. */
function parOf(book: FaultBook, fault: Fault, complaint: string, seed: number): Riddle['par'] | null {
  const readings: Known['readings'][number][] = [];
  let minutes = 0;
  let s = searchFault(book, { readings, complaints: [complaint] });
  while (s.next && readings.length < FAIR_TESTS) {
    const { id, minutes: takes } = s.next.probe;
    readings.push({ test: id, value: simulatedReading(book, fault.id, id, seed) });
    minutes += takes;
    s = searchFault(book, { readings, complaints: [complaint] });
  }
  const [top] = s.causes;
  return s.settled && top && isAnswer(book, fault.id, top.fault.id) ? { tests: readings.length, minutes } : null;
}

/** True where a named cause is the hidden one, or no test of the rig tells them apart. */
export function isAnswer(book: FaultBook, hidden: string, named: string): boolean {
  if (hidden === named) return true;
  const told = (p: FaultProbe): boolean => Math.abs(p.predicted[hidden]! - p.predicted[named]!) > p.tolerance;
  return named in (book.probes[0]?.predicted ?? {}) && !book.probes.some(told);
}

/**
 * A fault hidden by a seed, as likely as it is met, and fair: the search finds it in eight tests or fewer. Null where
 * the rig has none of the level.
 * @example hideFault(faultBook(design, catalogue), 3, 'anything').par.tests // 4
 */
export function hideFault(book: FaultBook, seed: number, level: Level): Riddle | null {
  const next = stream(seed);
  const said = (f: Fault) => book.complaints.filter((c) => c.explainedBy.includes(f.id));
  const able = book.faults.filter((f) => f.id !== 'sound' && isOf(level, f) && said(f).length);
  const sum = able.reduce((s, f) => s + f.prior, 0);
  for (let draw = 0; draw < MOST_DRAWS && able.length; draw++) {
    let left = next() * sum;
    const fault = able.find((f) => (left -= f.prior) <= 0) ?? able.at(-1)!;
    const complaints = said(fault);
    const complaint = complaints[Math.floor(next() * complaints.length)]!;
    const par = parOf(book, fault, complaint.id, seed);
    if (par) return { fault: fault.id, complaint: { id: complaint.id, words: complaint.words }, par };
  }
  return null;
}

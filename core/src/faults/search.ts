import { findFault, likelihoods, type FaultTable } from '../fault-finder/index.js';
import { figure } from '../quantity/index.js';
import type { FaultBook, FaultProbe } from './book.js';
import type { Fault } from './fault.js';

/** What is known: readings in the order in which they were taken, and what the customer says. */
export interface Known {
  readonly readings: readonly { readonly test: string; readonly value: number }[];
  readonly complaints: readonly string[];
}

/** A cause with its probability. */
export interface LikelyCause {
  readonly fault: Fault;
  /** 0–1; all causes come to 1. */
  readonly share: number;
  /** Others that no test of this rig tells from it. */
  readonly sameAs: readonly string[];
}

/** What one answer of the next test would mean. */
export interface Branch {
  /** About this reading, in the test's unit. */
  readonly about: number;
  readonly share: number;
  /** The likeliest causes that would read so, and how many more there are. */
  readonly causes: readonly string[];
  readonly more: number;
}

export interface NextTest {
  readonly probe: FaultProbe;
  readonly bits: number;
  readonly branches: readonly Branch[];
}

/** What is likely wrong, and what to measure next. */
export interface Search {
  readonly causes: readonly LikelyCause[];
  readonly next: NextTest | null;
  /** All tests left, the most bits a minute first. */
  readonly tests: readonly { readonly probe: FaultProbe; readonly bits: number }[];
  /** What the last reading made unlikely, by name: from above 2 % to below a fifth of what it was. */
  readonly ruledOut: readonly string[];
  /** The readings fit no single fault: several at once, or one that is not in the list. */
  readonly noneFits: boolean;
  /** The likeliest cause and what cannot be told from it come to this share or more. */
  readonly settled: boolean;
}

/** A fault that a complaint does not follow from: people describe things wrongly, but not often. */
const UNEXPLAINED = 0.06;
/** The search is over when one cause, with what is like it, has so much. */
const SURE = 0.9;
const UNLIKELY = { from: 0.02, times: 0.2 } as const;
const MOST_BRANCHES = 4;
const NAMED_CAUSES = 2;
/** A cause is counted among the more from this share of its branch. */
const COUNTED = 0.02;

/** The book as the table of the exact law. */
export function tableOf(book: FaultBook, known: Known): FaultTable {
  const explained = book.complaints.filter((c) => known.complaints.includes(c.id)).map((c) => new Set(c.explainedBy));
  return {
    faults: book.faults.map(({ id, prior }) => ({ id, prior: explained.reduce((p, by) => (by.has(id) ? p : p * UNEXPLAINED), prior) })),
    tests: book.probes.map(({ id, minutes, tolerance, range, predicted }) => ({ id, minutes, sd: tolerance / 2, range, predicted })),
    readings: [...known.readings],
    floor: 0.01,
  };
}

/** What the answers of a test would mean: predictions nearer than its tolerance are one. */
function branchesOf(probe: FaultProbe, causes: readonly LikelyCause[]): readonly Branch[] {
  const out: { about: number; share: number; causes: { name: string; share: number }[] }[] = [];
  for (const { fault, share } of causes) {
    const value = probe.predicted[fault.id]!;
    const near = out.find((b) => Math.abs(b.about - value) <= probe.tolerance);
    if (near) {
      near.share += share;
      near.causes.push({ name: fault.name, share });
    } else out.push({ about: value, share, causes: [{ name: fault.name, share }] });
  }
  return out
    .sort((a, b) => b.share - a.share)
    .slice(0, MOST_BRANCHES)
    .map((b) => ({ ...b, causes: b.causes.slice(0, NAMED_CAUSES).map((c) => c.name), more: b.causes.slice(NAMED_CAUSES).filter((c) => c.share > COUNTED * b.share).length }));
}

/** Causes by probability after what is known, and the test that tells most for the minutes it takes. */
export function searchFault(book: FaultBook, known: Known): Search {
  const table = tableOf(book, known);
  const found = findFault(table);
  const group = new Map(found.groups.flatMap((g) => g.map((id) => [id, g] as const)));
  const name = new Map(book.faults.map((f) => [f.id, f.name]));
  const causes = book.faults
    .map((fault): LikelyCause => ({ fault, share: found.posterior[fault.id]!, sameAs: (group.get(fault.id) ?? []).filter((id) => id !== fault.id).map((id) => name.get(id)!) }))
    .sort((a, b) => b.share - a.share);
  const tests = book.probes
    .filter((p) => p.id in found.tests)
    .map((probe) => ({ probe, bits: found.tests[probe.id]!.dropBits }))
    .sort((a, b) => b.bits / b.probe.minutes - a.bits / a.probe.minutes);
  const best = tests.find((t) => t.probe.id === found.best);
  const before = known.readings.length ? likelihoods({ ...table, readings: known.readings.slice(0, -1).map((r) => ({ ...r })) }) : found.posterior;
  const [likeliest] = causes;
  const alike = new Set(group.get(likeliest!.fault.id) ?? [likeliest!.fault.id]);
  const settled = causes.filter((c) => alike.has(c.fault.id)).reduce((s, c) => s + c.share, 0) >= SURE;
  return {
    causes,
    next: best && !settled ? { probe: best.probe, bits: best.bits, branches: branchesOf(best.probe, causes) } : null,
    tests,
    ruledOut: book.faults.filter((f) => before[f.id]! > UNLIKELY.from && found.posterior[f.id]! < UNLIKELY.times * before[f.id]!).map((f) => f.name),
    noneFits: found.noneFits,
    settled,
  };
}

/** A figure of a probe with its unit, to the digits that its tolerance bears. */
export const probeFigure = ({ unit, tolerance }: Pick<FaultProbe, 'unit' | 'tolerance'>, value: number): string => `${figure(value, tolerance < 0.05 ? 2 : tolerance < 0.5 ? 1 : 0)} ${unit}`;

import type { Design } from '../design/index.js';
import type { Shapes } from '../network/index.js';
import type { Fitted, RunEnd, RunFuse, SizedRun } from '../routes/index.js';
import type { Bank } from '../supply/index.js';
import type { InlinePart } from './inline.js';
import type { CircuitPlan } from './plan.js';
import { reachable } from './plan.js';
import { judgeRuns } from './shorts.js';

const FIRST = /^house\d*-bus$/;
const SECOND = /^second(\d*)-bus$/;

/** True of a lead of the bank behind the selector: it is no part of the circuit while the first bank is in use. */
export const isSecondLead = (run: { readonly spec: { readonly id: string } }): boolean => SECOND.test(run.spec.id);

const asHouse = (end: RunEnd): RunEnd => ({ ...end, plus: end.plus.replace(/^second/, 'house'), minus: end.minus.replace(/^second/, 'house') });

/** Runs as they are with the selector on the second bank: its leads stand where the first one's stood. */
export function turnedToSecond<R extends SizedRun>(runs: readonly R[]): R[] {
  return runs.filter((r) => !FIRST.test(r.spec.id)).map((r): R => (isSecondLead(r) ? { ...r, spec: { ...r.spec, id: r.spec.id.replace(SECOND, 'house$1-bus'), from: asHouse(r.spec.from) } } : r));
}

/** The plan with the second bank in use. */
export function planOnSecond(plan: CircuitPlan): CircuitPlan | null {
  const { second, secondLeads } = plan;
  return second && secondLeads.length ? { ...plan, bank: second, second: null, secondLeads: [], runs: turnedToSecond([...plan.runs, ...secondLeads]) } : null;
}

/** Name of a run of the turned plan as the design knows it. */
export const secondName = (id: string): string => (FIRST.test(id) ? id.replace(/^house/, 'second') : id);

/** The stiffer bank's largest short and the weaker one's smallest, unless one of them alone fails. */
const worse = (a: RunFuse, b: RunFuse): RunFuse => {
  const bad = (f: RunFuse): boolean => f.maxA > f.breakingA || (f.fault !== null && !(f.fault.cableSurvives && f.fault.clearsIn5s));
  if (bad(a) !== bad(b)) return bad(a) ? a : b;
  const [weak, stiff] = [a.minA > 0 && (b.minA === 0 || a.minA <= b.minA) ? a : b, a.maxA >= b.maxA ? a : b];
  return { ...stiff, minA: weak.minA, fault: weak.fault };
};

/** Every fuse judged with the first bank in use and, behind a selector, with the second: the worse of the two stands. */
export function judgeBanks(sized: readonly SizedRun[], design: Design, bank: Bank, second: Bank | null, inline: readonly InlinePart[], shapes: Shapes): ReadonlyMap<string, readonly RunFuse[]> {
  const first = judgeRuns(reachable(sized), design, bank, inline, shapes);
  const turned: Fitted[] = reachable(turnedToSecond(sized));
  if (!second || !turned.some((r) => FIRST.test(r.spec.id))) return first;
  const other = judgeRuns(turned, design, second, inline, { system: null });
  const out = new Map(first);
  for (const [id, fuses] of other) {
    const mine = FIRST.test(id) ? undefined : first.get(id);
    out.set(secondName(id), mine ? mine.map((f, i) => worse(f, fuses[i]!)) : fuses);
  }
  return out;
}

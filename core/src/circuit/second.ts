import type { Design } from '../design/index.js';
import type { Shapes } from '../network/index.js';
import { FIRST_BANK, SECOND_BANK } from '../plant/index.js';
import { bankPosts, isLeadOf, isMainLead, type Fitted, type RunFuse, type SizedRun } from '../routes/index.js';
import type { Bank } from '../supply/index.js';
import type { InlinePart } from './inline.js';
import type { CircuitPlan } from './plan.js';
import { reachable } from './plan.js';
import { judgeRuns } from './shorts.js';

/** A lead of the second bank where the first one's stands: its posts are the posts of the bank in use. */
function asFirst<R extends SizedRun>(run: R): R {
  const { spec } = run;
  return { ...run, spec: { ...spec, serves: FIRST_BANK, from: { ...spec.from, ...bankPosts(FIRST_BANK.id, spec.from.string) } } };
}

/** Runs as they are with the selector on the second bank: its leads stand where the first one's stood. */
export const turnedToSecond = <R extends SizedRun>(runs: readonly R[]): R[] => runs.filter((r) => !isMainLead(r)).map((r) => (isLeadOf(r, SECOND_BANK) ? asFirst(r) : r));

/** The plan with the second bank in use. */
export function planOnSecond(plan: CircuitPlan): CircuitPlan | null {
  const { second, secondLeads } = plan;
  return second && secondLeads.length ? { ...plan, bank: second, second: null, secondLeads: [], runs: turnedToSecond([...plan.runs, ...secondLeads]) } : null;
}

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
  if (!second || !turned.some(isMainLead)) return first;
  const other = judgeRuns(turned, design, second, inline, { system: null });
  const out = new Map(first);
  for (const [id, fuses] of other) {
    const mine = first.get(id);
    out.set(id, mine ? mine.map((f, i) => worse(f, fuses[i]!)) : fuses);
  }
  return out;
}

import { refTo, type Design } from '../design/index.js';
import type { Shapes } from '../network/index.js';
import { FIRST_BANK } from '../plant/index.js';
import { bankPosts, isMainLead, isSecondLead, type Fitted, type Posts, type RunFuse, type SizedRun } from '../routes/index.js';
import type { Bank } from '../supply/index.js';
import type { InlinePart } from './inline.js';
import type { CircuitPlan } from './plan.js';
import { reachable } from './plan.js';
import { judgeRuns } from './shorts.js';
import type { CircuitState } from './state.js';

/** A lead of the second bank where the first one's stands: its posts are the posts of the bank in use. */
function asFirst<R extends SizedRun>(run: R): R {
  const { spec } = run;
  return { ...run, spec: { ...spec, serves: FIRST_BANK, from: { ...spec.from, ...bankPosts(FIRST_BANK.id, spec.from.string) } } };
}

/** The bank that is not in use, as the circuit calls it, and the stud of the loads' selector that its leads end at. */
const ASIDE = refTo('banks', 'aside');
const ASIDE_PLUS = 'aside.main+';

/** A lead of the bank that the loads' selector does not stand on. */
function asAside<R extends Fitted>(run: R): R {
  const { spec } = run;
  return { ...run, spec: { ...spec, serves: ASIDE, from: { ...spec.from, ...bankPosts(ASIDE.id, spec.from.string) }, to: { ...spec.to, plus: ASIDE_PLUS } } };
}

/** Posts of one string of the bank on charge while another is in use, by its number from 1. */
export const asidePosts = (bank: Pick<Bank, 'strings'>, string: number): Posts => bankPosts(ASIDE.id, bank.strings > 1 ? string : null);

/** Runs as they are with the selector on the second bank: its leads stand where the first one's stood. */
const turnedToSecond = <R extends SizedRun>(runs: readonly R[]): R[] => runs.filter((r) => !isMainLead(r)).map((r) => (isSecondLead(r) ? asFirst(r) : r));

/**
 * The plan with its selectors turned as a state says: the bank in use, and where the chargers stand on the other one
 * that bank as well, behind the charging selector. The two have the negative bar in common and nothing else.
 */
export function turned(plan: CircuitPlan, { bank, charges }: Pick<CircuitState, 'bank' | 'charges'>): CircuitPlan {
  const { second, secondLeads } = plan;
  if (!second || !secondLeads.length) return plan;
  const apart = charges === 'the other bank' && plan.inline.some((p) => p.id === 'charging');
  const onSecond = bank === 'second';
  if (!onSecond && !apart) return plan;
  const inUse = { ...plan, bank: onSecond ? second : plan.bank, second: null, secondLeads: [], runs: onSecond ? turnedToSecond([...plan.runs, ...secondLeads]) : plan.runs };
  if (!apart) return inUse;
  const other = onSecond ? plan.runs.filter(isMainLead) : secondLeads;
  return {
    ...inUse,
    aside: onSecond ? plan.bank : second,
    runs: [...inUse.runs, ...other.map(asAside)],
    inline: plan.inline.map((p) => (p.id === 'charging' ? { ...p, a: ASIDE_PLUS } : p)),
  };
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
  const onSecond: Fitted[] = reachable(turnedToSecond(sized));
  if (!second || !onSecond.some(isMainLead)) return first;
  const other = judgeRuns(onSecond, design, second, inline, { system: null });
  const out = new Map(first);
  for (const [id, fuses] of other) {
    const mine = first.get(id);
    out.set(id, mine ? mine.map((f, i) => worse(f, fuses[i]!)) : fuses);
  }
  return out;
}

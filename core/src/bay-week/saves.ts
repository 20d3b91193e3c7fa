import { type CalendarPlan, planCalendar, workdays } from './calendar.js';
import type { ShopJob, ShopWeek } from './shop.js';
import { USUAL_JOB } from './shop.js';

/** Something that would make a plan less late, with what it then comes to. */
export interface Saving {
  readonly what: 'a Saturday' | 'parts today' | 'the electrician' | 'one more person';
  /** The day it is about, or the job whose parts would be there. */
  readonly on: string;
  readonly week: ShopWeek;
  readonly left: number;
  readonly lateness: number;
}

const MOST_SAVINGS = 4;
/** A short look at each: what it finds can be had, and a longer one might find more. */
const BRANCHES_EACH = 8000;
const DAY_MS = 86_400_000;

/** Saturdays between the first and the last day of a plan that are not worked. */
function idleSaturdays(days: readonly string[], worked: readonly string[]): string[] {
  const out: string[] = [];
  for (let at = Date.parse(days[0]!); at <= Date.parse(days.at(-1)!); at += DAY_MS) {
    const iso = new Date(at).toISOString().slice(0, 10);
    if (new Date(at).getUTCDay() === 6 && !worked.includes(iso)) out.push(iso);
  }
  return out;
}

function ways(week: ShopWeek, jobs: readonly ShopJob[], from: string): Omit<Saving, 'left' | 'lateness'>[] {
  const days = workdays(from, week.saturdays);
  const late = (j: ShopJob): boolean => (week.jobs[j.id]?.partsOn ?? j.partsBy ?? '') > from;
  return [
    ...idleSaturdays(days, week.saturdays).map((on) => ({ what: 'a Saturday' as const, on, week: { ...week, saturdays: [...week.saturdays, on] } })),
    ...jobs.filter(late).map((j) => ({ what: 'parts today' as const, on: j.id, week: { ...week, jobs: { ...week.jobs, [j.id]: { ...(week.jobs[j.id] ?? USUAL_JOB), partsOn: from } } } })),
    // A day of the electrician's matters where others are known and a job waits for one.
    ...(week.licensedOn.length && jobs.some((j) => j.licensed)
      ? days.filter((d) => !week.licensedOn.includes(d)).map((on) => ({ what: 'the electrician' as const, on, week: { ...week, licensedOn: [...week.licensedOn, on] } }))
      : []),
    { what: 'one more person' as const, on: '', week: { ...week, people: [...week.people, { id: 'more', name: 'one more', skill: 'senior' as const, away: [] }] } },
  ];
}

const better = (a: { readonly left: number; readonly lateness: number }, b: { readonly left: number; readonly lateness: number }): number => a.left - b.left || a.lateness - b.lateness;

/** What would save a plan in which something is late or without a place, the most first; of the same worth, what stands first here. */
export function savings(week: ShopWeek, jobs: readonly ShopJob[], from: string, plan: CalendarPlan): readonly Saving[] {
  const now = { left: plan.left.length, lateness: plan.lateness };
  if (plan.clash?.error === 'fixed-clash' || (!now.left && !now.lateness)) return [];
  return (
    ways(week, jobs, from)
      .map((w): Saving => {
        const then = planCalendar(w.week, jobs, from, BRANCHES_EACH);
        return { ...w, left: then.left.length, lateness: then.lateness };
      })
      .filter((s) => better(s, now) < 0)
      .sort(better)
      // One day of a kind is enough to say, of parts each job's.
      .filter((s, i, all) => s.what === 'parts today' || all.findIndex((o) => o.what === s.what) === i)
      .slice(0, MOST_SAVINGS)
  );
}

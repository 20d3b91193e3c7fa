import { planWeek, type WeekAnswer } from './plan.js';
import type { PlannedJob, ShopJob, ShopWeek } from './shop.js';
import { USUAL_JOB } from './shop.js';
import type { WeekTask } from './task.js';

const DAY_MS = 86_400_000;
const ms = (iso: string): number => Date.parse(`${iso}T00:00:00Z`);
const isoOf = (at: number): string => new Date(at).toISOString().slice(0, 10);
/** 0 is Sunday. */
const weekday = (iso: string): number => new Date(ms(iso)).getUTCDay();

/** Days of the calendar that a plan looks at: two weeks, with both their Saturdays fewer half-days than it can hold. */
const DAYS_AHEAD = 14;

/** Working days of the two weeks from one day on, that one included. @example workdays('2026-12-04', []).slice(0, 2) // ['2026-12-04', '2026-12-07'] */
export function workdays(from: string, saturdays: readonly string[]): string[] {
  const days = Array.from({ length: DAYS_AHEAD }, (_, i) => isoOf(ms(from) + i * DAY_MS));
  return days.filter((iso) => (weekday(iso) >= 1 && weekday(iso) <= 5) || (weekday(iso) === 6 && saturdays.includes(iso)));
}

/** A job that has its place, by the calendar. */
export interface Block {
  readonly job: string;
  readonly bay: string;
  readonly person: string;
  /** Half-day it begins on, and how many it takes. */
  readonly start: number;
  readonly halfDays: number;
  readonly fixed: boolean;
  /** Half-days after the promised day's end; 0: in time, or nothing was promised. */
  readonly late: number;
}

export interface CalendarPlan {
  readonly days: readonly string[];
  readonly blocks: readonly Block[];
  /** Jobs that found no place. */
  readonly left: readonly string[];
  /** Why there is no plan: jobs with no place even in an empty workshop, or promises that cannot all be kept. */
  readonly clash: Extract<WeekAnswer, { error: string }> | null;
  /** False: so many ways were tried that a better plan may exist. */
  readonly proved: boolean;
  /** Weight × half-days late. */
  readonly lateness: number;
}

/** What a promise counts as where there is none: never late. */
const NO_PROMISE = 1000;

/** Half-days of a job's work. */
export const halfDaysOf = (minutes: number, hoursPerDay: number): number => Math.max(1, Math.ceil(minutes / ((hoursPerDay * 60) / 2) - 1e-9));

const said = (week: ShopWeek, id: string): PlannedJob => week.jobs[id] ?? USUAL_JOB;

/** The first half-day of a day, or of the next that is worked; after all of them, the end. */
function firstHalf(days: readonly string[], iso: string): number {
  const i = days.findIndex((d) => d >= iso);
  return i < 0 ? 2 * days.length : 2 * i;
}

/** The last half-day of a day, or of the last before it that is worked; before all of them, −1. */
const lastHalf = (days: readonly string[], iso: string): number => 2 * days.filter((d) => d <= iso).length - 1;

function taskOf(week: ShopWeek, jobs: readonly ShopJob[], days: readonly string[]): WeekTask {
  const halves = (dates: readonly string[]): number[] => dates.flatMap((iso) => (days.includes(iso) ? [2 * days.indexOf(iso), 2 * days.indexOf(iso) + 1] : []));
  return {
    horizon: 2 * days.length,
    bays: [...week.bays],
    people: week.people.map(({ id, skill, away }) => ({ id, skill, away: halves(away) })),
    licensedHalfDays: halves(week.licensedOn),
    jobs: jobs.map((j) => {
      const s = said(week, j.id);
      const parts = s.partsOn ?? j.partsBy;
      const start = s.fixed && firstHalf(days, s.fixed.on) + s.fixed.half;
      return {
        id: j.id,
        halfDays: halfDaysOf(s.hours === null ? j.minutes : 60 * s.hours, week.hoursPerDay),
        partsFromHalfDay: parts === null ? 0 : firstHalf(days, parts),
        promisedHalfDay: j.promisedOn === null ? NO_PROMISE : lastHalf(days, j.promisedOn),
        weight: s.weight,
        needs: s.needs,
        // Without a day of the electrician's it is planned as if one came: the page says that none is known.
        licensed: j.licensed && week.licensedOn.some((d) => days.includes(d)),
        // One that has begun goes on where it stands.
        fixed: s.fixed && week.bays.includes(s.fixed.bay) && start! < 2 * days.length ? { bay: s.fixed.bay, start: s.fixed.on < days[0]! ? 0 : start! } : null,
      };
    }),
  };
}

/**
 * Which job stands in which bay with whom, on which days from one on. Jobs that no days here can hold are left out as
 * those without a place are; what is fixed is never moved.
 */
export function planCalendar(week: ShopWeek, jobs: readonly ShopJob[], from: string, mostBranches?: number): CalendarPlan {
  const days = workdays(from, week.saturdays);
  const task = taskOf(week, jobs, days);
  const answer = planWeek(task, mostBranches);
  // One that has no place even in an empty workshop keeps no other from theirs.
  if ('error' in answer && answer.error === 'no-place') {
    const rest = planCalendar(
      week,
      jobs.filter((j) => !answer.jobs.includes(j.id)),
      from,
      mostBranches,
    );
    return { ...rest, left: [...answer.jobs, ...rest.left], clash: rest.clash ?? answer };
  }
  if ('error' in answer) return { days, blocks: [], left: jobs.map((j) => j.id), clash: answer, proved: true, lateness: 0 };
  const blocks = answer.plan.map((p): Block => {
    const j = task.jobs.find((x) => x.id === p.id)!;
    return { job: p.id, bay: p.bay, person: p.person, start: p.start, halfDays: j.halfDays, fixed: !!j.fixed, late: Math.max(0, p.start + j.halfDays - 1 - j.promisedHalfDay) };
  });
  const placed = new Set(blocks.map((b) => b.job));
  return { days, blocks, left: jobs.filter((j) => !placed.has(j.id)).map((j) => j.id), clash: null, proved: answer.proved !== false, lateness: answer.lateness };
}

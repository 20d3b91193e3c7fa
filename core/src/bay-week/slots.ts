import type { WeekJob, WeekTask } from './task.js';

/** Half-days as bits: bit n is half-day n. The latest that a number's bits hold is 30. */
export const MOST_HALF_DAYS = 31;

const halfDaysOf = (list: readonly number[]): number => list.filter((h) => h < MOST_HALF_DAYS).reduce((mask, h) => mask | (1 << h), 0);

/** Starts that a job may have by its own terms, the earliest first: parts, the end of the week, the licensed electrician's half-days, its promise. */
export function startsOf(job: WeekJob, task: WeekTask): number[] {
  const all = Array.from({ length: Math.max(0, task.horizon - job.halfDays + 1) }, (_, start) => start);
  return all.filter((s) => s >= job.partsFromHalfDay && (!job.licensed || task.licensedHalfDays.includes(s + job.halfDays - 1)) && (!job.fixed || job.fixed.start === s));
}

/** A bay or a person, and what is taken of it. */
export interface Hold {
  readonly id: string;
  readonly senior: boolean;
  taken: number;
}

export interface Holds {
  readonly bays: readonly Hold[];
  readonly people: readonly Hold[];
}

export const holdsOf = (task: WeekTask): Holds => ({
  bays: task.bays.map((id) => ({ id, senior: false, taken: 0 })),
  people: task.people.map((p) => ({ id: p.id, senior: p.skill === 'senior', taken: halfDaysOf(p.away) })),
});

/** A start that a job may have, with the half-days it then takes. */
export interface Slot {
  readonly start: number;
  readonly span: number;
}

export const slotsOf = (job: WeekJob, task: WeekTask): Slot[] => startsOf(job, task).map((start) => ({ start, span: ((1 << job.halfDays) - 1) << start }));

const can = (job: WeekJob, hold: Hold, bay: boolean): boolean => (bay ? !job.fixed || hold.id === job.fixed.bay : hold.senior || job.needs === 'any');

/** Bays or people that are free for a span and will do; of those that stand alike, one. Juniors first, so that the senior stays free. */
export function freeFor(job: WeekJob, holds: readonly Hold[], span: number, bay: boolean): Hold[] {
  const free = holds.filter((h) => (h.taken & span) === 0 && can(job, h, bay));
  const apart = job.fixed && bay ? free : free.filter((h, i) => free.findIndex((o) => o.taken === h.taken && o.senior === h.senior) === i);
  return apart.sort((a, b) => Number(a.senior) - Number(b.senior));
}

/** The earliest slot in which a job can stand as things are: also the least late and the first to end. */
export function earliest(job: WeekJob, slots: readonly Slot[], holds: Holds): Slot | undefined {
  const some = (of: readonly Hold[], span: number, bay: boolean): boolean => of.some((h) => (h.taken & span) === 0 && can(job, h, bay));
  return slots.find(({ span }) => some(holds.bays, span, true) && some(holds.people, span, false));
}

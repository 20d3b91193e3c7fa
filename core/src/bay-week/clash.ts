import { search } from './search.js';
import { earliest, holdsOf, slotsOf } from './slots.js';
import type { WeekTask } from './task.js';

/** Jobs that no empty workshop has a place for, or promises that cannot all be kept. */
export function firstClash(task: WeekTask): { readonly error: 'no-place' | 'fixed-clash'; readonly jobs: readonly string[] } | null {
  const nowhere = task.jobs.filter((j) => !earliest(j, slotsOf(j, task), holdsOf(task)));
  if (nowhere.length) return { error: 'no-place', jobs: nowhere.map((j) => j.id) };
  const fixed = task.jobs.filter((j) => j.fixed);
  return search({ ...task, jobs: fixed }).plan.length === fixed.length ? null : { error: 'fixed-clash', jobs: fixed.map((j) => j.id) };
}

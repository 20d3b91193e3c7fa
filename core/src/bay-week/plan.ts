import { firstClash } from './clash.js';
import { search } from './search.js';
import type { WeekPlan, WeekTask } from './task.js';

export type WeekAnswer = WeekPlan | { readonly error: 'no-place' | 'fixed-clash'; readonly jobs: readonly string[] };

/**
 * Which job stands in which bay with whom: least weight left out, then least weight × half-days late, then the earliest ends.
 * All plans are tried, within so many branches; a branch is left as soon as the jobs still to come could not better what is known.
 */
export function planWeek(task: WeekTask, mostBranches?: number): WeekAnswer {
  return firstClash(task) ?? search(task, mostBranches);
}

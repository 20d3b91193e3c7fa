import { catalogueOf } from '../catalogue/index.js';
import { inJob, patchOfJob } from '../couplings/index.js';
import { type Design, editDesign, isJoined, type Patch, patchBetween, tidy } from '../design/index.js';
import { difference, type Difference } from './difference.js';

/** The job as an edit to one of its vehicles would leave it; in words why it cannot be made. */
function after(job: Design, vehicle: string, patch: Patch): Design | string {
  const view = isJoined(job) ? inJob(job, vehicle, catalogueOf(job)) : job;
  const edited = editDesign(view, patch);
  if (!edited.ok) return edited.message;
  const draft = structuredClone(edited.design);
  tidy(draft);
  if (!isJoined(job)) return draft;
  const whole = patchOfJob(job, vehicle, catalogueOf(job), patchBetween(view, draft));
  if (typeof whole === 'string') return whole;
  const next = editDesign(job, whole);
  return next.ok ? next.design : next.message;
}

/**
 * What an edit to one vehicle of a job would change, before it is made: figures, cables, findings that it ends and that
 * it brings. In words why it cannot be made, where it cannot.
 *
 * @example
 * whatWouldChange(design, 'own', []).cables.length // 0
 */
export function whatWouldChange(job: Design, vehicle: string, patch: Patch): Difference | string {
  const next = after(job, vehicle, patch);
  return typeof next === 'string' ? next : difference(job, next, vehicle);
}

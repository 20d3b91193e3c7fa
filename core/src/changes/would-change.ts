import { catalogueOf } from '../catalogue/index.js';
import { withVehicle } from '../couplings/index.js';
import { type Design, editDesign, type Patch, tidy } from '../design/index.js';
import { difference, type Difference } from './difference.js';

/** A design after a patch, with nothing left that hangs on what the patch took away. */
function edited(design: Design, patch: Patch): ReturnType<typeof editDesign> {
  const done = editDesign(design, patch);
  if (!done.ok) return done;
  const draft = structuredClone(done.design);
  tidy(draft);
  return { ok: true, design: draft };
}

/**
 * What an edit to one vehicle of a job would change, before it is made: figures, cables, findings that it ends and that
 * it brings. In words why it cannot be made, where it cannot.
 *
 * @example
 * whatWouldChange(design, 'own', []).cables.length // 0
 */
export function whatWouldChange(job: Design, vehicle: string, patch: Patch): Difference | string {
  const next = withVehicle(job, vehicle, catalogueOf(job), (shown) => edited(shown, patch));
  return next.ok ? difference(job, next.design, vehicle) : next.message;
}

import type { Catalogue } from '../catalogue/index.js';
import { editDesign, isJoined, patchBetween, patchInJob, vehicleIn, type Design, type Edited, type Patch } from '../design/index.js';
import { withoutBeside } from './in-body.js';
import { inJob } from './in-job.js';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** A design as edited, without what reached it from other vehicles. */
function withoutOthers(edited: Design, typed: Design, shown: Design): Design {
  const fromOthersA = shown.supply.otherChargersA - typed.supply.otherChargersA;
  const inlets = Object.fromEntries(
    Object.entries(edited.inlets).map(([key, inlet]) => {
      const own = typed.inlets[key]?.hours ?? [];
      const fromOthers = (shown.inlets[key]?.hours ?? []).filter((h) => !own.some((t) => same(t, h)));
      return [key, { ...inlet, hours: inlet.hours.filter((h) => !fromOthers.some((f) => same(f, h))) }];
    }),
  );
  const loads = Object.fromEntries(
    Object.entries(edited.loads).map(([key, load]) => {
      const was = typed.loads[key];
      return [key, was && same(load.use, shown.loads[key]?.use) ? { ...load, use: was.use } : load];
    }),
  );
  return { ...edited, vehicle: withoutBeside(edited, typed, shown), loads, supply: { ...edited.supply, otherChargersA: Math.max(0, edited.supply.otherChargersA - fromOthersA) }, inlets };
}

/**
 * An edit of one vehicle's design, as {@link inJob} shows it, as a patch of the job. What reaches the vehicle from the
 * others is no part of what is edited: amps that others want are taken off again, hours of their leads and gear of other
 * rigs in its body left out, and an outlet keeps the use that was typed.
 */
export function patchOfJob(job: Design, id: string, catalogue: Catalogue, patch: Patch): Patch | string {
  if (!isJoined(job)) return patch;
  const [typed, shown] = [vehicleIn(job, id), inJob(job, id, catalogue)];
  const edited: Edited = editDesign(shown, patch);
  return edited.ok ? patchInJob(job, id, patchBetween(typed, withoutOthers(edited.design, typed, shown))) : edited.message;
}

/** The job with one of its vehicles changed as {@link inJob} shows it; in words why not. */
export function withVehicle(job: Design, id: string, catalogue: Catalogue, change: (shown: Design) => Edited): Edited {
  const shown = inJob(job, id, catalogue);
  const changed = change(shown);
  if (!changed.ok || !isJoined(job)) return changed;
  const patch = patchOfJob(job, id, catalogue, patchBetween(shown, changed.design));
  return typeof patch === 'string' ? { ok: false, message: patch } : editDesign(job, patch);
}

import type { Catalogue } from '../catalogue/index.js';
import { bodyOf, patchBetween, rigsIn, type Design, type Vehicle } from '../design/index.js';
import { draftGear, type Gear } from '../places/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { reached } from './views.js';

type Kept = Vehicle['keep'][number];

/** What a body's file takes of a name, letters; a load's own may be longer. */
const NAME_LETTERS = 60;
const clipped = (text: string): string => text.slice(0, NAME_LETTERS);

/** Gear of another rig as what a body keeps clear, with its weight and heat; the starting battery is one for all rigs. */
const keptBy = (rig: string, gear: readonly Gear[]): Kept[] =>
  gear.flatMap(({ name, box, zone, kg, heatW, role, when }, i) =>
    role === 'starting' ? [] : [{ id: `${rig.slice(0, 30)}-${i}`, name: clipped(name), box, gear: { zone, kg: when === 'later' ? 0 : kg, heatW: when === 'now' ? heatW : 0 } }],
  );

/** A design whose body keeps more clear. */
export const keeping = (design: Design, kept: readonly Kept[]): Design => {
  if (!kept.length) return design;
  const vehicle = vehicleOf(design);
  return { ...design, vehicle: { ...vehicle, keep: [...vehicle.keep, ...kept] } };
};

/**
 * A rig with the gear of those that stand before it in the same body, round which its own is drafted and with which it is
 * weighed. Those after it lie round its own in turn, so that none waits for another.
 */
export function besideInBody(design: Design, job: Design, id: string, catalogue: Catalogue): Design {
  const before = rigsIn(job, bodyOf(job, id));
  let kept: Kept[] = [];
  for (const rig of before.slice(0, before.indexOf(id))) kept = [...kept, ...keptBy(rig, draftGear(keeping(reached(job, rig, catalogue), kept), catalogue))];
  return keeping(design, kept);
}

/** The vehicle of an edited design without the gear of other rigs in its body, which only reached it; null: its kind's own. */
export function withoutBeside(edited: Design, typed: Design, shown: Design): Design['vehicle'] {
  if (edited.vehicle === null) return null;
  if (!patchBetween(shown, { ...shown, vehicle: edited.vehicle }).length) return typed.vehicle;
  const own = new Set(vehicleOf(typed).keep.map((k) => k.id));
  const reachedIt = new Set(shown.vehicle?.keep.filter((k) => !own.has(k.id)).map((k) => k.id));
  return { ...edited.vehicle, keep: edited.vehicle.keep.filter((k) => !reachedIt.has(k.id)) };
}

import type { Catalogue } from '../catalogue/index.js';
import type { Design, Zone } from '../design/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { boxesOf, boxGear, unboxGear, type BoxWanted } from './boxed.js';
import { draftGear } from './draft.js';
import type { Gear } from './gear.js';

/** A battery’s box among people: sealed towards them, and vented outside. */
const USUAL: BoxWanted = { name: 'battery box', weather: 'dry', airMm: 40, sealed: true };

/** Boxes that nothing is in any more: what they were built round was changed or taken out. */
export function emptyBoxes(design: Design, catalogue: Catalogue): readonly Zone[] {
  const boxes = boxesOf(vehicleOf(design));
  if (!boxes.length) return boxes;
  const inUse = new Set(draftGear(design, catalogue).map((g) => g.zone));
  return boxes.filter((z) => !inUse.has(z.id));
}

/** A design with its house batteries, which stand among people, in a box of their own; null: they stand nowhere that one could be built. */
export function boxBank(design: Design, catalogue: Catalogue, gear: readonly Gear[] = draftGear(design, catalogue)): Design | null {
  const bank = gear.filter((g) => g.role === 'house');
  if (!bank.length || bank.some((g) => !g.people)) return null;
  const boxed = boxGear(
    design,
    catalogue,
    bank.map((g) => g.id),
    USUAL,
    gear,
  );
  return boxed.ok ? boxed.design : null;
}

/** The box that holds the house batteries and nothing else; null: there is none. */
export function boxOfBank(design: Design, catalogue: Catalogue): string | null {
  const boxes = boxesOf(vehicleOf(design));
  if (!boxes.length) return null;
  const gear = draftGear(design, catalogue);
  return boxes.find(({ id }) => gear.some((g) => g.zone === id) && gear.every((g) => (g.role === 'house') === (g.zone === id)))?.id ?? null;
}

/** A design whose bank is out of a box that held it alone, where people are around it: another bank gets one of its own size. A box that somebody built where nobody sits stays. */
export function unboxBank(design: Design, catalogue: Catalogue): Design {
  const box = boxOfBank(design, catalogue);
  if (box === null) return design;
  const inIt = new Set(Object.entries(design.places).flatMap(([id, p]) => (p.zone === box ? [id] : [])));
  const out = unboxGear(design, box);
  const bare = { ...out, places: Object.fromEntries(Object.entries(out.places).filter(([id]) => !inIt.has(id))) };
  return draftGear(bare, catalogue).some((g) => g.role === 'house' && g.people) ? bare : design;
}

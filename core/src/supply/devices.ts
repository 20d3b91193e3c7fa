import type { Catalogue, Part } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { partsOf, plant } from '../plant/index.js';

/** Parts of one kind that the supply calls for and that are still to be bought. */
export interface Device {
  readonly part: Part;
  readonly quantity: number;
}

/** What the supply calls for, less what is in the vehicle already and stays: that is not bought again, and adds no weight. */
export function devicesOf(design: Design, catalogue: Catalogue): readonly Device[] {
  const kept = new Map<string, number>();
  for (const e of Object.values(design.brief.existing)) if (e.part && e.verdict !== 'remove') kept.set(e.part, (kept.get(e.part) ?? 0) + 1);
  return partsOf(plant(design, catalogue)).flatMap(({ part, quantity: wanted }) => {
    const have = Math.min(wanted, kept.get(part.id) ?? 0);
    kept.set(part.id, (kept.get(part.id) ?? 0) - have);
    return wanted > have ? [{ part, quantity: wanted - have }] : [];
  });
}

import type { Enclosure } from '../enclosure/index.js';
import type { LayoutFigures } from '../routes/index.js';
import type { Add } from './line.js';
import { PLANNING_PRICES as PRICE } from './prices.js';

/** Sheet of a box with its frame, kg/m²: aluminium of 2 mm. */
const SHEET_KG_PER_M2 = 5.4;

/** Boxes built round gear: five sides of sheet and a lid that wants a tool. */
export function addBoxes(add: Add, layout: LayoutFigures, enclosures: readonly Enclosure[]): void {
  for (const { id, name, weather, box } of layout.boxes) {
    const m2 = (2 * (box.l * box.w + box.l * box.h + box.w * box.h)) / 1e6;
    add(
      {
        key: `enclosure-${id}`,
        group: 'sundries',
        what: `enclosure ${box.l} × ${box.w} × ${box.h} mm inside, ${weather} inside, lid for a tool`,
        quantity: 1,
        unit: 'pc',
        priceEach: Math.round(PRICE.boxBase + PRICE.boxPerM2 * m2),
        kg: SHEET_KG_PER_M2 * m2,
      },
      name,
    );
  }
  for (const { name, entries, vent, studs } of enclosures) {
    for (const { gland } of entries)
      add({ key: `gland-${gland.thread}`, group: 'sundries', what: `cable gland ${gland.thread}, with nut`, quantity: 1, unit: 'pc', priceEach: PRICE.gland, kg: 0.03 }, name);
    if (studs.length) add({ key: 'bulkhead-stud', group: 'sundries', what: 'insulated bulkhead stud', quantity: studs.length, unit: 'pc', priceEach: PRICE.bulkheadStud, kg: 0.1 }, name);
    if (vent)
      add(
        {
          key: `vent-${vent.kind}-${vent.holeMm}`,
          group: 'sundries',
          what: vent.kind === 'ducts' ? `vent duct ${vent.holeMm} mm with screen` : 'one-way vent',
          quantity: vent.count,
          unit: 'pc',
          priceEach: PRICE.vent,
          kg: 0.1,
        },
        name,
      );
  }
}

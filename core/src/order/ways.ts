import type { Design } from '../design/index.js';
import type { LayoutFigures } from '../routes/index.js';
import { CUTTING, PLANNING_PRICES as PRICE } from './prices.js';
import type { Add } from './line.js';

const metres = (mm: number): number => Math.ceil(mm / 1000 / CUTTING.stepM) * CUTTING.stepM;

/** Tube, clips, grommets and glands of every stretch, the thin leads, and the board. */
export function addWays(add: Add, design: Design, layout: LayoutFigures): void {
  // What goes through a box’s wall has glands of its own.
  const walls = new Set(layout.boxes.map((b) => b.id));
  for (const s of layout.stretches) {
    const use = s.way.along;
    // Where none hold them, three of the largest are bought all the same.
    const tubes = s.tubes === null ? { count: 3, mm: 38 } : s.tubes;
    if (tubes)
      add(
        {
          key: `tube-${tubes.mm}`,
          group: 'sundries',
          what: `split tube ${tubes.mm} mm inside`,
          quantity: (metres(s.lengthMm) * tubes.count) / (1 + CUTTING.waste),
          unit: 'm',
          priceEach: PRICE.tubePerMm * tubes.mm,
          kg: 0.003 * tubes.mm * tubes.count * (s.lengthMm / 1000),
        },
        use,
      );
    if (s.clips) add({ key: 'clip', group: 'sundries', what: 'P-clip with screw', quantity: s.clips, unit: 'pc', priceEach: PRICE.clip, kg: 0.01 * s.clips }, use);
    const { hole } = s;
    if (hole && !walls.has(s.way.id)) {
      const mm = hole.stockFits ? hole.stockMm! : (hole.sawMm ?? 51);
      add(
        { key: `${hole.fitting}-${mm}`, group: 'sundries', what: `${hole.fitting} for a ${mm} mm hole`, quantity: hole.sawMm === null ? 2 : 1, unit: 'pc', priceEach: PRICE[hole.fitting], kg: 0.05 },
        use,
      );
      if (hole.sealed) add({ key: 'sealant', group: 'sundries', what: 'neutral-cure sealant, cartridge', quantity: 1 / HOLES_A_CARTRIDGE, unit: 'pc', priceEach: PRICE.sealant, kg: 0.05 }, use);
    }
  }
  for (const l of layout.leads)
    add({ key: `lead-${l.kind}-${l.cable}`, group: 'cable', what: `${l.kind} lead: ${l.cable}`, quantity: l.lengthM, unit: 'm', priceEach: PRICE.leadPerM, kg: 0.03 * l.lengthM }, `lead ${l.number}`);
  const b = design.board;
  if (b)
    add(
      {
        key: 'board',
        group: 'devices',
        what: `mounting board ${b.w} × ${b.h} × ${b.thickMm} mm`,
        quantity: 1,
        unit: 'pc',
        priceEach: PRICE.boardPerM2 * ((b.w * b.h) / 1e6),
        kg: BOARD_KG_PER_M3 * ((b.w * b.h * b.thickMm) / 1e9),
      },
      'places',
    );
}

const HOLES_A_CARTRIDGE = 10;
const BOARD_KG_PER_M3 = 680;

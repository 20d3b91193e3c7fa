import { archLining, bothSides, box, flare, line, together } from './strokes.js';
import { DUAL_CAB, DUAL_CAB_PLAN } from './ute-front.js';

/** Canopy on its tray with the near lid up, a box under the tray before the wheel. */
export const side = together(DUAL_CAB, {
  under: [box(3100, 1400, 2180, 120), archLining(4190, 1560, 420, 372)],
  body: ['M3190 372 Q3190 330 3236 330 L5294 330 Q5340 330 5340 372 L5340 1180 L3190 1180 Z', box(3236, 1214, 440, 300, 24), 'M4790 1214 L5330 1214 L5330 1400 L4800 1400 Z'],
  shade: [line([3190, 1100], [5340, 1100], [5340, 1180], [3190, 1180]) + ' Z'],
  inside: [box(3272, 414, 1984, 672, 26)],
  dark: [box(3256, 386, 2016, 22, 8), box(3190, 1176, 2150, 34), flare(4190, 1560, 412, 362, 30), box(3420, 1238, 72, 34, 10), 'M4840 1470 L5330 1470 L5352 1500 L5352 1540 L4840 1540 Z'],
  lines: [line([3300, 640], [3300, 412]), line([5228, 640], [5228, 412]), line([3236, 1290], [3676, 1290]), line([3190, 1098], [5340, 1098])],
  lamps: [box(5276, 1232, 56, 140, 8)],
});

export const plan = together(DUAL_CAB_PLAN, {
  body: ['M3190 108 Q3190 60 3238 60 L5292 60 Q5340 60 5340 108 L5340 1742 Q5340 1790 5292 1790 L3238 1790 Q3190 1790 3190 1742 Z'],
  inside: [box(3268, 100, 1994, 1650, 24)],
  dark: [box(5336, 240, 40, 1370, 12)],
  lines: bothSides(1850, line([3880, 100], [3880, 270], [4500, 270], [4500, 100])),
  lamps: bothSides(1850, box(5308, 84, 34, 130, 8)),
});

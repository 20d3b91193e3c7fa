import { archLining, bothSides, box, flare, line, together } from './strokes.js';
import { SINGLE_CAB, SINGLE_CAB_PLAN } from './ute-front.js';

const POSTS = [2600, 3430, 4260, 5090];

/** Tray with its near side down to the rail, headboard behind the cab, box under the tray. */
export const side = together(SINGLE_CAB, {
  under: [box(2460, 1390, 2560, 120), archLining(4100, 1560, 440, 330)],
  body: [box(2560, 1124, 2560, 118, 10), box(2628, 1268, 790, 300, 26), ...POSTS.map((x) => box(x - 22, 850, 44, 274, 6)), box(2560, 850, 2560, 44, 10)],
  shade: [box(2560, 1190, 2560, 52, 8)],
  dark: [
    ...[2556, 2640].map((x) => box(x, 540, 26, 590)),
    ...[560, 660, 760].map((y) => box(2556, y, 110, 20)),
    flare(4100, 1560, 428, 318, 34),
    box(2960, 1292, 100, 34, 10),
    'M4700 1440 L5100 1440 L5126 1470 L5126 1530 L4700 1530 Z',
  ],
  lines: [line([2628, 1344], [3418, 1344]), ...[2800, 3200, 3600, 4000, 4400, 4800].map((x) => line([x, 1242], [x + 60, 1242]))],
  lamps: [box(5058, 1260, 60, 110, 8)],
});

export const plan = together(SINGLE_CAB_PLAN, {
  body: [box(2560, 34, 2560, 1782, 20)],
  inside: [box(2640, 72, 2440, 1706, 12)],
  dark: [box(2566, 90, 60, 1670), box(5118, 240, 36, 1370, 12)],
  lines: [...[260, 450, 640, 830, 1020, 1210, 1400, 1590].map((y) => line([2640, y], [5080, y]))],
  lamps: bothSides(1850, box(5084, 46, 36, 150, 8)),
});

import { bothSides, box, line, together } from './strokes.js';
import { towAt, towPlanAt } from './tow.js';

/** A box on the ground behind the vehicle that carries it, its lid up. */
export const side = together(towAt(0, -680), {
  body: [box(2060, 1020, 840, 450, 34)],
  inside: [box(2096, 1064, 768, 376, 20)],
  dark: [box(2040, 990, 880, 40, 16), ...[2100, 2780].map((x) => box(x, 1466, 80, 22, 6)), box(2400, 942, 160, 22, 8), box(2400, 960, 22, 34), box(2538, 960, 22, 34)],
  lines: [line([2060, 1120], [2096, 1120]), line([2864, 1120], [2900, 1120])],
});

export const plan = together(towPlanAt(275), {
  body: [box(2060, 270, 840, 550, 34)],
  inside: [box(2096, 304, 768, 482, 20)],
  dark: bothSides(1090, box(2120, 256, 60, 20, 6), box(2780, 256, 60, 20, 6)),
  lines: [box(2100, 850, 2400, 1500, 40)],
});

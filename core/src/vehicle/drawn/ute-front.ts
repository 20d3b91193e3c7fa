import { archLining, archOver, bothSides, box, type Drawn, flare, line } from './strokes.js';

/** Front end of a ute up to its doors, with its wheel at 960 mm; ground at 2000 mm. */
const NOSE = 'L120 1575 Q94 1560 86 1500 L62 1290 Q64 1120 150 1082 Q240 1048 340 1034 L1130 950 Q1195 940 1240 905';
const FRONT: Pick<Drawn, 'under' | 'lines' | 'lamps' | 'dark'> = {
  under: [archLining(960, 1575, 462, 455)],
  dark: [
    flare(960, 1575, 462, 455, 42),
    'M84 1480 L300 1500 L430 1500 L440 1575 L120 1575 Q96 1560 84 1480 Z',
    'M64 1240 L140 1226 L156 1340 L70 1356 Z',
    'M1384 868 Q1346 800 1400 772 L1478 772 Q1494 774 1494 792 L1490 880 Q1440 900 1384 868 Z',
  ],
  lines: ['M320 1068 Q720 1010 1200 990', 'M1316 958 Q1276 1240 1330 1572', 'M170 1410 L420 1430'],
  lamps: ['M92 1130 Q190 1082 350 1078 Q340 1160 240 1188 L80 1212 Z'],
};

/** Double cab, side view. */
export const DUAL_CAB: Partial<Drawn> = {
  under: [...FRONT.under, box(1440, 1560, 1690, 60)],
  body: [`M3130 1575 ${archOver(960, 1575, 462, 455)} ${NOSE} L1700 500 Q1776 432 1890 424 Q2420 398 2940 424 Q3052 434 3088 540 Q3126 660 3130 960 Z`],
  shade: ['M1340 1330 Q2240 1290 3130 1330 L3130 1575 L1430 1575 Z'],
  dark: [...FRONT.dark, 'M1450 1575 L3120 1575 L3110 1640 L1470 1640 Z', box(2120, 1024, 118, 30, 10), box(2860, 1024, 118, 30, 10)],
  glass: ['M1336 905 L1736 562 Q1776 522 1850 516 L2262 506 L2274 905 Z', 'M2350 905 L2338 504 L2830 514 Q2930 518 2956 590 L3000 880 Q3002 905 2982 905 Z'],
  lines: [...FRONT.lines, line([2300, 478], [2314, 1572]), 'M3062 640 Q3090 1100 3040 1572', 'M1330 1110 Q2200 1076 3126 1100'],
  lamps: FRONT.lamps,
};

/** Single cab, side view. */
export const SINGLE_CAB: Partial<Drawn> = {
  under: [...FRONT.under, box(1440, 1560, 1030, 60)],
  body: [`M2470 1575 ${archOver(960, 1575, 462, 455)} ${NOSE} L1660 536 Q1730 470 1840 456 Q2140 436 2350 452 Q2430 462 2446 560 Q2466 700 2470 960 Z`],
  shade: ['M1340 1330 Q1900 1300 2470 1330 L2470 1575 L1430 1575 Z'],
  dark: [...FRONT.dark, 'M1450 1575 L2460 1575 L2450 1640 L1470 1640 Z', box(2080, 1024, 118, 30, 10)],
  glass: ['M1336 905 L1700 592 Q1750 552 1830 546 L2240 540 Q2318 544 2332 620 L2352 880 Q2352 905 2334 905 Z'],
  lines: [...FRONT.lines, 'M2390 600 Q2418 1000 2380 1572', 'M1330 1110 Q1900 1084 2466 1100'],
  lamps: FRONT.lamps,
};

const PLAN_FRONT: Partial<Drawn> = {
  dark: ['M46 650 Q52 330 150 216 L214 262 Q110 370 102 650 L102 1200 Q110 1480 214 1588 L150 1634 Q52 1520 46 1200 Z', ...bothSides(1850, 'M1330 88 L1346 -16 Q1396 -44 1440 -16 L1444 84 Z')],
  glass: ['M1240 250 Q1140 925 1240 1600 L1760 1452 Q1690 925 1760 398 Z'],
  lines: ['M330 330 Q200 925 330 1520', ...bothSides(1850, 'M360 420 Q760 350 1190 340')],
  lamps: bothSides(1850, 'M112 470 Q134 320 236 250 L350 222 Q228 330 196 480 Z'),
};

/** Cabs from above: the paint ends at so many millimetres from the front. */
const cabPlan = (rear: number): Partial<Drawn> => ({
  ...PLAN_FRONT,
  body: [
    `M60 640 Q64 330 170 228 Q330 128 620 100 L1300 84 L${rear - 70} 74 Q${rear - 2} 78 ${rear} 146 L${rear} 1704 Q${rear - 2} 1772 ${rear - 70} 1776 L1300 1766 L620 1750 Q330 1722 170 1622 Q64 1520 60 1210 Z`,
  ],
  shade: [`M1770 372 Q2200 330 ${rear - 170} 366 L${rear - 170} 1484 Q2200 1520 1770 1478 Q1704 925 1770 372 Z`],
  glass: [
    ...(PLAN_FRONT.glass ?? []),
    ...bothSides(1850, `M1430 186 L1800 344 L${rear - 200} 330 L${rear - 130} 170 Z`),
    `M${rear - 160} 350 L${rear - 70} 270 L${rear - 70} 1580 L${rear - 160} 1500 Q${rear - 130} 925 ${rear - 160} 350 Z`,
  ],
});
export const DUAL_CAB_PLAN = cabPlan(3128);
export const SINGLE_CAB_PLAN = cabPlan(2460);

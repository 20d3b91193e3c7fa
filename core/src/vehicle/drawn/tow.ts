import { archLining, archOver, bothSides, box, type Drawn, flare, line } from './strokes.js';

/** Rear of the vehicle in front, torn off before its doors: its wheel at 620 mm, 1905 mm down. */
export const TOW: Partial<Drawn> = {
  under: [archLining(620, 1770, 366, 262), box(80, 1700, 1060, 60)],
  body: [`M1140 1770 ${archOver(620, 1770, 366, 262)} L90 1770 L40 1560 L96 1370 L44 1160 L100 960 L60 716 Q420 690 846 706 Q930 716 966 790 L1096 1130 Q1136 1220 1140 1330 Z`],
  shade: ['M74 1560 Q600 1520 1140 1560 L1140 1770 L990 1770 Q960 1510 620 1508 Q280 1510 256 1770 L90 1770 Z'],
  dark: [flare(620, 1770, 366, 262, 36), 'M1010 1640 L1168 1640 L1176 1700 L1150 1760 L1020 1760 Z', box(1150, 1690, 70, 26)],
  glass: ['M98 960 L66 800 L790 800 Q846 804 868 850 L984 1130 L60 1130 Z'],
  lines: [line([420, 780], [414, 1480]), 'M60 1300 Q600 1270 1136 1300'],
  lamps: ['M1066 1190 L1116 1196 L1138 1340 L1084 1350 Z'],
};

export const TOW_PLAN: Partial<Drawn> = {
  body: ['M64 70 L980 66 Q1128 88 1140 300 L1140 1550 Q1128 1762 980 1784 L64 1780 L110 1500 L50 1220 L106 930 L52 640 L104 350 Z'],
  shade: ['M96 330 L840 300 Q900 925 840 1550 L96 1520 L110 1500 L50 1220 L106 930 L52 640 L104 350 Z'],
  dark: [box(1128, 260, 50, 1330, 18), box(1170, 895, 60, 60, 10)],
  glass: ['M880 330 L1010 290 Q1056 925 1010 1560 L880 1520 Q930 925 880 330 Z', ...bothSides(1850, 'M80 140 L860 132 L820 270 L100 290 Z')],
  lines: [],
  lamps: bothSides(1850, 'M1066 130 Q1120 180 1130 290 L1082 286 Z'),
};

/** The tow vehicle moved to where a trailer's drawing wants it. */
export const towAt = (dx: number, dy: number): Partial<Drawn> & { readonly by: readonly [number, number] } => ({ ...TOW, by: [dx, dy] });
export const towPlanAt = (dy: number): Partial<Drawn> & { readonly by: readonly [number, number] } => ({ ...TOW_PLAN, by: [0, dy] });

/** A drawbar in plan: from the coupling, in the middle, to the front of the trailer's frame. */
export const aFrame = (tip: number, rear: number, middle: number, half: number): string[] =>
  bothSides(2 * middle, `M${tip} ${middle - 40} L${rear} ${middle - half - 50} L${rear} ${middle - half + 50} L${tip + 60} ${middle + 30} Z`);

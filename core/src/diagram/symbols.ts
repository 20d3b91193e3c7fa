import type { SymbolKind } from './element.js';

/** Strokes of a symbol in a box of its own size: path data, and whether it is filled. */
export interface Stroke {
  readonly d: string;
  readonly fill?: boolean;
  readonly thick?: boolean;
}

/** How a switch stands, or which of its contacts a selector stands at. */
export type Arm = 'open' | 'closed' | 1 | 2;
/** Heights of a selector’s arm at its end, as shares of its own. */
const ARM: Readonly<Record<Arm, number>> = { open: 0.5, closed: 0.25, 1: 0.25, 2: 0.75 };

/** Where no arm is named switches are drawn open, as on paper, and selectors at their first contact. */
type Draw = (w: number, h: number, arm?: Arm) => readonly Stroke[];

const frame = (w: number, h: number): Stroke => ({ d: `M1 1H${w - 1}V${h - 1}H1Z` });
const circle = (x: number, y: number, r: number): string => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
/** Direct and alternating current: a dash over dots, a wave. */
const dc = (x: number, y: number): string => `M${x - 6} ${y}h12M${x - 6} ${y + 4}h3m1.5 0h3m1.5 0h3`;
const ac = (x: number, y: number): string => `M${x - 6} ${y}q3 -6 6 0t6 0`;
const converter =
  (from: (x: number, y: number) => string, to: (x: number, y: number) => string): Draw =>
  (w, h) => [frame(w, h), { d: `M1 ${h - 1}L${w - 1} 1` }, { d: from(w * 0.28, h * 0.3) }, { d: to(w * 0.72, h * 0.72) }];

/** Symbols after IEC 60617, in strokes of our own. */
export const SYMBOLS: Readonly<Record<SymbolKind, Draw>> = {
  // Two cells: the long line is the plus.
  battery: (w, h) => {
    const y = h / 2;
    return [
      { d: `M${w * 0.3} ${y - 12}V${y + 12}M${w * 0.62} ${y - 12}V${y + 12}` },
      { d: `M${w * 0.42} ${y - 6}V${y + 6}M${w * 0.74} ${y - 6}V${y + 6}`, thick: true },
      { d: `M${w * 0.42} ${y}H${w * 0.62}` },
      { d: `M${w - 6} ${y - 15}v6m-3 -3h6M${w - 9} ${y + 13}h6` },
      frame(w, h),
    ];
  },
  generator: (w, h) => [{ d: circle(w / 2, h / 2, w / 2 - 1) }, { d: `M${w / 2 + 5} ${h / 2 - 6}a6 6 0 1 0 0 10v-4h-4` }, { d: ac(w / 2, h * 0.8) }],
  panel: (w, h) => [frame(w, h), { d: `M${w * 0.34} 1V${h - 1}M${w * 0.67} 1V${h - 1}M1 ${h / 2}H${w - 1}` }, { d: `M4 -6l6 8m-1.2 -4.4l1.2 4.4l-4.2 -1.8M14 -6l6 8m-1.2 -4.4l1.2 4.4l-4.2 -1.8` }],
  converter: converter(dc, dc),
  regulator: (w, h) => [frame(w, h), { d: dc(w * 0.28, h * 0.28) }, { d: dc(w * 0.72, h * 0.72) }, { d: `M${w * 0.2} ${h * 0.86}L${w * 0.8} ${h * 0.2}m-2 6l2 -6l-6 2` }],
  rectifier: converter(ac, dc),
  inverter: converter(dc, ac),
  contact: (w, h, arm = 'open') => {
    const y = h * 0.3;
    const lift = arm === 'closed' ? 0 : 8;
    return [
      { d: `M0 ${y}H${w * 0.3}L${w * 0.7} ${y - lift}M${w * 0.7} ${y}H${w}` },
      { d: `M${w * 0.3} ${h - 13}H${w * 0.7}V${h - 1}H${w * 0.3}ZM${w * 0.3} ${h - 1}L${w * 0.7} ${h - 13}` },
      { d: `M${w / 2} ${h - 13}V${y - (3 * lift) / 8}` },
    ];
  },
  switch: (w, h, arm = 'open') => [
    { d: `M0 ${h / 2}H${w * 0.3}L${w * 0.7} ${h / 2 - (arm === 'closed' ? 0 : 10)}M${w * 0.7} ${h / 2}H${w}` },
    { d: circle(w * 0.3, h / 2, 2), fill: true },
    { d: circle(w * 0.7, h / 2, 2), fill: true },
  ],
  // Two contacts, on the banks' side, and an arm that stands at the first, at the second, or between them where it is off.
  selector: (w, h, arm = 1) => [
    { d: `M0 ${h * 0.25}H${w * 0.3}M0 ${h * 0.75}H${w * 0.3}M${w} ${h / 2}H${w * 0.7}L${arm === 'open' ? w * 0.38 : w * 0.3} ${h * ARM[arm]}` },
    { d: circle(w * 0.3, h * 0.25, 2), fill: true },
    { d: circle(w * 0.3, h * 0.75, 2), fill: true },
    { d: circle(w * 0.7, h / 2, 2), fill: true },
  ],
  'charging selector': (w, h, arm = 1) => [
    { d: `M${w} ${h * 0.25}H${w * 0.7}M${w} ${h * 0.75}H${w * 0.7}M0 ${h / 2}H${w * 0.3}L${arm === 'open' ? w * 0.62 : w * 0.7} ${h * ARM[arm]}` },
    { d: circle(w * 0.7, h * 0.25, 2), fill: true },
    { d: circle(w * 0.7, h * 0.75, 2), fill: true },
    { d: circle(w * 0.3, h / 2, 2), fill: true },
  ],
  shunt: (w, h) => [{ d: `M0 ${h / 2}H8M${w - 8} ${h / 2}H${w}M8 ${h / 2 - 6}H${w - 8}V${h / 2 + 6}H8Z` }, { d: `M14 ${h / 2 + 6}V${h - 1}M${w - 14} ${h / 2 + 6}V${h - 1}` }],
  bars: () => [],
  fuse: (w, h) => [{ d: `M0 ${h / 2}H${w}M5 1H${w - 5}V${h - 1}H5Z` }],
  breaker: (w, h) => [{ d: `M0 ${h / 2 + 3}H8M${w - 8} ${h / 2 + 3}H${w}M8 ${h / 2 + 3}L${w - 11} 1M${w - 11} ${h / 2}l6 6m0 -6l-6 6` }],
  plug: (w, h) => [{ d: `M0 8H7M13 8H${w}M7 4v8M10 4h4v8h-4` }, { d: `M0 ${h - 8}H7M13 ${h - 8}H${w}M7 ${h - 12}v8M10 ${h - 12}h4v8h-4` }],
  earth: (w, h) => [{ d: `M${w / 2} 0V${h * 0.4}M1 ${h * 0.4}H${w - 1}M5 ${h * 0.68}H${w - 5}M9 ${h * 0.96}H${w - 9}` }],
  key: (w, h) => [{ d: `M0 ${h / 2}H${w * 0.3}L${w * 0.7} ${h / 2 - 8}M${w * 0.7} ${h / 2}H${w}M${w / 2} ${h / 2 - 6}V1M${w / 2 - 4} 1h8` }],
  inlet: (w, h) => [{ d: circle(w / 2, h / 2, w / 2 - 1) }, { d: ac(w / 2, h / 2) }],
  meter: (w, h) => [{ d: circle(w / 2, h / 2, w / 2 - 1) }, { d: `M${w / 2 - 7} ${h / 2 + 6}L${w / 2 + 6} ${h / 2 - 6}m-1.5 5.2l1.5 -5.2l-5.2 1.5` }],
  lamp: (w, h) => {
    const r = w / 2 - 1;
    const k = r * 0.707;
    return [{ d: circle(w / 2, h / 2, r) }, { d: `M${w / 2 - k} ${h / 2 - k}l${2 * k} ${2 * k}M${w / 2 + k} ${h / 2 - k}l${-2 * k} ${2 * k}` }];
  },
  motor: (w, h) => [{ d: circle(w / 2, h / 2, w / 2 - 1) }, { d: `M${w / 2 - 6} ${h / 2 + 5}v-10l6 7l6 -7v10` }],
  socket: (w, h) => [{ d: `M2 ${h / 2 + 8}A${w / 2 - 2} ${w / 2 - 2} 0 0 1 ${w - 2} ${h / 2 + 8}M${w / 2} ${h / 2 - 6}V2M${w / 2 - 8} 2h16` }],
  load: (w, h) => [frame(w, h)],
};

import type { Vehicle } from '../../design/index.js';

/** Drawing of one view of a vehicle in layers, from the lowest up, as SVG paths in millimetres. */
export type Drawn = Vehicle['side'];

/** Shares that make a quarter of an ellipse of a cubic curve. */
const ROUND = 0.5523;

/** Over a wheel from its rear to its front, as a stretch of an outline that comes along the sill from behind. */
export function archOver(x: number, sill: number, across: number, up: number): string {
  const [k, m] = [Math.round(ROUND * across), Math.round(ROUND * up)];
  return `L${x + across} ${sill} C${x + across} ${sill - m} ${x + k} ${sill - up} ${x} ${sill - up} C${x - k} ${sill - up} ${x - across} ${sill - m} ${x - across} ${sill}`;
}

/** The dark of an arch behind its wheel. */
export const archLining = (x: number, sill: number, across: number, up: number): string => `M${x - across} ${sill} ${archOver(x, sill, across + 8, up + 8)} Z`;

/** A flare around an arch. */
export function flare(x: number, sill: number, across: number, up: number, wide: number): string {
  const [a, u] = [across + wide, up + wide];
  const [k, m] = [Math.round(ROUND * a), Math.round(ROUND * u)];
  return `M${x - across} ${sill} L${x - a} ${sill} C${x - a} ${sill - m} ${x - k} ${sill - u} ${x} ${sill - u} C${x + k} ${sill - u} ${x + a} ${sill - m} ${x + a} ${sill} ${archOver(x, sill, across, up)} Z`;
}

/** A box with its corners rounded. */
export function box(x: number, y: number, w: number, h: number, r = 0): string {
  const [right, low] = [x + w, y + h];
  return r === 0
    ? `M${x} ${y} L${right} ${y} L${right} ${low} L${x} ${low} Z`
    : `M${x + r} ${y} L${right - r} ${y} Q${right} ${y} ${right} ${y + r} L${right} ${low - r} Q${right} ${low} ${right - r} ${low} L${x + r} ${low} Q${x} ${low} ${x} ${low - r} L${x} ${y + r} Q${x} ${y} ${x + r} ${y} Z`;
}

/** Straight lines between points; bars, poles and cuts of doors. */
export const line = (...points: readonly (readonly [number, number])[]): string => points.map(([x, y], i) => `${i ? 'L' : 'M'}${x} ${y}`).join(' ');

/** Moves every point of a path. */
export const shifted = (d: string, dx: number, dy: number): string => d.replace(/(-?\d+) (-?\d+)/g, (_, x: string, y: string) => `${Number(x) + dx} ${Number(y) + dy}`);

/** Something of a plan on the left side and on the right. */
export const bothSides = (widthMm: number, ...paths: readonly string[]): string[] =>
  paths.flatMap((d) => [d, d.replace(/(-?\d+) (-?\d+)/g, (_, x: string, y: string) => `${x} ${widthMm - Number(y)}`)]);

const LAYERS = ['under', 'body', 'shade', 'inside', 'dark', 'glass', 'lines', 'lamps'] as const;

/** Several drawings on one sheet, each moved; the later ones over the earlier. */
export function together(...parts: readonly (Partial<Drawn> & { readonly by?: readonly [number, number] })[]): Drawn {
  const layer = (l: (typeof LAYERS)[number]): string[] => parts.flatMap((p) => (p[l] ?? []).map((d) => (p.by ? shifted(d, ...p.by) : d)));
  return Object.fromEntries(LAYERS.map((l) => [l, layer(l)])) as unknown as Drawn;
}

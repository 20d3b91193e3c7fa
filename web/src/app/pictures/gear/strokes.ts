/** How a stroke of a part is painted. */
export type Look = 'case' | 'face' | 'line' | 'dark' | 'feed' | 'return' | 'screen' | 'cell';

export interface Stroke {
  readonly look: Look;
  readonly d: string;
}

const n = (x: number): string => x.toFixed(1);

export function box(look: Look, x: number, y: number, w: number, h: number, r = 0): Stroke {
  const c = Math.min(r, w / 2, h / 2);
  return {
    look,
    d:
      c > 0
        ? `M${n(x + c)} ${n(y)}h${n(w - 2 * c)}a${n(c)} ${n(c)} 0 0 1 ${n(c)} ${n(c)}v${n(h - 2 * c)}a${n(c)} ${n(c)} 0 0 1 ${n(-c)} ${n(c)}h${n(2 * c - w)}a${n(c)} ${n(c)} 0 0 1 ${n(-c)} ${n(-c)}v${n(2 * c - h)}a${n(c)} ${n(c)} 0 0 1 ${n(c)} ${n(-c)}z`
        : `M${n(x)} ${n(y)}h${n(w)}v${n(h)}h${n(-w)}z`,
  };
}

export const round = (look: Look, x: number, y: number, r: number): Stroke => ({ look, d: `M${n(x - r)} ${n(y)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0z` });

/** A line through points. */
export const line = (...points: readonly (readonly [number, number])[]): Stroke => ({ look: 'line', d: points.map(([x, y], i) => `${i ? 'L' : 'M'}${n(x)} ${n(y)}`).join('') });

/** So many places evenly along a length, in the middle of each share. */
export const along = (count: number, from: number, length: number): number[] => Array.from({ length: count }, (_, i) => from + ((i + 0.5) * length) / count);

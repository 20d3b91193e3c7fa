import type { Box, Face } from '../design/index.js';
import type { Gland } from './glands.js';
import type { Vent } from './vent.js';

export type Axis = 'x' | 'y' | 'z';
type Normal = Face['normal'];

/** A hole in a sheet, mm from its lower left corner as it is seen from outside. */
export interface SheetHole {
  readonly name: string;
  readonly kind: 'gland' | 'vent' | 'screw';
  readonly x: number;
  readonly y: number;
  readonly diameterMm: number;
}

/** One side of a box as it is cut. */
export interface Sheet {
  readonly side: Normal;
  readonly name: string;
  readonly wMm: number;
  readonly hMm: number;
  readonly holes: readonly SheetHole[];
}

/** A cable that goes through the wall of a box. */
export interface Entry {
  readonly name: string;
  readonly gland: Gland;
}

/** Aluminium sheet of boxes, mm. */
export const SHEET_MM = 2;
/** Clear of edges and frames; screws of the lid by their distance, and their holes, mm. */
const EDGE_MM = 18;
const LID = { everyMm: 120, insetMm: 9, holeMm: 4.5 } as const;
/** Height of a low hole’s middle over the edge, mm. */
const LOW_MM = 40;

const NAMES: Readonly<Record<Normal, string>> = { '-x': 'front side', '+x': 'rear side', '-y': 'left side', '+y': 'right side', '-z': 'bottom', '+z': 'top' };
const AXES: readonly Axis[] = ['x', 'y', 'z'];
const NORMALS: readonly Normal[] = ['-x', '+x', '-y', '+y', '-z', '+z'];
const OPPOSITE: Readonly<Record<Normal, Normal>> = { '+x': '-x', '-x': '+x', '+y': '-y', '-y': '+y', '+z': '-z', '-z': '+z' };
export const axisOf = (n: Normal): Axis => n[1] as Axis;
const inside = (box: Box): Readonly<Record<Axis, number>> => ({ x: box.l, y: box.w, z: box.h });

/** Size of each side: back and lid lie over the edges of all others, the second pair over those of the first. */
function sizesOf(box: Box, base: Axis): Readonly<Record<Axis, readonly [w: number, h: number]>> {
  const mm = inside(box);
  const [first] = AXES.filter((a) => a !== base);
  // Seen from outside: height is up where there is an up, and across the vehicle where there is none.
  const spans: Readonly<Record<Axis, readonly [Axis, Axis]>> = { x: ['y', 'z'], y: ['x', 'z'], z: ['x', 'y'] };
  const over = (a: Axis, along: Axis): number => (a === base || (a !== first && along === first) ? 2 * SHEET_MM : 0);
  return Object.fromEntries(AXES.map((a) => [a, spans[a].map((along) => mm[along] + over(a, along))])) as unknown as Readonly<Record<Axis, readonly [number, number]>>;
}

/** Screws of a lid along its edges. */
function screws(wMm: number, hMm: number): SheetHole[] {
  const along = (mm: number): number[] => {
    const n = Math.max(1, Math.ceil((mm - 2 * LID.insetMm) / LID.everyMm));
    return Array.from({ length: n + 1 }, (_, i) => LID.insetMm + (i * (mm - 2 * LID.insetMm)) / n);
  };
  const hole = (x: number, y: number): SheetHole => ({ name: 'lid', kind: 'screw', x, y, diameterMm: LID.holeMm });
  const rows = [LID.insetMm, hMm - LID.insetMm];
  return [
    ...along(wMm).flatMap((x) => rows.map((y) => hole(x, y))),
    ...along(hMm)
      .slice(1, -1)
      .flatMap((y) => [LID.insetMm, wMm - LID.insetMm].map((x) => hole(x, y))),
  ];
}

/** Glands in rows over a side from its top, each row in the middle, each gland clear of its neighbours’ nuts and of the edges; those that find no room are left over. */
export function layGlands(entries: readonly Entry[], wMm: number, hMm: number): { readonly holes: readonly SheetHole[]; readonly left: readonly Entry[] } {
  const holes: SheetHole[] = [];
  const room = wMm - 2 * EDGE_MM;
  let [top, done] = [EDGE_MM, 0];
  while (done < entries.length) {
    let [count, longMm, deepMm] = [0, 0, 0];
    for (const { gland } of entries.slice(done)) {
      if (longMm + gland.nutMm > room + 1e-9) break;
      [count, longMm, deepMm] = [count + 1, longMm + gland.nutMm, Math.max(deepMm, gland.nutMm)];
    }
    if (!count || top + deepMm > hMm - EDGE_MM + 1e-9) break;
    let x = (wMm - longMm) / 2;
    for (const { name, gland } of entries.slice(done, done + count)) {
      holes.push({ name, kind: 'gland', x: x + gland.nutMm / 2, y: hMm - top - deepMm / 2, diameterMm: gland.holeMm });
      x += gland.nutMm;
    }
    [top, done] = [top + deepMm, done + count];
  }
  return { holes, left: entries.slice(done) };
}

/** Sides beside lid and back, best for cable first: that towards where cable comes from, then its neighbours, the opposite one last. */
export function sidesFor(lid: Normal, towards: Readonly<Record<Axis, number>>): readonly Normal[] {
  const all = (['-x', '+x', '-y', '+y', '-z', '+z'] as const).filter((n) => axisOf(n) !== axisOf(lid));
  const score = (n: Normal): number => towards[axisOf(n)] * (n.startsWith('+') ? 1 : -1);
  return [...all].sort((a, b) => score(b) - score(a));
}

/** What a box is cut from, with every hole: lid, back, and four sides; the lid is away from the wall that the box stands on. `open`: sides that nothing stands against; `left`: cables for whose glands none of them has room. */
export function cutSheets(
  box: Box,
  lid: Normal,
  entries: readonly Entry[],
  vent: Vent | null,
  towards: Readonly<Record<Axis, number>>,
  open: readonly Normal[] = NORMALS,
): { readonly sheets: readonly Sheet[]; readonly left: readonly Entry[] } {
  const sizes = sizesOf(box, axisOf(lid));
  const sides = sidesFor(lid, towards);
  // Air comes in where no cable does, and where low is low.
  const through = sides.filter((n) => open.includes(n));
  const upright = [...through].reverse().filter((n) => axisOf(n) !== 'z');
  const aired = vent ? upright.slice(0, vent.count) : [];
  const holes = new Map<Normal, readonly SheetHole[]>();
  aired.forEach((side, i) => {
    const [w, h] = sizes[axisOf(side)];
    const y = i === 0 ? Math.min(LOW_MM, h / 2) : Math.max(h - LOW_MM, h / 2);
    holes.set(side, [{ name: vent!.kind === 'ducts' ? (i === 0 ? 'air in' : 'air out') : vent!.kind, kind: 'vent', x: w / 2, y, diameterMm: vent!.holeMm }]);
  });
  let left = entries;
  for (const side of through.filter((n) => !aired.includes(n))) {
    if (!left.length) break;
    const laid = layGlands(left, ...sizes[axisOf(side)]);
    if (laid.holes.length) holes.set(side, laid.holes);
    left = laid.left;
  }
  holes.set(lid, screws(...sizes[axisOf(lid)]));
  const named = (n: Normal): string => (n === lid ? `lid (${NAMES[n]})` : n === OPPOSITE[lid] ? `back (${NAMES[n]}), against the vehicle` : NAMES[n]);
  const order: readonly Normal[] = [lid, OPPOSITE[lid], ...sides];
  return { sheets: order.map((side): Sheet => ({ side, name: named(side), wMm: sizes[axisOf(side)][0], hMm: sizes[axisOf(side)][1], holes: holes.get(side) ?? [] })), left };
}

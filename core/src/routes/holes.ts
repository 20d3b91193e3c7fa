/** Stock hole saws, mm. */
export const HOLE_SAWS_MM = [16, 19, 22, 25, 29, 32, 35, 38, 44, 51] as const;
/** Stock split tube by inside diameter, mm. */
export const SPLIT_TUBES_MM = [7, 10, 13, 16, 19, 22, 25, 32, 38] as const;
/** Room around a bundle in its grommet, mm. */
export const HOLE_ROOM_MM = 2;
/** Share of a conduit's bore that cables may fill: one, two, three or more. */
export const CONDUIT_FILL = { one: 0.53, two: 0.31, more: 0.4 } as const;
/** Distance between clips, mm. */
export const CLIP_EVERY_MM = { open: 300, conduit: 450 } as const;

/**
 * Diameter of the smallest circle around n equal circles, over theirs. Up to 8 the trade's figures; from 9 the densest
 * packings known, rounded up.
 */
const PACKING = [0, 1, 2, 2.15, 2.41, 2.7, 3, 3, 3.3, 3.62, 3.82, 3.93, 4.03, 4.24, 4.33, 4.53, 4.62, 4.8, 4.87, 4.87] as const;
/** Share of the circle that more than 19 fill at least. */
const LOOSE_FILL = 0.78;

/** Factor for a bundle of n equal cables. @example packingFactor(4) // 2.41 */
export function packingFactor(n: number): number {
  return PACKING[n] ?? Math.max(4.87, Math.sqrt(n / LOOSE_FILL));
}

/**
 * Diameter of a bundle, mm: equal cables of the same copper all round, never less than the two largest side by side.
 * @example bundleMm([10, 10, 10, 10]) // 24.1
 */
export function bundleMm(diametersMm: readonly number[]): number {
  if (diametersMm.length === 0) return 0;
  const meanMm = Math.sqrt(diametersMm.reduce((s, d) => s + d * d, 0) / diametersMm.length);
  const [first = 0, second = 0] = [...diametersMm].sort((a, b) => b - a);
  return Math.max(meanMm * packingFactor(diametersMm.length), first + second);
}

/** Smallest stock hole saw for a bundle, mm; null: larger than any, make two holes. @example holeSawMm(24.1) // 29 */
export function holeSawMm(bundle: number): number | null {
  return HOLE_SAWS_MM.find((s) => s >= bundle + HOLE_ROOM_MM - 1e-9) ?? null;
}

/** Smallest split tube that the cables fill no more than they may, mm inside; null: part them. @example splitTubeMm([10.2, 10.2]) // 32 */
export function splitTubeMm(diametersMm: readonly number[]): number | null {
  const share = diametersMm.length === 1 ? CONDUIT_FILL.one : diametersMm.length === 2 ? CONDUIT_FILL.two : CONDUIT_FILL.more;
  const wantedMm2 = diametersMm.reduce((s, d) => s + d * d, 0) / share;
  return SPLIT_TUBES_MM.find((t) => t * t >= wantedMm2 - 1e-9) ?? null;
}

/** Split tubes side by side, all alike. */
export interface Tubes {
  readonly count: number;
  /** Inside diameter, mm. */
  readonly mm: number;
}

/** Most tubes side by side along one way; more want another way. */
const MOST_TUBES = 3;

/**
 * The fewest tubes that hold the cables, dealt out thick to thin; null: too many even for three.
 * @example splitTubes([18.5, 18.5]) // { count: 2, mm: 32 }
 */
export function splitTubes(diametersMm: readonly number[]): Tubes | null {
  const byThickness = [...diametersMm].sort((a, b) => b - a);
  for (let count = 1; count <= Math.min(MOST_TUBES, byThickness.length); count++) {
    const each = Array.from({ length: count }, (_, k) => splitTubeMm(byThickness.filter((_d, i) => i % count === k)));
    if (each.every((mm) => mm !== null)) return { count, mm: Math.max(...each.map((mm) => mm!)) };
  }
  return null;
}

/** Clips along a stretch, both ends held. @example clipsFor(1000, false) // 5 */
export function clipsFor(lengthMm: number, conduit: boolean): number {
  return Math.ceil(lengthMm / (conduit ? CLIP_EVERY_MM.conduit : CLIP_EVERY_MM.open)) + 1;
}

/** Least bending radius, mm, over the outside diameter: 6 above 16 mm², 4 below, unless the workshop says otherwise. @example bendingRadiusMm(25, 10.2, { thick: 6, thin: 4 }) // 61.2 */
export function bendingRadiusMm(areaMm2: number, diameterMm: number, times: { readonly thick: number; readonly thin: number }): number {
  return diameterMm * (areaMm2 > 16 ? times.thick : times.thin);
}

/** Length of a lug and its heat-shrink before the cable may bend, mm. */
export function lugLengthMm(areaMm2: number): number {
  return areaMm2 < 10 ? 20 : areaMm2 <= 35 ? 35 : 50;
}

/** Free length wanted in front of a terminal: lug and bend, mm. @example bendSpaceMm(25, 10.2, { thick: 6, thin: 4 }) // 96.2 */
export function bendSpaceMm(areaMm2: number, diameterMm: number, times: { readonly thick: number; readonly thin: number }): number {
  return lugLengthMm(areaMm2) + bendingRadiusMm(areaMm2, diameterMm, times);
}

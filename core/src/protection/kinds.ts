/** Kinds of over-current protection, by how they look and break, not by maker. */
export const FUSE_TYPES = ['blade', 'large-blade', 'small-bolt-in', 'large-bolt-in', 'class-t', 'terminal-post', 'cartridge', 'breaker'] as const;
export type FuseType = (typeof FUSE_TYPES)[number];

/** A gate of the time–current envelope: multiple of the rating, fast edge s, slow edge s (null: never). */
export type Gate = readonly [multiple: number, fastS: number, slowS: number | null];

export interface FuseKind {
  readonly type: FuseType;
  readonly name: string;
  /** Standard ratings, A, smallest first. */
  readonly sizesA: readonly number[];
  readonly envelope: readonly Gate[];
  /** Breaking capacity at 32 V DC, A. */
  readonly breakingA: number;
  /** Breaking capacity at 14.6 V or less, A, where it is higher. */
  readonly breakingLowVoltA?: number;
  /** Share of the rating that may flow continuously at 25 °C. */
  readonly continuous: number;
  /** Volts across it at its rating; its resistance is this over the rating. */
  readonly dropV: number;
  /** Resistance of its holder, ohm. */
  readonly holderOhm: number;
  /** Slow edge never below this, s. */
  readonly slowFloorS: number;
  /** Change of rating for each kelvin above 25 °C. */
  readonly reratePerK: number;
}

const BOLT_IN: readonly Gate[] = [
  [1.0, 14400, null],
  [1.35, 60, 1800],
  [2, 1, 15],
  [3.5, 0.3, 5],
  [5, 0.1, 1],
];
const fuse = { continuous: 0.8, dropV: 0.08, holderOhm: 0, slowFloorS: 0, reratePerK: -0.0015 };

/** Representative of published test gates of automotive and small-craft fuses; a part's own curve replaces them. */
export const FUSE_KINDS: Readonly<Record<FuseType, FuseKind>> = {
  blade: {
    ...fuse,
    type: 'blade',
    name: 'blade',
    sizesA: [1, 2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30, 35, 40],
    envelope: [
      [1.1, 360000, null],
      [1.35, 0.75, 600],
      [1.6, 0.25, 50],
      [2, 0.15, 5],
      [3.5, 0.04, 0.5],
      [6, 0.02, 0.1],
    ],
    breakingA: 1000,
    dropV: 0.09,
    holderOhm: 0.001,
  },
  'large-blade': {
    ...fuse,
    type: 'large-blade',
    name: 'large blade',
    sizesA: [20, 30, 40, 50, 60, 70, 80, 100],
    envelope: [
      [1.1, 360000, null],
      [1.35, 60, 1800],
      [2, 2, 60],
      [3.5, 0.2, 7],
      [6, 0.04, 1],
    ],
    breakingA: 1000,
    dropV: 0.09,
    holderOhm: 0.001,
  },
  'small-bolt-in': {
    ...fuse,
    type: 'small-bolt-in',
    name: 'small bolt-in',
    sizesA: [30, 40, 50, 60, 70, 80, 100, 125, 150, 175, 200],
    envelope: BOLT_IN,
    breakingA: 2000,
  },
  'large-bolt-in': {
    ...fuse,
    type: 'large-bolt-in',
    name: 'large bolt-in',
    sizesA: [60, 80, 100, 125, 150, 175, 200, 225, 250, 300, 350, 400, 450, 500],
    envelope: BOLT_IN,
    breakingA: 2000,
  },
  'class-t': {
    ...fuse,
    type: 'class-t',
    name: 'high-breaking (class T type)',
    sizesA: [110, 125, 150, 175, 200, 225, 250, 300, 350, 400],
    envelope: [
      [1.1, 14400, null],
      [1.35, 60, 3600],
      [2, 2, 300],
      [5, 0.02, 0.5],
      [10, 0.004, 0.02],
    ],
    breakingA: 20000,
  },
  'terminal-post': {
    ...fuse,
    type: 'terminal-post',
    name: 'terminal-post',
    sizesA: [30, 40, 50, 60, 75, 80, 100, 125, 150, 175, 200, 225, 250, 300],
    envelope: BOLT_IN,
    breakingA: 5000,
    breakingLowVoltA: 10000,
  },
  // Cylindrical, for direct current: representative of the gates of IEC 60269.
  cartridge: {
    ...fuse,
    type: 'cartridge',
    name: 'cartridge',
    sizesA: [2, 4, 6, 10, 16, 20, 25, 32, 40, 50],
    envelope: [
      [1.13, 3600, null],
      [1.45, 60, 3600],
      [2, 2, 60],
      [4, 0.06, 1.5],
      [8, 0.005, 0.05],
    ],
    breakingA: 20000,
    dropV: 0.1,
    holderOhm: 0.0005,
  },
  breaker: {
    ...fuse,
    type: 'breaker',
    name: 'thermal breaker, manual reset',
    sizesA: [10, 15, 20, 25, 30, 40, 50, 60, 70, 80, 100, 120, 135, 150, 200],
    envelope: [
      [1.05, 3600, null],
      [1.35, 30, 3600],
      [2, 5, 60],
      [4, 1, 8],
      [6, 0.5, 4],
    ],
    breakingA: 2000,
    dropV: 0.1,
    slowFloorS: 0.02,
    reratePerK: -0.005,
  },
};

/** Breaking capacity at the highest volts the fuse can see, A. */
export function breakingCapacityA(type: FuseType, highestV: number): number {
  const kind = FUSE_KINDS[type];
  return highestV <= 14.6 ? (kind.breakingLowVoltA ?? kind.breakingA) : kind.breakingA;
}

/** Resistance of a fuse or breaker with its holder, ohm. @example fuseOhm('blade', 10) // 0.010 */
export function fuseOhm(type: FuseType, ratingA: number): number {
  const kind = FUSE_KINDS[type];
  return kind.dropV / ratingA + kind.holderOhm;
}

/** Share of its rating a fuse keeps at an ambient other than 25 °C. @example rerate('blade', 55) // 0.955 */
export function rerate(type: FuseType, ambientC: number): number {
  return 1 + FUSE_KINDS[type].reratePerK * (ambientC - 25);
}

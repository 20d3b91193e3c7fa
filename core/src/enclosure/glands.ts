/** A cable gland: its thread, the cables that it grips, mm outside, and the hole that it wants. */
export interface Gland {
  readonly thread: string;
  readonly fromMm: number;
  readonly toMm: number;
  readonly holeMm: number;
  /** Across the corners of its nut, mm: what lies beside it keeps clear of that. */
  readonly nutMm: number;
}

/** Usual metric glands (threads of IEC 62444); their makers’ ranges differ a little. */
export const GLANDS: readonly Gland[] = [
  { thread: 'M12', fromMm: 3, toMm: 6.5, holeMm: 12.3, nutMm: 19 },
  { thread: 'M16', fromMm: 4, toMm: 9, holeMm: 16.3, nutMm: 25 },
  { thread: 'M20', fromMm: 7, toMm: 12.5, holeMm: 20.3, nutMm: 30 },
  { thread: 'M25', fromMm: 11, toMm: 17, holeMm: 25.4, nutMm: 37 },
  { thread: 'M32', fromMm: 15, toMm: 21, holeMm: 32.4, nutMm: 46 },
];

/** The smallest gland that grips a cable; null: none does. Cable thinner than any is built up with a sleeve. @example glandFor(22) // null */
export const glandFor = (outsideMm: number): Gland | null => GLANDS.find((g) => outsideMm <= g.toMm) ?? null;

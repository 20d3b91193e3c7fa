import type { Gear } from './gear.js';

/** What gear must be held against, in multiples of its weight; planning figures, not a crash standard. */
export const HOLD_G = { forward: 10, sideways: 6, up: 5 } as const;
/** Standard gravity, m/s². */
const G_M_S2 = 9.80665;
/** What one strap or bar with its anchors holds, N: a default; its own label wins. */
export const STRAP_N = 5000;
/** Lighter things are held by their own screws. */
const HEAVY_KG = 5;

/** Forces that must be held, N. */
export interface Restraint {
  readonly gear: string;
  readonly name: string;
  readonly kg: number;
  readonly forwardN: number;
  readonly sidewaysN: number;
  readonly upN: number;
  /** Straps or bars of the default kind that hold the largest of them. */
  readonly straps: number;
}

/**
 * What holds a mass, N: m · a forward, sideways and up.
 * @example restraintOf(20) // { forwardN: 1961.33, sidewaysN: 1176.798, upN: 980.665, straps: 1 }
 */
export function restraintOf(kg: number): Pick<Restraint, 'forwardN' | 'sidewaysN' | 'upN' | 'straps'> {
  const [forwardN, sidewaysN, upN] = [HOLD_G.forward, HOLD_G.sideways, HOLD_G.up].map((g) => kg * g * G_M_S2) as [number, number, number];
  return { forwardN, sidewaysN, upN, straps: Math.ceil(Math.max(forwardN, sidewaysN, upN) / STRAP_N) };
}

/** Heavy gear with what it takes to hold it, the heaviest first. */
export function restraints(gear: readonly Gear[]): Restraint[] {
  return gear
    .filter((g) => g.kg >= HEAVY_KG && g.role !== 'starting' && g.when === 'now')
    .map((g) => ({ gear: g.id, name: g.name, kg: g.kg, ...restraintOf(g.kg) }))
    .sort((a, b) => b.kg - a.kg);
}

import type { PlacedRole } from '../places/index.js';

/** What one has in hand for a step. */
export type Tool = 'spanners' | 'drill and hole saws' | 'cable cutters' | 'hand crimper' | 'hydraulic crimper' | 'multimeter';

/** From so much copper on a lug is pressed, not squeezed, mm². */
const PRESSED_FROM_MM2 = 10;
export const crimperFor = (areaMm2: number): Tool => (areaMm2 >= PRESSED_FROM_MM2 ? 'hydraulic crimper' : 'hand crimper');

/** Usual minutes of a step: defaults of a careful fitter, for a plan and not for a bill. */
export const MINUTES = { hole: 15, fuse: 5, old: 20, fan: 40, box: 60, enclosure: 10, tap: 20, provision: 10, bond: 20, set: 8 } as const;

/** Fixing a piece of gear, with its box or bracket, min. */
const PLACE: Readonly<Record<PlacedRole, number>> = { starting: 0, charger: 25, house: 45, bus: 15, block: 15, inverter: 30, panel: 40, controller: 20, mains: 25, control: 12, load: 15, there: 0 };
export const placeMin = (role: PlacedRole): number => PLACE[role];

/** Crimp, shrink and tighten at one end, both conductors, min. */
export const joinMin = (areaMm2: number): number => (areaMm2 >= PRESSED_FROM_MM2 ? 12 : 5);

/** Pulling, clipping and labelling a run of this length, min: a start, and so much a metre. */
export const pullMin = (outM: number): number => Math.round(5 + 3 * outM);

/** Laying a thin lead of this length and joining both its ends, min. */
export const leadMin = (lengthM: number): number => Math.round(6 + 2 * lengthM);

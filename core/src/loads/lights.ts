import type { Load } from '../design/index.js';

type Colour = NonNullable<Load['light']>['colour'];

/** Lumens that a watt of LED gives, by colour; a planning figure, the lamp's own data wins. Red and amber draw fewer insects and keep night sight. */
export const LUMENS_PER_W: Readonly<Record<Colour, number>> = { white: 100, warm: 90, amber: 55, red: 45 };

/** Watts for so much light. @example wattsForLight(900, 'warm') // 10 */
export function wattsForLight(lumens: number, colour: Colour): number {
  return lumens / LUMENS_PER_W[colour];
}

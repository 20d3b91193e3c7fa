import type { Hazard, Way } from '../design/index.js';

/** Distance that cable keeps from an exhaust, mm. */
export const EXHAUST_MM = 150;

/**
 * What a hazard adds to the cost of a metre, in metres: a way round is taken when it is shorter than this. Planning
 * figures; a workshop that knows better forces the way.
 */
export const HAZARD_COST: Readonly<Record<Hazard, number>> = { exhaust: 1.5, steering: 1, suspension: 1, moving: 0.5, edge: 0.3, stones: 0.2 };
/** Nearer to an exhaust than cable may go: only taken when forced, or when nothing else is left. */
export const TOO_HOT_COST = 10;

export const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  exhaust: 'exhaust',
  steering: 'steering',
  suspension: 'suspension travel',
  moving: 'moving part',
  edge: 'sharp edge',
  stones: 'stones',
};

export const tooNearExhaust = (way: Way): boolean => way.hazards.some((h) => h.kind === 'exhaust' && h.nearMm < EXHAUST_MM);

/** Cost of a millimetre along a way: 1 where nothing threatens it. */
export function costPerMm(way: Way): number {
  return way.hazards.reduce((sum, h) => sum + (h.kind === 'exhaust' && h.nearMm < EXHAUST_MM ? TOO_HOT_COST : HAZARD_COST[h.kind]), 1);
}

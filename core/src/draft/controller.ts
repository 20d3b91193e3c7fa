import type { Bank, PortablePanel, SolarArray } from '../supply/index.js';

/** Panels may give a little more than their plate on a cold, bright day. */
const BRIGHT = 1.05;

/** Most that portable panels with regulators of their own bring to the bank, A. */
export const portableOutA = (portables: readonly PortablePanel[], bank: Bank): number => portables.reduce((s, p) => s + (p.ownRegulator ? (p.ratedW / bank.nominalV) * BRIGHT : 0), 0);

/** Most that a solar controller passes to the bank: the panels' watts at the lowest charging volts, not above its own limit, A. */
export const controllerOutA = (array: SolarArray, bank: Bank): number => {
  const watts = array.ratedW + array.portables.reduce((s, p) => s + (p.ownRegulator ? 0 : p.ratedW), 0);
  return Math.min(array.maxA ?? Infinity, (watts / bank.nominalV) * BRIGHT);
};

import type { Bank, SolarArray } from '../supply/index.js';

/** Panels may give a little more than their plate on a cold, bright day. */
const BRIGHT = 1.05;

/** Most that a portable panel with its own regulator brings to the bank, A. */
export const portableOutA = (array: SolarArray | null, bank: Bank): number => (array?.portable?.ownRegulator ? (array.portable.panel.ratedW / bank.nominalV) * BRIGHT : 0);

/** Most that a solar controller passes to the bank: the panels' watts at the lowest charging volts, not above its own limit, A. */
export const controllerOutA = (array: SolarArray, bank: Bank): number => Math.min(array.maxA ?? Infinity, (array.ratedW / bank.nominalV) * BRIGHT);

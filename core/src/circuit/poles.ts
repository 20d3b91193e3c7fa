import { lugOhm } from '../cable/index.js';
import { fuseOhm } from '../protection/index.js';
import type { Fitted } from './wires.js';

const LEAST_OHM = 1e-6;

/** Feed of a run from stud to stud: copper, two joints, its fuses, and half of its plugs, ohm; `perM` is of one conductor. */
export function feedOhm({ spec, figures }: Fitted, perM: number): number {
  const { perPole } = figures;
  return Math.max(LEAST_OHM, (spec.outM * perM + 2 * lugOhm(figures.areaMm2) + spec.ends.length * fuseOhm(figures.fuseType, figures.fuseA)) / perPole + spec.plugOhm / 2);
}

/** Return of a run: copper, two joints, half of its plugs, and the body where that carries it, ohm. */
export function backOhm({ spec, figures }: Fitted, perM: number): number {
  return Math.max(LEAST_OHM, (spec.backM * perM + 2 * lugOhm(figures.areaMm2)) / figures.perPole + spec.plugOhm / 2 + spec.chassisOhm);
}

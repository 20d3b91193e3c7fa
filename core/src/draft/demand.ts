import type { DayLoad } from '../loads/index.js';
import { figure } from '../quantity/index.js';
import type { RunSpec } from '../routes/index.js';
import type { DraftContext } from './context.js';
import { loadLimit } from './limits.js';

/** Amps a load draws at the lowest house volts; of constant power the more, the lower. */
export function lowestVoltsA(load: DayLoad, lowestV: number): number {
  return load.kind === 'current' ? load.runningA : load.runningW / lowestV;
}

/** A load's demand on its own run, and how it came about. */
export function demandOf(load: DayLoad): Pick<RunSpec, 'demand' | 'demandWhy'> {
  return load.kind === 'current'
    ? { demand: { currentA: load.runningA }, demandWhy: 'constant current, as entered' }
    : { demand: { powerW: load.runningW }, demandWhy: `${figure(load.runningW, 0)} W of constant power: it draws more as volts fall` };
}

/** What loads draw together when each gets no more than its own drop limit leaves it, A. */
export function loadsA(c: DraftContext, loads: readonly DayLoad[]): number {
  const { openV, nominalV } = c.bank!;
  const arrivesV = (l: DayLoad): number => openV - (nominalV * loadLimit(c.design, c.design.loads[l.id]!.purpose).percent) / 100;
  return loads.reduce((sum, l) => sum + lowestVoltsA(l, arrivesV(l)), 0);
}

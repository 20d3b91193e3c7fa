import type { DayLoad } from '../loads/index.js';
import type { DraftContext } from './context.js';
import { loadLimit } from './limits.js';

/** Amps a load draws at the lowest house volts; of constant power the more, the lower. */
export function lowestVoltsA(load: DayLoad, lowestV: number): number {
  return load.kind === 'current' ? load.runningA : load.runningW / lowestV;
}

/** What loads draw together when each gets no more than its own drop limit leaves it, A. */
export function loadsA(c: DraftContext, loads: readonly DayLoad[]): number {
  const { openV, nominalV } = c.bank!;
  const arrivesV = (l: DayLoad): number => openV - (nominalV * loadLimit(c.design, c.design.loads[l.id]!.purpose).percent) / 100;
  return loads.reduce((sum, l) => sum + lowestVoltsA(l, arrivesV(l)), 0);
}

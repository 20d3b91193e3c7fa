import { largestTogether, type DayFigures, type DayLoad, type Wanting } from '../loads/index.js';
import { figure } from '../quantity/index.js';
import type { RunAmps, RunSpec } from '../routes/index.js';
import type { DraftContext } from './context.js';

/** Undimmed amps at so many volts: constant power draws more, the lower they are. */
export const fullA = (load: DayLoad, volts: number): number => (load.kind === 'current' ? load.fullA : load.fullW / volts);

const wanting = (l: DayLoad): Wanting => ({ id: l.id, watts: l.fullW, never: l.never });

/** Loads of these that may run at once: of those that exclude one another the heavier. */
function atOnce(loads: readonly DayLoad[]): readonly DayLoad[] {
  const { ids } = largestTogether(loads.map(wanting));
  return ids.length === loads.length ? loads : loads.filter((l) => ids.includes(l.id));
}

/** Most that some loads draw together at the lowest house volts, whatever the hour, A. */
export const lastingLoadsA = (c: DraftContext, loads: readonly DayLoad[]): number => atOnce(loads).reduce((sum, l) => sum + fullA(l, c.bank!.openV), 0);

/** Largest sum, at nominal volts, of those loads that run in one hour of this day, A. */
function togetherA(day: DayFigures, ids: ReadonlySet<string>, nominalV: number): number {
  const loads = day.loads.filter((l) => ids.has(l.id) && l.duty > 0);
  const hours = [...new Set(loads.flatMap((l) => l.spans.map(([from]) => from)))];
  const at = (h: number): readonly DayLoad[] => loads.filter((l) => l.spans.some(([from, to]) => from <= h && h < to));
  return Math.max(0, ...hours.map((h) => atOnce(at(h)).reduce((sum, l) => sum + fullA(l, nominalV), 0)));
}

/** Most that some loads draw together in a usual day, on the road or parked, at nominal volts, A. */
export function usualLoadsA(c: DraftContext, loads: readonly DayLoad[]): number {
  const ids = new Set(loads.map((l) => l.id));
  return Math.max(togetherA(c.day, ids, c.bank!.nominalV), togetherA(c.parkedDay, ids, c.bank!.nominalV));
}

/** A load's own two currents behind a source of so many volts at its lowest and its nominal ones. */
export function ampsOf(load: DayLoad, lowestV: number, nominalV: number): RunAmps & Pick<RunSpec, 'demand' | 'startA'> {
  const startA = load.startW > load.runningW ? (load.startW / load.runningW) * fullA(load, lowestV) : 0;
  if (load.kind === 'current') {
    const why = 'constant current, as entered';
    return { demand: { currentA: load.runningA }, startA, lastingA: load.fullA, lastingWhy: why, usualA: load.fullA, usualWhy: why };
  }
  const watts = `${figure(load.fullW, 0)} W of constant power${load.fullW > load.runningW ? ', undimmed' : ''}`;
  return {
    demand: { powerW: load.runningW },
    startA,
    lastingA: load.fullW / lowestV,
    lastingWhy: `${watts} at the lowest ${figure(lowestV, 1)} V`,
    usualA: load.fullW / nominalV,
    usualWhy: `${watts} at ${nominalV} V`,
  };
}

/** A run that carries the same whatever the volts and the day, A. */
export const steadyA = (amps: number, why: string): RunAmps => ({ lastingA: amps, lastingWhy: why, usualA: amps, usualWhy: why });

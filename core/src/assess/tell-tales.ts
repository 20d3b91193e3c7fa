import type { Design } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import type { Finding } from '../rules/index.js';
import type { Fitted, SizedRun } from '../routes/index.js';
import type { SupplyFigures } from '../supply/index.js';

/** The six figures that are always in sight. */
export interface TellTales {
  readonly ahDay: number;
  readonly peakA: number;
  readonly daysAlone: number;
  readonly worstDrop: { readonly run: string; readonly number: number; readonly percent: number; readonly limit: number } | null;
  readonly tightestFuse: { readonly run: string; readonly number: number; readonly fuseA: number; readonly fromA: number; readonly toA: number; readonly what: string } | null;
  readonly addedKg: number;
  readonly payloadLeftKg: number | null;
  readonly stops: number;
  readonly looks: number;
}

/** The run that uses up most of its limit, and the fuse with the least room between load and weakest part. */
export function tellTales(design: Design, day: DayFigures, supply: SupplyFigures, runs: readonly SizedRun[], kg: number, loadsKg: number, open: readonly Finding[]): TellTales {
  const fitted = runs.filter((r): r is Fitted => r.ok);
  const limited = fitted.filter((r) => r.spec.pathLimitPercent !== null);
  const used = (r: Fitted): number => r.figures.pathDropPercent / r.spec.pathLimitPercent!;
  const room = (r: Fitted): number => r.figures.window.to.ratingA / r.figures.window.fromA;
  const worst = limited.reduce<Fitted | null>((w, r) => (w === null || used(r) > used(w) ? r : w), null);
  const tight = fitted.filter((r) => r.spec.ends.length).reduce<Fitted | null>((t, r) => (t === null || room(r) < room(t) ? r : t), null);
  return {
    ahDay: day.ahDay,
    peakA: day.peakA,
    daysAlone: supply.daysAlone,
    worstDrop: worst && { run: worst.spec.id, number: worst.spec.number, percent: worst.figures.pathDropPercent, limit: worst.spec.pathLimitPercent! },
    tightestFuse: tight && {
      run: tight.spec.id,
      number: tight.spec.number,
      fuseA: tight.figures.fuseA,
      fromA: tight.figures.window.fromA,
      toA: tight.figures.window.to.ratingA,
      what: tight.figures.window.to.what,
    },
    addedKg: kg,
    payloadLeftKg: design.brief.payloadLeftKg === null ? null : design.brief.payloadLeftKg - kg - loadsKg,
    stops: open.filter((f) => f.severity === 'stop').length,
    looks: open.filter((f) => f.severity === 'look').length,
  };
}

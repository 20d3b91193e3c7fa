import { cableSeries, operate, type CableSeries, type CableSize, type Demand, type OperatingPoint, type RunPath } from '../cable/index.js';
import { COMPARE_SLACK } from '../quantity/index.js';
import type { FuseType } from './kinds.js';
import { fuseWindow } from './window.js';

export type SizingInput = RunPath &
  Demand & {
    readonly dropLimitPercent: number;
    /** System volts that the per cent is of: 12 or 24. */
    readonly nominalV: number;
    readonly series: CableSeries;
    readonly fuseType: FuseType;
    /** Smallest size allowed for mechanical reasons, mm². */
    readonly minAreaMm2: number;
    /** Rating of the weakest plug, terminal or way on the run, A; null: none. */
    readonly connectorA: number | null;
    /** Air at the fuse, °C; 25 where it is not said, for which ratings are given. */
    readonly fuseAirC?: number;
    /** Rating of a fuse further up that protects it, in place of one of its own, A. */
    readonly guardA?: number | null;
    /** Smallest rating to be tried, A: a bigger fuse loses less of its own. */
    readonly leastFuseA?: number;
  };

export type SizingError = 'no-cable-size' | 'window-closed' | 'no-operating-point' | 'too-hot';
export type BoundBy = 'minimum' | 'drop' | 'heat' | 'both';

/** One step of the walk up the series, kept so that a person can see why the size below fails. */
export interface SizeTried {
  readonly size: CableSize;
  readonly point: OperatingPoint;
  readonly fuseA: number | null;
  readonly dropPercent: number | null;
  readonly meetsHeat: boolean;
  readonly meetsDrop: boolean;
}

export interface Sized extends Extract<OperatingPoint, { ok: true }> {
  readonly size: string;
  readonly areaMm2: number;
  readonly fuseA: number;
  readonly boundBy: BoundBy;
  readonly dropPercent: number;
  /** The next size down, with what is wrong with it; null at the smallest stocked. */
  readonly below: SizeTried | null;
}

export type SizingResult = Sized | { readonly ok: false; readonly error: SizingError; readonly tried: readonly SizeTried[] };

/** What one size does under the run's demand: its operating point, the smallest fuse that carries it, and what it meets. */
export function trySize(size: CableSize, input: SizingInput): SizeTried {
  const point = operate(size.areaMm2, input, input);
  if (!point.ok) return { size, point, fuseA: null, dropPercent: null, meetsHeat: false, meetsDrop: false };
  const connector = input.connectorA === null ? [] : [{ what: 'connector', ratingA: input.connectorA }];
  const fuseA = input.guardA ?? fuseWindow(input.fuseType, point.currentA, connector, input.fuseAirC).fitsA.find((a) => a >= (input.leastFuseA ?? 0)) ?? null;
  const dropPercent = (100 * point.dropV) / input.nominalV;
  return {
    size,
    point,
    fuseA,
    dropPercent,
    meetsHeat: fuseA !== null && point.ampacityA >= fuseA - COMPARE_SLACK,
    meetsDrop: dropPercent <= input.dropLimitPercent + COMPARE_SLACK,
  };
}

function whyNone(tried: readonly SizeTried[]): SizingError {
  if (tried.some((t) => t.fuseA !== null)) return 'no-cable-size';
  if (tried.some((t) => t.point.ok)) return 'window-closed';
  const errors = tried.map((t) => (t.point.ok ? null : t.point.error));
  return (['no-operating-point', 'too-hot'] as const).find((e) => errors.includes(e)) ?? 'no-cable-size';
}

function boundBy(tried: readonly SizeTried[], chosen: number): BoundBy {
  if (chosen === 0) return 'minimum';
  const open = tried.filter((t) => t.fuseA !== null);
  const heat = open.findIndex((t) => t.meetsHeat);
  const drop = open.findIndex((t) => t.meetsDrop);
  if (heat === drop) return 'both';
  return heat > drop ? 'heat' : 'drop';
}

/**
 * The smallest stocked cable that the fuse protects and that loses no more than allowed, with its smallest fuse.
 * Walks up the series from the smallest size allowed; expected trouble comes back as `error`, never thrown.
 * @example sizeRun({ outM: 6.4, backM: 6.4, currentA: 48, … }) // { size: '35 mm²', fuseA: 60, boundBy: 'drop', … }
 */
export function sizeRun(input: SizingInput): SizingResult {
  const all = cableSeries(input.series);
  const allowed = all.filter((s) => s.areaMm2 >= input.minAreaMm2 - COMPARE_SLACK);
  const tried: SizeTried[] = [];
  for (const [i, size] of allowed.entries()) {
    const t = trySize(size, input);
    tried.push(t);
    if (!t.meetsHeat || !t.meetsDrop || !t.point.ok || t.fuseA === null) continue;
    const lower = tried[i - 1] ?? belowAllowed(all, size, input);
    return {
      ...t.point,
      size: size.size,
      areaMm2: size.areaMm2,
      fuseA: t.fuseA,
      boundBy: boundBy(tried, i),
      dropPercent: t.dropPercent!,
      below: lower,
    };
  }
  return { ok: false, error: whyNone(tried), tried };
}

function belowAllowed(all: readonly CableSize[], size: CableSize, input: SizingInput): SizeTried | null {
  const lower = all[all.indexOf(size) - 1];
  return lower ? trySize(lower, input) : null;
}

import { ampacityA, cableSeries, gaugeOf, resistanceOhmPerM, sizeInWords, type CableSize } from '../cable/index.js';
import type { Design } from '../design/index.js';
import { PLANNING_PRICES as PRICE } from '../order/index.js';
import { FUSE_KINDS, fuseWindow, outlastsStart, RATED_AIR_C, type FuseType, type FuseWindow } from '../protection/index.js';
import { memoize, REFERENCE_C } from '../quantity/index.js';
import { dropM, type RunSpec, type SizingTrouble, type Tried } from '../routes/index.js';
import { ALONE_PERCENT, cableStep, MOST_ABOVE, stepsThatCarry, type CableStep, type RunAsked } from '../tree/index.js';

/** What earlier rounds found out about a run. */
export interface RunChoice {
  /** Place in the run's list of fuse kinds. */
  kindIndex: number;
  /** Last place in the list that still opens a window. */
  lastKind: number;
  /** Place that it had before a short asked for another. */
  before: number;
  /** Smallest rating after it proved to open before those behind it, A; 0: it waits, or nothing in its window does. */
  leastFuseA: number;
  /** Smallest area after a short proved the smaller ones too thin, mm²; 0: nothing found. */
  faultAreaMm2: number;
}

/** The fuse of the feed that protects a tail. */
export interface Guard {
  readonly type: FuseType;
  readonly ratingA: number;
}

/** A run with its fuse, and the sizes that carry it. */
export interface Fused {
  readonly spec: RunSpec;
  readonly type: FuseType;
  readonly fuseA: number;
  readonly perPole: number;
  readonly asked: RunAsked;
  readonly window: FuseWindow;
  /** The thinnest first; with a size that a person typed, that one alone stands in `typed`. */
  readonly steps: readonly [CableStep, ...CableStep[]];
  readonly typed: CableStep | null;
}

export type FusedRun =
  | { readonly ok: true; readonly run: Fused }
  | {
      readonly ok: false;
      readonly error: SizingTrouble;
      readonly type: FuseType;
      readonly tried: readonly Tried[];
      readonly window: FuseWindow;
    };

/** Most equal conductors in a pole; beyond that a run wants another place or other volts. */
const MOST_PER_POLE = 3;
/** Below this a run that no cable suits is too long, not too heavy: more copper is the wrong answer, A. */
const HEAVY_A = 100;

const pricePerM = (areaMm2: number): number => PRICE.cableBase + PRICE.cablePerMm2 * areaMm2;

function askedOf(spec: RunSpec, design: Design, choice: RunChoice, perPole: number): RunAsked {
  const { insulationC, tinned, series } = design.settings;
  return {
    insulationC,
    tinned,
    series,
    outM: spec.outM,
    backM: dropM(spec) - spec.outM,
    ambientC: spec.ambientC,
    grouped: spec.grouped + perPole - 1,
    laid: spec.laid,
    lastingA: spec.lastingA,
    usualA: spec.usualA,
    refV: spec.refV,
    minAreaMm2: Math.max(spec.minAreaMm2, choice.faultAreaMm2),
    maxAreaMm2: spec.maxAreaMm2,
  };
}

export const triedOf = (s: CableStep): Tried => ({ size: sizeInWords(s.size.size), areaMm2: s.size.areaMm2, ampacityA: s.ampacityA, dropPercent: s.dropPercent });

/** Steps by all that they hang on: while one thing is dragged, most runs stay as they are. */
const steps = memoize(
  4000,
  (i: { asked: RunAsked; fuseA: number; perPole: number }) => `${Object.values(i.asked).join(' ')} ${i.fuseA} ${i.perPole}`,
  (i) => stepsThatCarry(i.asked, i.fuseA, i.perPole, pricePerM),
);

const sizeNamed = (design: Design, areaMm2: number): CableSize => {
  const near = cableSeries(design.settings.series).find((s) => Math.abs(s.areaMm2 - areaMm2) < 0.005);
  const gauge = gaugeOf(areaMm2);
  return near ?? { size: gauge ?? `${Math.round(areaMm2 * 100) / 100} mm²`, areaMm2 };
};

/** Air at the fuses: where no rating is left for it, what is printed on them, for the rules to find. */
const airsOf = (spec: RunSpec): readonly number[] => (spec.fuseAirC > RATED_AIR_C ? [spec.fuseAirC, RATED_AIR_C] : [RATED_AIR_C]);

/** With one kind of fuse and so many conductors a pole. */
function withKind(spec: RunSpec, design: Design, choice: RunChoice, type: FuseType, guardA: number | null, perPole: number, airC: number): FusedRun {
  // What passes without lasting must not open the fuse, which carries that much of its rating for good.
  const loadA = Math.max(spec.lastingA, FUSE_KINDS[type].continuous * spec.passingA) / perPole;
  const parts = spec.limitingParts.map((w) => ({ ...w, ratingA: w.ratingA / perPole }));
  const window = fuseWindow(type, loadA, parts, airC);
  const wishedA = Math.max(spec.leastFuseA, choice.leastFuseA);
  const outlasts = (a: number): boolean => outlastsStart(type, a, spec.startA / perPole);
  // A start that no rating of the window outlasts is the rules' to find.
  const startsAt = window.fitsA.find(outlasts) ?? 0;
  const leastA = window.fitsA.find((a) => a >= Math.max(wishedA, startsAt)) ?? startsAt;
  const fuseA = guardA ?? window.fitsA.find((a) => a >= leastA) ?? (spec.edit.areaMm2 === undefined ? null : (spec.edit.fuseA ?? null));
  const asked = askedOf(spec, design, choice, perPole);
  const all = (): readonly Tried[] => cableSeries(asked.series).map((s) => triedOf(cableStep(s, asked, perPole)));
  if (fuseA === null) return { ok: false, error: 'window-closed', type, tried: all(), window };
  const carry = steps({ asked, fuseA, perPole });
  const typed = spec.edit.areaMm2 === undefined ? null : cableStep(sizeNamed(design, spec.edit.areaMm2), asked, perPole, pricePerM);
  const [first, ...more] = carry.length ? carry : typed ? [typed] : [];
  if (!first) return { ok: false, error: 'too-hot', type, tried: all(), window };
  return { ok: true, run: { spec, type, fuseA: guardA ?? spec.edit.fuseA ?? fuseA, perPole, asked, window, steps: [first, ...more], typed } };
}

/** With the plainest kind of fuse that opens a window and leaves a size that carries it. */
function withPerPole(spec: RunSpec, design: Design, choice: RunChoice, protectedBy: Guard | null, perPole: number): FusedRun {
  // Where no kind will do, what kept a kind with ratings out says more than that another has none so small.
  let first: Extract<FusedRun, { ok: false }> | null = null;
  for (const airC of airsOf(spec))
    for (let kind = choice.kindIndex; kind <= choice.lastKind; kind++) {
      const r = withKind(spec, design, choice, protectedBy?.type ?? spec.fuseKinds[kind]!, protectedBy?.ratingA ?? null, perPole, airC);
      if (r.ok) {
        choice.kindIndex = kind;
        return r;
      }
      if (!first || (first.error === 'window-closed' && r.error !== 'window-closed')) first = r;
    }
  return first!;
}

/** Room over the lasting current that an installer gives a cable by habit. */
const HABIT = 1.25;

/**
 * Place of the thickest of its steps that a run takes for the sake of others: two stocked sizes above what it needs by
 * itself, for its current, custom and 3 % of its own as printed at 20 °C, whatever larger fuse a short or another fuse asks for.
 */
export function mostFor(fused: Fused): number {
  const known = mostKnown.get(fused);
  if (known !== undefined) return known;
  const most = mostOf(fused);
  mostKnown.set(fused, most);
  return most;
}

const mostKnown = new WeakMap<Fused, number>();

function mostOf({ spec, asked, perPole, steps: list }: Fused): number {
  const own = Math.min(ALONE_PERCENT, spec.pathLimitPercent ?? ALONE_PERCENT);
  const series = cableSeries(asked.series);
  const lost = (areaMm2: number): number => (100 * spec.usualA * (asked.outM + asked.backM) * resistanceOhmPerM(areaMm2, asked.tinned, REFERENCE_C)) / perPole / spec.refV;
  const alone = series.findIndex((s) => s.areaMm2 >= spec.minAreaMm2 - 1e-9 && ampacityA(s.areaMm2, asked) >= (HABIT * spec.lastingA) / perPole && lost(s.areaMm2) <= own);
  const most = series[alone < 0 ? series.length - 1 : Math.min(series.length - 1, alone + MOST_ABOVE)]!.areaMm2;
  return Math.max(0, list.filter((s) => s.size.areaMm2 <= most + 1e-9).length - 1);
}

/** Whether the thickest of these loses no more than the run may by itself. */
function losesLittle({ spec, steps: all }: Fused): boolean {
  return all[all.length - 1]!.dropPercent <= (spec.pathLimitPercent ?? ALONE_PERCENT) + 1e-9;
}

/**
 * A run's fuse and the sizes that carry it. Where no single conductor will do, for heat or for the run's own drop, equal
 * ones side by side are tried, each with a fuse of its own at the ends that feed; a size that a person typed stays alone.
 */
export function fuseRun(spec: RunSpec, design: Design, choice: RunChoice, protectedBy: Guard | null): FusedRun {
  const before = choice.kindIndex;
  const alone = withPerPole(spec, design, choice, protectedBy, 1);
  const enough = alone.ok && losesLittle(alone.run);
  const heavy = spec.lastingA >= HEAVY_A && spec.back !== 'chassis' && spec.edit.areaMm2 === undefined;
  if (enough || !heavy || (!alone.ok && alone.error === 'window-closed')) return alone;
  const kind = choice.kindIndex;
  for (let perPole = 2; perPole <= MOST_PER_POLE; perPole++) {
    choice.kindIndex = before;
    const together = withPerPole(spec, design, choice, protectedBy, perPole);
    if (together.ok && losesLittle(together.run)) return together;
  }
  choice.kindIndex = kind;
  return alone;
}

/**
 * What takes the place of a run without a size in the circuit, so that all others stay as they are: sized as its load
 * wants it, whatever on its way is too weak for that; where all is too hot, the thickest.
 */
export function standInFor(spec: RunSpec, design: Design, choice: RunChoice, failed: Extract<FusedRun, { ok: false }>): Fused {
  const free = fuseRun({ ...spec, limitingParts: [] }, design, { ...choice }, null);
  if (free.ok) return free.run;
  const asked = askedOf(spec, design, choice, 1);
  const thickest = cableSeries(asked.series)
    .filter((s) => s.areaMm2 <= (asked.maxAreaMm2 ?? Infinity))
    .at(-1)!;
  const kind = FUSE_KINDS[failed.type];
  const fuseA = kind.sizesA.find((a) => a >= failed.window.fromA) ?? kind.sizesA.at(-1)!;
  return { spec, type: failed.type, fuseA, perPole: 1, asked, window: failed.window, steps: [cableStep(thickest, asked, 1, pricePerM)], typed: null };
}

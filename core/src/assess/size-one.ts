import { cableSeries, lugOhm } from '../cable/index.js';
import type { Design } from '../design/index.js';
import { FUSE_KINDS, fuseOhm, fuseWindow, RATED_AIR_C, sizeRun, trySize, type FuseType, type SizeTried, type SizingError, type SizingInput, type SizingResult } from '../protection/index.js';
import { kept } from '../quantity/index.js';
import type { RunFigures, RunSpec, SizedRun } from '../routes/index.js';

/** What earlier rounds found out about a run. */
export interface RunChoice {
  /** Place in the run's list of fuse kinds. */
  kindIndex: number;
  /** Last place in the list that still opens a window. */
  lastKind: number;
  /** Place that it had before a short asked for another. */
  before: number;
  /** A larger rating passes more of a short than its kind breaks: the smallest that fits, whatever its drop. */
  plainFuse: boolean;
  /** Smallest area after a short proved the smaller ones too thin, mm²; 0: nothing found. */
  faultAreaMm2: number;
}

/** What runs nearer to the source cost. */
export interface Upstream {
  readonly dropPercent: number;
  readonly dropV: number;
  /** Rating and kind of the fuse that protects a run without one of its own. */
  readonly guardA: number | null;
  readonly guardType: FuseType | null;
}

const LEAST_SHARE_PERCENT = 0.2;

/** All that the size and fuse of a run hang on. */
interface Ask {
  /** Contacts are filled in while fuse and size settle. */
  readonly input: SizingInput;
  /** Ohms that stay whatever comes out: plugs, body, parts in line. */
  readonly fixedOhm: number;
  readonly fuses: number;
  /** Current before anything is known of the drop, A. */
  readonly roughA: number;
  readonly typedA: number | null;
  readonly typedMm2: number | null;
  /** The smallest rating that fits is taken, whatever it loses. */
  readonly plain: boolean;
  /** Of the house side: short and thick, and what its cable saves, all behind it would pay for. */
  readonly trunk: boolean;
}

const contactsMilliohm = (a: Ask, fuseA: number, areaMm2: number): number => 1000 * (4 * lugOhm(areaMm2) + a.fuses * fuseOhm(a.input.fuseType, fuseA) + a.fixedOhm);

function sizingInput(spec: RunSpec, design: Design, type: FuseType, choice: RunChoice, up: Upstream): SizingInput {
  const weakest = Math.min(...spec.weak.map((w) => w.ratingA), Infinity);
  const path = {
    outM: spec.outM,
    backM: spec.backM,
    insulationC: design.settings.insulationC,
    ambientC: spec.ambientC,
    grouped: spec.grouped,
    laid: spec.laid,
    tinned: design.settings.tinned,
    contactsMilliohm: 0,
    dropLimitPercent: Math.max(LEAST_SHARE_PERCENT, spec.pathLimitPercent - up.dropPercent),
    nominalV: spec.nominalV,
    series: design.settings.series,
    fuseType: type,
    minAreaMm2: Math.max(spec.minAreaMm2, choice.faultAreaMm2),
    connectorA: Number.isFinite(weakest) ? weakest : null,
    fuseAirC: spec.fuseAirC,
    guardA: up.guardA,
  };
  if ('powerW' in spec.demand) return Object.assign(path, { powerW: spec.demand.powerW, sourceV: spec.sourceV - up.dropV });
  return Object.assign(path, { currentA: spec.demand.currentA });
}

/** A size and fuse that a person fixed, computed as they are. */
function asTyped(typedA: number | null, input: SizingInput, areaMm2: number): SizingResult {
  const series = cableSeries(input.series);
  const named = series.find((s) => Math.abs(s.areaMm2 - areaMm2) < 0.005) ?? { size: `${areaMm2} mm²`, areaMm2 };
  const t = trySize(named, input);
  const lower = [...series].reverse().find((s) => s.areaMm2 < areaMm2 - 0.005);
  const fuseA = input.guardA ?? typedA ?? t.fuseA;
  if (!t.point.ok) {
    // What would hold is part of the answer.
    const holds = series
      .filter((s) => s.areaMm2 > areaMm2)
      .map((s) => trySize(s, input))
      .find((x) => x.point.ok);
    return { ok: false, error: t.point.error, tried: holds ? [t, holds] : [t] };
  }
  if (fuseA === null) return { ok: false, error: 'window-closed', tried: [t] };
  return { ...t.point, size: named.size, areaMm2, fuseA, boundBy: 'minimum', dropPercent: t.dropPercent!, below: lower ? trySize(lower, input) : null };
}

/** Sizes with the contacts of the fuse that comes out, until fuse and contacts agree. */
function settle(ask: Ask, leastFuseA: number): SizingResult {
  const { roughA, typedA, typedMm2 } = ask;
  const kind = FUSE_KINDS[ask.input.fuseType];
  let fuseA = typedA ?? kind.sizesA.find((a) => roughA <= kind.continuous * a && a >= leastFuseA) ?? kind.sizesA[kind.sizesA.length - 1]!;
  let areaMm2 = typedMm2 ?? 16;
  let result: SizingResult | undefined;
  for (let round = 0; round < 4; round++) {
    const input = { ...ask.input, leastFuseA, contactsMilliohm: contactsMilliohm(ask, fuseA, areaMm2) };
    result = typedMm2 ? asTyped(typedA, input, typedMm2) : sizeRun(input);
    if (!result.ok) return result;
    const chosenA = input.guardA ?? typedA ?? result.fuseA;
    const settled = chosenA === fuseA && lugOhm(result.areaMm2) === lugOhm(areaMm2);
    fuseA = chosenA;
    areaMm2 = result.areaMm2;
    if (settled) break;
  }
  return result!;
}

/** Ratings above the smallest that are tried where a fuse's own drop decides the cable. */
const LARGER_RATINGS = 3;
/** From this size on it is worth a larger fuse to come down to the next, mm². */
const THICK_MM2 = 10;

/**
 * With the smallest rating that fits, as the rule has it. A fuse at its load takes a tenth of a volt, though: where that
 * leaves the cable so little that it gets thick, or none will do, the next ratings of the kind are tried, and one that
 * comes down in copper is taken. The cable still carries the larger rating.
 */
function withFuse(ask: Ask): SizingResult {
  const smallest = settle(ask, 0);
  const thick = smallest.ok ? !ask.trunk && smallest.boundBy === 'drop' && smallest.areaMm2 >= THICK_MM2 : smallest.error === 'no-cable-size';
  if (ask.plain || !thick) return smallest;
  const fromA = smallest.ok ? smallest.fuseA : Math.max(0, ...smallest.tried.map((t) => t.fuseA ?? 0));
  let best = smallest;
  for (const leastFuseA of FUSE_KINDS[ask.input.fuseType].sizesA.filter((a) => a > fromA).slice(0, LARGER_RATINGS)) {
    const larger = settle(ask, leastFuseA);
    if (larger.ok && (!best.ok || larger.areaMm2 < best.areaMm2 - 0.01)) best = larger;
  }
  return best;
}

/** Sizes of runs by all that they hang on: while one thing is dragged, most runs stay as they are. */
const sized = kept(3000, ({ input: i, ...a }: Ask) => `${Object.values(i).join(' ')} ${'powerW' in i} ${a.fixedOhm} ${a.fuses} ${a.roughA} ${a.typedA} ${a.typedMm2} ${a.plain} ${a.trunk}`, withFuse);

function sizeOf(spec: RunSpec, design: Design, type: FuseType, choice: RunChoice, up: Upstream): SizingResult {
  const { fuseA, areaMm2 } = spec.edit;
  return sized({
    input: sizingInput(spec, design, type, choice, up),
    fixedOhm: spec.plugOhm + spec.chassisOhm + spec.inline.reduce((sum, p) => sum + p.ohm, 0),
    fuses: spec.ends.length,
    roughA: 'powerW' in spec.demand ? spec.demand.powerW / spec.sourceV : spec.demand.currentA,
    typedA: fuseA ?? null,
    typedMm2: areaMm2 ?? null,
    trunk: spec.group === 'house',
    plain: choice.plainFuse || fuseA !== undefined || areaMm2 !== undefined || up.guardA !== null || !spec.ends.length,
  });
}

function figuresOf(spec: RunSpec, type: FuseType, choice: RunChoice, up: Upstream, r: Extract<SizingResult, { ok: true }>, perPole: number): RunFigures {
  const size = /^\d+(\/0)?$/.test(r.size) ? `${r.size} B&S` : r.size;
  const fuseA = up.guardA ?? spec.edit.fuseA ?? r.fuseA;
  const parts = [{ what: 'cable', ratingA: r.ampacityA }, ...spec.weak];
  const byFault = choice.faultAreaMm2 > spec.minAreaMm2 && r.boundBy === 'minimum';
  return {
    size,
    perPole,
    cable: perPole > 1 ? `${perPole} × ${size}` : size,
    areaMm2: r.areaMm2,
    fuseType: type,
    fuseA,
    currentA: r.currentA,
    ampacityA: r.ampacityA,
    conductorC: r.conductorC,
    ohm: r.ohm / perPole,
    dropV: r.dropV,
    dropPercent: r.dropPercent,
    pathDropPercent: up.dropPercent + r.dropPercent,
    arrivesV: spec.terminalV ?? spec.sourceV - up.dropV - r.dropV,
    boundBy: spec.edit.areaMm2 ? 'typed' : byFault ? 'fault' : r.boundBy,
    below: r.below,
    window: fuseWindow(type, r.currentA, parts, spec.fuseAirC),
    fuses: [],
  };
}

/** Most equal conductors in a pole; beyond that a run wants another place or other volts. */
const MOST_PER_POLE = 3;
/** Below this a run that no cable suits is too long, not too heavy: more copper is the wrong answer, A. */
const HEAVY_A = 100;

/** A run as one of several equal conductors meets it: its share of the current, all of what it shares with the others. */
function shareOf(spec: RunSpec, perPole: number): RunSpec {
  const { demand } = spec;
  return {
    ...spec,
    demand: 'powerW' in demand ? { powerW: demand.powerW / perPole } : { currentA: demand.currentA / perPole },
    inline: spec.inline.map((p) => ({ ...p, ohm: p.ohm * perPole })),
    weak: spec.weak.map((w) => ({ ...w, ratingA: w.ratingA / perPole })),
    plugOhm: spec.plugOhm * perPole,
    chassisOhm: spec.chassisOhm * perPole,
    grouped: spec.grouped + perPole - 1,
  };
}

/** One run with the plainest fuse kind that opens a window for it, alone or as one of several equal conductors. */
function sizeWith(spec: RunSpec, design: Design, choice: RunChoice, up: Upstream, perPole: number): SizedRun {
  const one = perPole > 1 ? shareOf(spec, perPole) : spec;
  // Where no kind will do, what kept a kind with ratings out says more than that another has none so small.
  let first: { readonly error: SizingError; readonly tried: readonly SizeTried[] } | null = null;
  for (let kind = choice.kindIndex; ; kind++) {
    const type = up.guardType ?? spec.fuseKinds[kind]!;
    const result = sizeOf(one, design, type, choice, up);
    if (result.ok) {
      choice.kindIndex = kind;
      return { spec, ok: true, figures: figuresOf(one, type, choice, up, result, perPole) };
    }
    if (!first || (first.error === 'window-closed' && result.error !== 'window-closed')) first = { error: result.error, tried: result.tried };
    if (kind >= choice.lastKind) return { spec, ok: false, ...first };
  }
}

/** As the air at its fuses wants it; where no rating is left then, by what is printed on them, for the rules to find. */
function inItsAir(spec: RunSpec, design: Design, choice: RunChoice, up: Upstream, perPole: number): SizedRun {
  const before = choice.kindIndex;
  const run = sizeWith(spec, design, choice, up, perPole);
  if (run.ok || run.error !== 'window-closed' || spec.fuseAirC <= RATED_AIR_C) return run;
  choice.kindIndex = before;
  const cool = sizeWith({ ...spec, fuseAirC: RATED_AIR_C }, design, choice, up, perPole);
  return cool.ok ? { ...cool, spec } : run;
}

/**
 * One run with its size. Where no single cable loses little enough, equal conductors side by side are tried, each with a
 * fuse of its own at the ends that feed; a size that a person typed stays alone.
 */
export function sizeOne(spec: RunSpec, design: Design, choice: RunChoice, up: Upstream): SizedRun {
  const alone = inItsAir(spec, design, choice, up, 1);
  const heavy = ('powerW' in spec.demand ? spec.demand.powerW / spec.sourceV : spec.demand.currentA) >= HEAVY_A;
  if (alone.ok || !heavy || alone.error !== 'no-cable-size' || spec.edit.areaMm2 || spec.back === 'chassis') return alone;
  for (let perPole = 2; perPole <= MOST_PER_POLE; perPole++) {
    const together = inItsAir(spec, design, choice, up, perPole);
    if (together.ok) return together;
  }
  return alone;
}

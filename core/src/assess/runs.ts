import { cableSeries } from '../cable/index.js';
import { hasMain, judgeBanks, waitingRatings, type InlinePart } from '../circuit/index.js';
import type { Design } from '../design/index.js';
import type { Shapes } from '../network/index.js';
import { breakingCapacityA } from '../protection/index.js';
import { inCircuit, type Fitted, type RunFuse, type RunSpec, type SizedRun } from '../routes/index.js';
import type { Bank } from '../supply/index.js';
import { pickSizes } from './copper.js';
import { figuresOf } from './figures.js';
import { fuseRun, standInFor, type Fused, type FusedRun, type Guard, type RunChoice } from './fusing.js';

/** Rounds of sizing and short-circuit checks before what is left becomes a finding. */
const MOST_ROUNDS = 8;

/** What one design's runs came to in earlier rounds, by all that a round can change: most stay as they are. */
type Fusings = Map<string, { readonly fused: FusedRun; readonly kindIndex: number }>;

function fuseOne(spec: RunSpec, design: Design, choice: RunChoice, protectedBy: Guard | null, earlier: Fusings): FusedRun {
  const { kindIndex, lastKind, leastFuseA, faultAreaMm2 } = choice;
  const key = [spec.id, kindIndex, lastKind, leastFuseA, faultAreaMm2, protectedBy?.type, protectedBy?.ratingA].join(' ');
  const known = earlier.get(key) ?? { fused: fuseRun(spec, design, choice, protectedBy), kindIndex: choice.kindIndex };
  earlier.set(key, known);
  choice.kindIndex = known.kindIndex;
  return known.fused;
}

/** Every run with its fuse and the sizes that carry it; a tail without a fuse of its own meets that of its feed. */
function fuseAll(specs: readonly RunSpec[], design: Design, choices: ReadonlyMap<string, RunChoice>, earlier: Fusings): ReadonlyMap<string, FusedRun> {
  const out = new Map<string, FusedRun>();
  for (const spec of specs) {
    const feed = spec.protectedBy ? out.get(spec.protectedBy) : undefined;
    const protectedBy: Guard | null = feed?.ok ? { type: feed.run.type, ratingA: feed.run.fuseA } : null;
    out.set(spec.id, fuseOne(spec, design, choices.get(spec.id)!, protectedBy, earlier));
  }
  return out;
}

/**
 * Fuses all runs. Where a stronger kind of fuse, called for by a short, comes in no rating that fits, the run goes back
 * to the last kind that did: a sized run with a finding says more than no run.
 */
function keepFused(specs: readonly RunSpec[], design: Design, choices: ReadonlyMap<string, RunChoice>, earlier: Fusings): ReadonlyMap<string, FusedRun> {
  const before = new Map([...choices].map(([id, c]) => [id, c.kindIndex]));
  const fused = fuseAll(specs, design, choices, earlier);
  const lost = specs.filter((s) => !fused.get(s.id)!.ok && before.get(s.id)! > 0);
  for (const { id } of lost) {
    const choice = choices.get(id)!;
    choice.kindIndex = choice.lastKind = Math.min(choice.before, before.get(id)! - 1);
  }
  return lost.length ? keepFused(specs, design, choices, earlier) : fused;
}

/** Sizes all runs together; what stands in for one without a size leaves the others as they are. */
function sizeAll(specs: readonly RunSpec[], design: Design, choices: ReadonlyMap<string, RunChoice>, earlier: Fusings): SizedRun[] {
  const fused = keepFused(specs, design, choices, earlier);
  const able = new Map<string, Fused>();
  for (const spec of specs) {
    const f = fused.get(spec.id)!;
    able.set(spec.id, f.ok ? f.run : standInFor(spec, design, choices.get(spec.id)!, f));
  }
  const figures = figuresOf(pickSizes(able), choices);
  return specs.map((spec): SizedRun => {
    const f = fused.get(spec.id)!;
    return f.ok ? { spec, ok: true, figures: figures.get(spec.id)! } : { spec, ok: false, error: f.error, tried: f.tried, window: f.window, fuseType: f.type, standIn: figures.get(spec.id)! };
  });
}

/** A short that the fuse does not break, and that no other breaks for it. */
const unbroken = (f: RunFuse): boolean => f.maxA > f.breakingA && f.backedBy === null;

/** The first kind further down the list that breaks what the chosen one does not, or at least more; null: it breaks it, or none does better. */
function strongerKind(run: Fitted, choice: RunChoice): number | null {
  const { fuses } = run.figures;
  if (!fuses.some(unbroken)) return null;
  const mostA = Math.max(0, ...fuses.map((f) => f.maxA));
  const { fuseKinds, highestV } = run.spec;
  const breaks = (i: number): number => breakingCapacityA(fuseKinds[i]!, highestV);
  const later = fuseKinds.map((_, i) => i).filter((i) => i > choice.kindIndex && i <= choice.lastKind && breaks(i) > breaks(choice.kindIndex));
  return later.find((i) => breaks(i) >= mostA) ?? later[0] ?? null;
}

/** Changes what a short proved wrong: a stronger kind of fuse, or a thicker cable. True when something changed. */
function applySolution(run: Fitted, design: Design, choice: RunChoice): boolean {
  const { fuses, areaMm2 } = run.figures;
  const stronger = strongerKind(run, choice);
  if (stronger !== null) {
    choice.before = choice.kindIndex;
    choice.kindIndex = stronger;
    return true;
  }
  const weak = fuses.some((f) => f.fault && (!f.fault.cableSurvives || !f.fault.clearsIn5s));
  const next = cableSeries(design.settings.series).find((s) => s.areaMm2 > areaMm2 + 1e-9 && s.areaMm2 <= (run.spec.maxAreaMm2 ?? Infinity));
  if (!weak || run.spec.edit.areaMm2 || !next || next.areaMm2 <= choice.faultAreaMm2) return false;
  choice.faultAreaMm2 = next.areaMm2;
  return true;
}

/** Goes through all runs once; strings that learn together do so from the first of them that shows something. */
function learnAll(runs: readonly SizedRun[], design: Design, choices: ReadonlyMap<string, RunChoice>): boolean {
  const changed = new Set<RunChoice>();
  for (const r of runs) {
    const choice = choices.get(r.spec.id)!;
    if (!changed.has(choice) && applySolution(inCircuit(r), design, choice)) changed.add(choice);
  }
  return changed.size > 0;
}

/** Takes a rating of the same window that waits for the fuses behind it; true when one did. */
function learnToWait(runs: readonly SizedRun[], choices: ReadonlyMap<string, RunChoice>): boolean {
  let changed = false;
  for (const [id, { ratingA }] of waitingRatings(runs)) {
    const choice = choices.get(id)!;
    if (ratingA <= choice.leastFuseA || runs.find((r) => r.spec.id === id)?.spec.edit.fuseA !== undefined) continue;
    choice.leastFuseA = ratingA;
    changed = true;
  }
  return changed;
}

/** What is learnt of each run; strings of one bank learn together. */
function choicesOf(specs: readonly RunSpec[]): ReadonlyMap<string, RunChoice> {
  const out = new Map<string, RunChoice>();
  for (const s of specs) out.set(s.id, (s.equalTo && out.get(s.equalTo)) || { kindIndex: 0, lastKind: s.fuseKinds.length - 1, before: 0, leastFuseA: 0, faultAreaMm2: 0 });
  return out;
}

/**
 * Sizes every run, shorts every run, and goes round again with a stronger fuse or thicker cable where the short showed
 * it wanting; what stays wanting is left for the rules to find.
 */
export function sizeRuns(specs: readonly RunSpec[], design: Design, bank: Bank | null, second: Bank | null, inline: readonly InlinePart[]): SizedRun[] {
  const choices = choicesOf(specs);
  const earlier: Fusings = new Map();
  const shapes: Shapes = { system: null };
  for (let round = 1; ; round++) {
    const sized = sizeAll(specs, design, choices, earlier);
    if (!bank || !hasMain(sized)) return sized;
    const judged = judgeBanks(sized, design, bank, second, inline, shapes);
    const withFuses = sized.map((r): SizedRun => {
      const fuses = judged.get(r.spec.id) ?? [];
      return r.ok ? { ...r, figures: { ...r.figures, fuses } } : { ...r, standIn: { ...r.standIn, fuses } };
    });
    if (round === MOST_ROUNDS) return withFuses;
    if (!learnAll(withFuses, design, choices) && !learnToWait(withFuses, choices)) return withFuses;
  }
}

import { cableSeries } from '../cable/index.js';
import { hasMain, judgeBanks, type Fitted, type InlinePart } from '../circuit/index.js';
import type { Design } from '../design/index.js';
import type { Shapes } from '../network/index.js';
import { breakingCapacityA } from '../protection/index.js';
import type { RunSpec, SizedRun } from '../routes/index.js';
import type { Bank } from '../supply/index.js';
import { sizeOne, type RunChoice, type Upstream } from './size-one.js';

/** Rounds of sizing and short-circuit checks before what is left becomes a finding. */
const MOST_ROUNDS = 8;
const NONE: Upstream = { dropPercent: 0, dropV: 0, guardA: null, guardType: null };

/** The last result of each run with what it was reached from: a round sizes anew only what changed. */
type Memory = Map<string, { readonly from: string; readonly run: SizedRun }>;

const basisOf = (c: RunChoice, up: Upstream): string => `${c.kindIndex} ${c.lastKind} ${c.plainFuse} ${c.faultAreaMm2} ${up.dropPercent} ${up.dropV} ${up.guardA} ${up.guardType}`;

function sizeAll(specs: readonly RunSpec[], design: Design, choices: ReadonlyMap<string, RunChoice>, memory: Memory): SizedRun[] {
  const done = new Map<string, SizedRun>();
  for (const spec of specs) {
    const parent = spec.parent ? done.get(spec.parent) : undefined;
    const guard = spec.guard ? done.get(spec.guard) : undefined;
    const guarded = { guardA: guard?.ok ? guard.figures.fuseA : null, guardType: guard?.ok ? guard.figures.fuseType : null };
    const up = parent?.ok ? { dropPercent: parent.figures.pathDropPercent, dropV: parent.spec.sourceV - parent.figures.arrivesV, ...guarded } : { ...NONE, ...guarded };
    const choice = choices.get(spec.id)!;
    const known = memory.get(spec.id);
    const run = known?.from === basisOf(choice, up) ? known.run : sizeOne(spec, design, choice, up);
    memory.set(spec.id, { from: basisOf(choice, up), run });
    done.set(spec.id, run);
  }
  return [...done.values()];
}

/**
 * Sizes all runs. Where a stronger kind of fuse, called for by a short, comes in no rating that fits, the run goes back
 * to the last kind that did: a sized run with a finding says more than no run.
 */
function keepSized(specs: readonly RunSpec[], design: Design, choices: ReadonlyMap<string, RunChoice>, memory: Memory): SizedRun[] {
  const before = new Map([...choices].map(([id, c]) => [id, c.kindIndex]));
  const sized = sizeAll(specs, design, choices, memory);
  const lost = sized.filter((r) => !r.ok && before.get(r.spec.id)! > 0);
  for (const { spec } of lost) {
    const choice = choices.get(spec.id)!;
    choice.kindIndex = choice.lastKind = Math.min(choice.before, before.get(spec.id)! - 1);
  }
  return lost.length ? keepSized(specs, design, choices, memory) : sized;
}

/** The first kind further down the list that breaks what the chosen one does not, or at least more; null: it breaks it, or none does better. */
function strongerKind(run: Fitted, choice: RunChoice): number | null {
  const { fuses } = run.figures;
  const mostA = Math.max(0, ...fuses.map((f) => f.maxA));
  if (!fuses.some((f) => f.maxA > f.breakingA)) return null;
  const { fuseKinds, highestV } = run.spec;
  const breaks = (i: number): number => breakingCapacityA(fuseKinds[i]!, highestV);
  const later = fuseKinds.map((_, i) => i).filter((i) => i > choice.kindIndex && i <= choice.lastKind && breaks(i) > breaks(choice.kindIndex));
  return later.find((i) => breaks(i) >= mostA) ?? later[0] ?? null;
}

/** Changes what a short proved wrong: a stronger kind of fuse, or a thicker cable. True when something changed. */
function learn(run: Fitted, design: Design, choice: RunChoice): boolean {
  const { fuses, areaMm2 } = run.figures;
  const stronger = strongerKind(run, choice);
  if (stronger !== null) {
    choice.before = choice.kindIndex;
    choice.kindIndex = stronger;
    return true;
  }
  const least = run.figures.window.fitsA[0];
  if (!choice.plainFuse && least !== undefined && run.figures.fuseA > least && fuses.some((f) => f.maxA > f.breakingA)) {
    choice.plainFuse = true;
    return true;
  }
  const weak = fuses.some((f) => f.fault && (!f.fault.cableSurvives || !f.fault.clearsIn5s));
  const next = cableSeries(design.settings.series).find((s) => s.areaMm2 > areaMm2 + 1e-9);
  if (!weak || run.spec.edit.areaMm2 || !next) return false;
  choice.faultAreaMm2 = next.areaMm2;
  return true;
}

/**
 * Sizes every run, shorts every run, and goes round again with a stronger fuse or thicker cable where the short showed
 * it wanting; what stays wanting is left for the rules to find.
 */
export function sizeRuns(specs: readonly RunSpec[], design: Design, bank: Bank | null, second: Bank | null, inline: readonly InlinePart[]): SizedRun[] {
  const choices = new Map(specs.map((s): [string, RunChoice] => [s.id, { kindIndex: 0, lastKind: s.fuseKinds.length - 1, before: 0, plainFuse: false, faultAreaMm2: 0 }]));
  const memory: Memory = new Map();
  const shapes: Shapes = { system: null };
  for (let round = 1; ; round++) {
    const sized = keepSized(specs, design, choices, memory);
    if (!bank || !hasMain(sized)) return sized;
    const judged = judgeBanks(sized, design, bank, second, inline, shapes);
    const withFuses = sized.map((r) => (r.ok ? { ...r, figures: { ...r.figures, fuses: judged.get(r.spec.id) ?? [] } } : r));
    if (round === MOST_ROUNDS) return withFuses;
    const changed = withFuses.filter((r) => r.ok && learn(r, design, choices.get(r.spec.id)!)).length;
    if (changed === 0) return withFuses;
  }
}

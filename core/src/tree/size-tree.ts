import type { CableSeries, InsulationC, Laid } from '../cable/index.js';
import type { FuseType } from '../protection/index.js';
import { leastCopper, pathLosses, type TreeRun } from './least-copper.js';
import { widened } from './sense.js';
import { smallestFuse, stepsThatCarry, type CableStep } from './steps.js';

/** A run of a bare tree, as a file asks for it. */
export interface TreeRunInput {
  readonly id: string;
  readonly parent: string | null;
  readonly outM: number;
  readonly backM: number;
  readonly ambientC: number;
  readonly grouped: number;
  readonly laid: Laid;
  readonly lastingA: number;
  readonly usualA: number;
  readonly fuseType: FuseType;
  /** Largest fuse that plug, way, bar or maker allow, A; null: any. */
  readonly maxFuseA: number | null;
  readonly minAreaMm2: number;
  readonly maxAreaMm2: number | null;
  /** Limit of the whole path, per cent; null: only what hangs behind it is limited. */
  readonly limitPercent: number | null;
  /** Volts that its drop is counted against; null: the nominal ones. */
  readonly refV: number | null;
}

export interface TreeInput {
  readonly nominalV: number;
  readonly insulationC: InsulationC;
  readonly tinned: boolean;
  readonly series: CableSeries;
  readonly runs: readonly TreeRunInput[];
}

export interface TreeRunSize {
  readonly size: string;
  readonly areaMm2: number;
  readonly fuseA: number;
  readonly dropPercent: number;
  readonly pathDropPercent: number;
  /** Only where no size met the path's limit: how much above it. */
  readonly missesBy?: number;
}

export type TreeResult =
  { readonly ok: true; readonly runs: Readonly<Record<string, TreeRunSize>>; readonly copperMm2M: number } | { readonly ok: false; readonly error: 'window-closed' | 'too-hot'; readonly run: string };

type Fused = TreeRun<CableStep> & { readonly fuseA: number };

function fused(input: TreeInput, run: TreeRunInput): Fused | 'window-closed' | 'too-hot' {
  const fuseA = smallestFuse(run.fuseType, run.lastingA, run.maxFuseA);
  if (fuseA === null) return 'window-closed';
  const asked = { ...run, insulationC: input.insulationC, tinned: input.tinned, series: input.series, refV: run.refV ?? input.nominalV };
  const [first, ...more] = stepsThatCarry(asked, fuseA);
  return first ? { id: run.id, parent: run.parent, limitPercent: run.limitPercent, steps: [first, ...more], fuseA } : 'too-hot';
}

/** Runs in an order in which each comes after the one it hangs on. */
function fromTheRoot(runs: readonly Fused[]): Fused[] {
  const of = new Map(runs.map((r) => [r.id, r]));
  const depth = (r: Fused): number => (r.parent === null ? 0 : 1 + depth(of.get(r.parent)!));
  return [...runs].sort((a, b) => depth(a) - depth(b));
}

/**
 * A whole tree of runs at the least copper: fuse and smallest size by the lasting current, drop by the usual one and the
 * cable alone, every path within its limit. Parents exist and close no ring (the schema at the door sees to it).
 */
export function sizeTree(input: TreeInput): TreeResult {
  const list: Fused[] = [];
  for (const run of input.runs) {
    const f = fused(input, run);
    if (typeof f === 'string') return { ok: false, error: f, run: run.id };
    list.push(f);
  }
  const ordered = fromTheRoot(list);
  const wide = widened(ordered);
  const chosen = leastCopper(wide);
  const lost = pathLosses(wide, (r) => chosen.get(r.id)!);
  const runs: Record<string, TreeRunSize> = {};
  let copperMm2M = 0;
  for (const r of list) {
    const step = r.steps[chosen.get(r.id)!]!;
    const path = lost.get(r.id)!;
    const over = r.limitPercent === null ? 0 : path - r.limitPercent;
    copperMm2M += step.copper;
    runs[r.id] = {
      size: step.size.size.replace(' mm²', ''),
      areaMm2: step.size.areaMm2,
      fuseA: r.fuseA,
      dropPercent: step.dropPercent,
      pathDropPercent: path,
      ...(over > 1e-9 ? { missesBy: over } : {}),
    };
  }
  return { ok: true, runs, copperMm2M };
}

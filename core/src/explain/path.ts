import { copperKgPerM } from '../cable/index.js';
import { inCircuit, type Fitted, type SizedRun } from '../routes/index.js';

/** One run of a path from source to load, with what it loses at its usual current and the copper that it takes. */
export interface PathPiece {
  readonly run: string;
  readonly number: number;
  /** Where it ends. */
  readonly to: string;
  readonly cable: string;
  readonly areaMm2: number;
  readonly cableV: number;
  readonly jointsV: number;
  readonly percent: number;
  readonly copperKg: number;
}

/** Runs from the source to this one, itself included; a wire that was there before is a path of its own. */
export function pathRuns(run: Fitted, runs: readonly SizedRun[]): Fitted[] {
  const parent = run.spec.parent && !run.spec.existing ? runs.find((r) => r.spec.id === run.spec.parent) : undefined;
  return parent && !parent.spec.existing ? [...pathRuns(inCircuit(parent), runs), run] : [run];
}

/** The way from a source down to the end of a run, piece by piece. */
export function pathPieces(run: SizedRun, runs: readonly SizedRun[]): PathPiece[] {
  return pathRuns(inCircuit(run), runs).map(({ spec, figures: f }) => ({
    run: spec.id,
    number: spec.number,
    to: spec.to.name,
    cable: f.cable,
    areaMm2: f.areaMm2 * f.perPole,
    cableV: f.dropV,
    jointsV: f.jointsV,
    percent: f.dropPercent,
    copperKg: copperKgPerM(f.areaMm2) * f.perPole * (spec.outM + spec.backM),
  }));
}

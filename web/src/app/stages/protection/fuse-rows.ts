import { type Assessment, fuseMarks, type RunFuse, type Settings, type SizedRun } from '@meridex/core';
import type { MarkKind } from '../../pictures/mark';

/** A fuse of a run with its verdict in words. */
export interface FuseRow {
  readonly run: Extract<SizedRun, { ok: true }>;
  /** What the workshop writes on it; empty: it is not of this run. */
  readonly mark: string;
  readonly fuse: RunFuse;
  readonly where: string;
  readonly state: MarkKind;
  readonly say: string;
}

function judged(fuse: RunFuse, backupHolds: boolean): { state: MarkKind; say: string } {
  if (fuse.end.source === 'panels') return { state: 'holds', say: 'isolates' };
  if (fuse.maxA === 0) return { state: 'holds', say: 'guards only' };
  if (fuse.maxA > fuse.breakingA) return fuse.backedBy && backupHolds ? { state: 'look', say: 'backed up' } : { state: 'stop', say: 'cannot break it' };
  if (fuse.fault && !fuse.fault.cableSurvives) return { state: 'stop', say: 'cable burns first' };
  if (fuse.fault && !fuse.fault.clearsIn5s) return { state: 'look', say: 'slow at far end' };
  return { state: 'holds', say: 'holds' };
}

/** The gear that a fuse sits at; of a tail, the run whose fuse it is. */
function whereOf(a: Assessment, run: FuseRow['run'], fuse: RunFuse): string {
  const feed = fuse.of && a.runs.find((r) => r.spec.id === fuse.of);
  if (feed) return `fuse of run ${feed.spec.number}`;
  return (fuse.end.at === 'from' ? run.spec.from.name : run.spec.to.name).replace(/ \d+ Ah$/, '');
}

/** Every fuse of every fitted run. */
export function fuseRows(a: Assessment, { backup, fuseMarks: own }: Pick<Settings, 'backup' | 'fuseMarks'>): FuseRow[] {
  const mark = fuseMarks(own, a.runs);
  return a.runs.flatMap((run) =>
    run.ok ? run.figures.fuses.map((fuse) => ({ run, fuse, mark: fuse.of ? '' : mark(run.spec.id, fuse.end.at), where: whereOf(a, run, fuse), ...judged(fuse, backup !== 'stop') })) : [],
  );
}

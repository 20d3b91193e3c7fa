import { type Assessment, type Design, type Done, type Progress, type Stage, stageProgress, STAGES } from '@meridex/core';

export interface LugState {
  readonly progress: Progress;
  /** Open findings that this stage mends; on Checks, all of them. */
  readonly tag: number;
  readonly stop: boolean;
}

/** Each stage's lug on the trunk: how far it is, and what is open there. */
export function lugsOf(design: Design, a: Assessment, done: Done): Record<Stage, LugState> {
  const progress = stageProgress(design, a, done);
  const entries = STAGES.map((stage): [Stage, LugState] => {
    const open = stage === 'checks' ? a.open : a.open.filter((f) => f.at.stage === stage);
    return [stage, { progress: progress[stage], tag: open.length, stop: open.some((f) => f.severity === 'stop') }];
  });
  return Object.fromEntries(entries) as Record<Stage, LugState>;
}

import type { Assessment, Design, Stage } from '@meridex/core';
import type { Progress } from '../services/jobs.service';

export interface LugState {
  readonly progress: Progress;
  /** Open findings that this stage mends. */
  readonly tag: number;
  readonly stop: boolean;
}

const share = (part: number, whole: number): Progress => (whole > 0 && part >= whole ? 'solid' : part > 0 ? 'half' : 'hollow');

/** Each stage's lug on the trunk: how far it is, and what is open there. */
export function lugsOf(design: Design, a: Assessment, ticked: ReadonlySet<string>, read: ReadonlyMap<string, unknown>): Record<Stage, LugState> {
  const open = (stage: Stage): LugState['tag'] => a.open.filter((f) => f.at.stage === stage).length;
  const stop = (stage: Stage): boolean => a.open.some((f) => f.at.stage === stage && f.severity === 'stop');
  const typed = a.runs.filter((r) => r.spec.lengthFrom === 'typed').length;
  const done = a.fit.filter((s) => ticked.has(s.id)).length;
  const readRows = a.prove.filter((r) => read.has(r.id)).length;
  const progress: Record<Stage, Progress> = {
    brief: design.brief.plate ? 'solid' : 'half',
    loads: a.day.loads.length ? 'solid' : 'hollow',
    supply: a.supply.bank ? 'solid' : 'hollow',
    places: Object.keys(design.places).length ? 'solid' : 'half',
    runs: share(typed, a.runs.length),
    protection: a.runs.length ? 'solid' : 'hollow',
    checks: a.open.length === 0 ? 'solid' : 'half',
    order: done ? 'solid' : 'hollow',
    fit: share(done, a.fit.length),
    prove: share(readRows, a.prove.length),
    'hand-over': readRows > 0 && readRows >= a.prove.length && done >= a.fit.length ? 'half' : 'hollow',
    'look-after': 'hollow',
  };
  const entries = (Object.keys(progress) as Stage[]).map((s): [Stage, LugState] => {
    const tag = s === 'checks' ? a.open.length : open(s);
    const isStop = s === 'checks' ? a.open.some((f) => f.severity === 'stop') : stop(s);
    return [s, { progress: isStop && progress[s] === 'solid' ? 'half' : progress[s], tag, stop: isStop }];
  });
  return Object.fromEntries(entries) as Record<Stage, LugState>;
}

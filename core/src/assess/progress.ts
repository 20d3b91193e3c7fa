import { catalogueOf } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { mainsGap, mainsSide } from '../mains/index.js';
import { allBought, buyingOf } from '../order/index.js';
import type { Stage } from '../rules/index.js';
import type { Assessment } from './assess.js';

/** How far a stage is: untouched, under way, complete. */
export type Progress = 'hollow' | 'half' | 'solid';

/** What was ticked and read, and how far the job is as a whole where that is known. */
export interface Done {
  readonly ticked: { has(stepId: string): boolean };
  readonly read: { has(rowId: string): boolean };
  readonly state?: string;
  /** Rows of the test plan beyond each circuit alone, where they are worked out. */
  readonly plan?: readonly string[];
}

const share = (part: number, whole: number): Progress => (whole > 0 && part >= whole ? 'solid' : part > 0 ? 'half' : 'hollow');

/** Jobs that have left the workshop. */
export const isOut = (state: string | undefined): boolean => state === 'handed over' || state === 'in service' || state === 'closed';

/** The order is done when nothing is left to be ordered, for all vehicles that it is of. */
function bought(design: Design, { order }: Assessment): Progress {
  const got = allBought(design);
  if (!Object.keys(got).length) return 'hollow';
  return buyingOf(order, got, '').counts['to order'] ? 'half' : 'solid';
}

/** Progress of each stage from the design's own content, the ticks and the readings; a stop keeps a stage from complete. */
export function stageProgress(design: Design, a: Assessment, done: Done): Record<Stage, Progress> {
  const ticked = a.fit.filter((s) => done.ticked.has(s.id)).length;
  const toRead = [...a.prove.map((r) => r.id), ...(done.plan ?? [])];
  const read = toRead.filter((id) => done.read.has(id)).length;
  const typed = a.runs.filter((r) => r.spec.lengthFrom === 'typed').length;
  const proved = read > 0 && read === toRead.length && ticked === a.fit.length;
  const progress: Record<Stage, Progress> = {
    brief: design.brief.plate ? 'solid' : 'half',
    loads: a.day.loads.length ? 'solid' : 'hollow',
    // Before anything must run the supply is a first guess.
    supply: a.supply.bank && a.day.loads.length ? 'solid' : 'hollow',
    places: Object.keys(design.places).length ? 'solid' : a.gear.length > 1 ? 'half' : 'hollow',
    runs: share(typed, a.runs.length),
    protection: a.runs.length ? 'solid' : 'hollow',
    checks: a.open.length === 0 && mainsGap(mainsSide(design, catalogueOf(design))) === null ? 'solid' : 'half',
    order: ticked || done.state === 'quoted' || isOut(done.state) ? 'solid' : bought(design, a),
    fit: share(ticked, a.fit.length),
    prove: share(read, toRead.length),
    'hand-over': isOut(done.state) ? 'solid' : proved ? 'half' : 'hollow',
    'look-after': done.state === 'in service' ? 'half' : 'hollow',
  };
  for (const f of a.open) if (f.severity === 'stop' && progress[f.at.stage] === 'solid') progress[f.at.stage] = 'half';
  return progress;
}

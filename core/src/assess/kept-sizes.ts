import type { Catalogue } from '../catalogue/index.js';
import type { InlinePart } from '../circuit/index.js';
import type { Design } from '../design/index.js';
import type { ProveRow } from '../prove/index.js';
import { inSession, keepLastFor, type Session } from '../quantity/index.js';
import type { RunSpec, SizedRun } from '../routes/index.js';
import type { Bank } from '../supply/index.js';
import type { Power } from './power.js';
import { provePlan } from './prove.js';
import { sizeRuns } from './runs.js';

/** All that the sizes of a design hang on, beside its power side. */
interface Asked {
  readonly specs: readonly RunSpec[];
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly second: Bank | null;
  readonly inline: readonly InlinePart[];
}

/** What runs come to, and the readings to take of them; what is asked of them later is kept here too. */
export interface Sizes {
  readonly runs: readonly SizedRun[];
  readonly prove: (readings: Readonly<Record<string, number>>) => readonly ProveRow[];
}

const NO_POINT = { x: 0, y: 0, z: 0 };
const NOWHERE = { zone: '', at: NO_POINT };

/** A run as sizing sees it: its length, air and plugs, not the way it takes nor what is told of it; what is kept cannot hang on that. */
const bare = (spec: RunSpec): RunSpec => ({
  ...spec,
  route: null,
  noWay: null,
  stands: { from: NOWHERE, to: NOWHERE },
  lastingWhy: '',
  usualWhy: '',
  limitWhy: '',
  ambientWhy: '',
  maxWhy: '',
  reason: '',
});

/** A design whose gear stands in its compartments and on no spot there. */
function unmeasured(design: Design): Design {
  const places = Object.fromEntries(Object.entries(design.places).map(([id, p]) => [id, { ...p, on: null }]));
  return { ...design, places, board: null, air: {}, plugs: {}, accepted: {} };
}

function sized({ specs, design, catalogue, second, inline }: Asked, bank: Bank | null): Sizes {
  const runs = sizeRuns(specs, design, bank, second, inline);
  type Readings = Readonly<Record<string, number>>;
  const prove = keepLastFor(
    1,
    (readings: Readings) => readings,
    (of: readonly SizedRun[], readings) => provePlan(design, catalogue, of, inline, readings),
  );
  return { runs, prove: (readings) => prove(runs, readings) };
}

// What else of the design matters is the same where its power side is.
const last = inSession(() =>
  keepLastFor(
    2,
    ({ specs, design, inline }: Asked) => [specs, design.places, design.runs, inline],
    ({ bank }: Power, asked) => sized(asked, bank),
  ),
);

/**
 * The sizes of all runs. A session keeps the last ones by their content: a cable is cut to the decimetre, so most moves of a
 * drag change no length, and sizing is the dearest thing that they would ask for. `power` is that of the whole design.
 */
export function sizesOf(power: Power, asked: Asked, session: Session): Sizes {
  const { runs, prove } = last(session)(power, { ...asked, specs: asked.specs.map(bare), design: unmeasured(asked.design) });
  return { runs: runs.map((r, i): SizedRun => ({ ...r, spec: asked.specs[i]! })), prove };
}

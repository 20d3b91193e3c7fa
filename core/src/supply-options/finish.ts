import { assess } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { editDesign, type Design } from '../design/index.js';
import type { Finding } from '../rules/index.js';

/** Rounds of presses before what is left is left. */
const MOST_ROUNDS = 4;

/** A drafted design with everything pressed that the program knows how to mend, and the stops that stay. */
export interface Finished {
  readonly design: Design;
  readonly stops: readonly Finding[];
}

/** Presses the fix of every stop that has one, until none is left: a draft breaks no rule of ours that it can mend itself. */
export function finish(design: Design, catalogue: Catalogue): Finished {
  let now = design;
  for (let round = 0; ; round++) {
    const stops = assess(now, catalogue).open.filter((f) => f.severity === 'stop');
    const press = stops.find((f) => f.presses.length)?.presses[0];
    const edited = press && round < MOST_ROUNDS ? editDesign(now, press.patch) : null;
    if (!edited?.ok) return { design: now, stops };
    now = edited.design;
  }
}

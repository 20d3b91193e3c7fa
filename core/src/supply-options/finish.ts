import { assess } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { editDesign, type Design } from '../design/index.js';
import type { Finding } from '../rules/index.js';
import { vehicleOf } from '../vehicle/index.js';

/** Rounds of presses before what is left is left. */
const MOST_ROUNDS = 4;

/** A drafted design with everything pressed that the program knows how to mend, and the stops that stay. */
export interface Finished {
  readonly design: Design;
  readonly stops: readonly Finding[];
}

/** Looks whose press is what an electrician fits unasked. */
const USUALLY_FITTED = ['compartment-hot'];

/** Presses what is usually fitted where the space is none in which people sit, unless that brings something new to look at. */
function withUsual(design: Design, catalogue: Catalogue): Design {
  const { zones } = vehicleOf(design);
  const { open } = assess(design, catalogue);
  const known = new Set(open.map((f) => f.key));
  const looks = open.filter((f) => USUALLY_FITTED.includes(f.rule) && !zones.find((z) => z.id === f.at.about)?.people);
  return looks.reduce((now, { presses }) => {
    const edited = presses[0] ? editDesign(now, presses[0].patch) : null;
    return edited?.ok && assess(edited.design, catalogue).open.every((f) => known.has(f.key)) ? edited.design : now;
  }, design);
}

/** Presses the fix of every stop that has one, until none is left: a draft breaks no rule of ours that it can mend itself. */
export function finish(design: Design, catalogue: Catalogue): Finished {
  let now = design;
  for (let round = 0; ; round++) {
    const stops = assess(now, catalogue).open.filter((f) => f.severity === 'stop');
    const press = stops.find((f) => f.presses.length)?.presses[0];
    const edited = press && round < MOST_ROUNDS ? editDesign(now, press.patch) : null;
    if (!edited?.ok) return { design: stops.length ? now : withUsual(now, catalogue), stops };
    now = edited.design;
  }
}

import { assess } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { editDesign, type Design } from '../design/index.js';
import type { Finding, Press } from '../rules/index.js';

/** Rounds of presses before what is left is left. */
const MOST_ROUNDS = 4;

/** A drafted design with everything pressed that the program knows how to mend, and the stops that stay. */
export interface Finished {
  readonly design: Design;
  readonly stops: readonly Finding[];
}

const usualPress = (f: Finding): Press | undefined => f.presses.find((p) => p.usual);

/** A design with a press taken, and what is then to be looked at anew taken in its turn; null: something new stays open. */
function taken(design: Design, catalogue: Catalogue, pressed: Press, known: ReadonlySet<string>, deep = 1): Design | null {
  const edited = editDesign(design, pressed.patch);
  if (!edited.ok) return null;
  const fresh = assess(edited.design, catalogue).open.filter((o) => !known.has(o.key));
  if (!fresh.length) return edited.design;
  const next = deep > 0 ? usualPress(fresh[0]!) : undefined;
  return next ? taken(edited.design, catalogue, next, known, deep - 1) : null;
}

/** Presses what is usually fitted, one after another, unless that brings something new to look at. */
function withUsual(design: Design, catalogue: Catalogue): Design {
  let [now, open] = [design, assess(design, catalogue).open];
  const known = new Set(open.map((f) => f.key));
  const tried = new Set<string>();
  for (;;) {
    const f = open.find((o) => !tried.has(o.key) && usualPress(o));
    if (!f) return now;
    tried.add(f.key);
    const next = taken(now, catalogue, usualPress(f)!, known);
    if (next) [now, open] = [next, assess(next, catalogue).open];
  }
}

/** Presses the fix of every stop that has one, until none is left: a draft breaks no rule of ours that it can mend itself. What is usually fitted is taken too, where asked for. */
export function finish(design: Design, catalogue: Catalogue, usual = true): Finished {
  let now = design;
  for (let round = 0; ; round++) {
    const stops = assess(now, catalogue).open.filter((f) => f.severity === 'stop');
    const press = stops.find((f) => f.presses.length)?.presses[0];
    const edited = press && round < MOST_ROUNDS ? editDesign(now, press.patch) : null;
    if (!edited?.ok) return { design: stops.length || !usual ? now : withUsual(now, catalogue), stops };
    now = edited.design;
  }
}

import { assess } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { editDesign, type Design } from '../design/index.js';
import { Session } from '../quantity/index.js';
import type { Finding, Press } from '../rules/index.js';

/** Rounds of presses before what is left is left. */
const MOST_ROUNDS = 4;

/** A drafted design with everything pressed that the program knows how to mend, and the stops that stay. */
export interface Finished {
  readonly design: Design;
  readonly stops: readonly Finding[];
}

/** Designs that differ little, assessed one after another. */
class Tries {
  private readonly session = new Session();

  constructor(private readonly catalogue: Catalogue) {}

  open(design: Design): readonly Finding[] {
    return assess(design, this.catalogue, { session: this.session }).open;
  }
}

const usualPress = (f: Finding): Press | undefined => f.presses.find((p) => p.usual);

/** A design with a press taken, and what is then to be looked at anew taken in its turn; null: something new stays open. */
function taken(design: Design, tries: Tries, pressed: Press, known: ReadonlySet<string>, deep = 1): Design | null {
  const edited = editDesign(design, pressed.patch);
  if (!edited.ok) return null;
  const fresh = tries.open(edited.design).filter((o) => !known.has(o.key));
  if (!fresh.length) return edited.design;
  const next = deep > 0 ? usualPress(fresh[0]!) : undefined;
  return next ? taken(edited.design, tries, next, known, deep - 1) : null;
}

/** Presses what is usually fitted, one after another, unless that brings something new to look at. */
function withUsual(design: Design, tries: Tries): Design {
  let [now, open] = [design, tries.open(design)];
  const known = new Set(open.map((f) => f.key));
  const tried = new Set<string>();
  for (;;) {
    const f = open.find((o) => !tried.has(o.key) && usualPress(o));
    if (!f) return now;
    tried.add(f.key);
    const next = taken(now, tries, usualPress(f)!, known);
    if (next) [now, open] = [next, tries.open(next)];
  }
}

/** Presses the fix of every stop that has one, until none is left: a draft breaks no rule of ours that it can mend itself. What is usually fitted is taken too, where asked for. */
export function finish(design: Design, catalogue: Catalogue, usual = true): Finished {
  const tries = new Tries(catalogue);
  let now = design;
  for (let round = 0; ; round++) {
    const stops = tries.open(now).filter((f) => f.severity === 'stop');
    const press = stops.find((f) => f.presses.length)?.presses[0];
    const edited = press && round < MOST_ROUNDS ? editDesign(now, press.patch) : null;
    if (!edited?.ok) return { design: stops.length || !usual ? now : withUsual(now, tries), stops };
    now = edited.design;
  }
}

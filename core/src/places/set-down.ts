import type { Face } from '../design/index.js';
import { depthOf, exitMmOf, gearOn, takes, type Gear, type Setting } from './gear.js';
import { freeSpot, outlineOn, type Shades, type Taken, type Turn } from './spot.js';
import { anchor, tries, turnsFor, TURNS, zonesFor } from './tries.js';
import type { Wanted } from './wanted.js';

/** A face where a thing is tried, with so much air around it. */
interface Try {
  readonly face: Face;
  readonly airMm: number;
  /** Only where the face bears it with all that it carries. */
  readonly bears: boolean;
  readonly turns: readonly Turn[];
}

/** Where things alike are tried in one zone; what had no room has none later, since only more is taken. */
interface Search {
  readonly faces: readonly Face[];
  /** The first try that may have room, its turns counted one by one, and the lowest row of it that may. */
  from: number;
  fromMm: number;
  /** The try that `from` is in; null: not looked at yet. */
  at: Try | null;
}

/** What a draft knows while it sets things down one by one. */
export interface Underway {
  readonly done: Map<string, Gear>;
  readonly taken: Taken[];
  readonly shades: Shades;
  /** What each face carries so far, kg. */
  readonly kg: Map<string, number>;
  /** Zones to be tried, of things that bear the same. */
  readonly zones: Map<string, readonly string[]>;
  readonly searches: Map<string, Search>;
}

export function setDown(s: Setting, d: Underway, gear: Gear): void {
  d.done.set(gear.id, gear);
  if (gear.when !== 'later') d.kg.set(gear.face, (d.kg.get(gear.face) ?? 0) + gear.kg);
  d.taken.push(
    ...takes(
      gear,
      s.faces.find((f) => f.id === gear.face)!,
    ),
  );
}

function searchFor(s: Setting, t: Wanted, zone: string, d: Underway): Search {
  const alike = `${zone} ${t.role} ${t.wall} ${t.body.mm.join()} ${t.body.kg} ${t.fixing.airMm} ${t.fixing.stands} ${t.fixing.exit}`;
  let there = d.searches.get(alike);
  if (!there) d.searches.set(alike, (there = { faces: tries(s, t, zone), from: 0, fromMm: 0, at: null }));
  return there;
}

/** With air and within what the face carries; then without air; a face that carries too much comes last, for the rules to find. */
function tryAt(s: Setting, t: Wanted, search: Search, d: Underway): Try {
  const { faces } = search;
  const row = Math.floor(search.from / TURNS.length);
  const face = faces[row % faces.length]!;
  const round = Math.floor(row / faces.length);
  const airMm = round % 2 ? 5 : Math.max(30, t.fixing.airMm);
  return { face, airMm, bears: round < 2, turns: turnsFor(s, t, face, airMm, d.taken) };
}

/** Goes on to the next turn, and after the last one to the next face. */
function next(search: Search): void {
  search.from++;
  search.fromMm = 0;
  if (search.from % TURNS.length === 0) search.at = null;
}

export function draftOne(s: Setting, t: Wanted, zone: string, d: Underway, more: Pick<Gear, 'placed' | 'when'>): Gear | null {
  const search = searchFor(s, t, zone, d);
  const all = 4 * search.faces.length * TURNS.length;
  for (; search.from < all; next(search)) {
    const { face, airMm, bears, turns } = (search.at ??= tryAt(s, t, search, d));
    if (bears && (d.kg.get(face.id) ?? 0) + t.body.kg > face.limitKg) continue;
    const turn = turns[search.from % TURNS.length]!;
    const outline = outlineOn(face, t.body.mm, t.fixing.stands, t.fixing.exit, turn);
    const near = anchor(t, face, s, d.done);
    const spot = freeSpot(face, outline, airMm, d.shades, depthOf(face, s.zones.get(face.zone)!), near, exitMmOf(t.role), near ? 0 : search.fromMm);
    if (!spot) continue;
    if (!near) search.fromMm = spot.rowMm;
    return gearOn(s, t, face, { u: spot.u, v: spot.v, turn }, { ...more, crowded: false });
  }
  const corner = search.faces[0];
  return corner ? gearOn(s, t, corner, { u: 0, v: 0, turn: 0 }, { ...more, crowded: true }) : null;
}

/** In its usual zone where that keeps its weather out and has room, else in the next that does; else in its usual one all the same, for the rules to find. */
export function draftSomewhere(s: Setting, t: Wanted, d: Underway, more: Pick<Gear, 'placed' | 'when'>): Gear | null {
  const alike = `${t.role} ${t.fixing.weather}`;
  const zones = d.zones.get(alike) ?? zonesFor(s, t);
  d.zones.set(alike, zones);
  let last: Gear | null = null;
  for (const zone of zones) {
    last = draftOne(s, t, zone, d, more);
    if (last && !last.crowded) return last;
  }
  return last;
}

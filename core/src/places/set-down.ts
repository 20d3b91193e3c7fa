import type { Face } from '../design/index.js';
import { depthOf, exitMmOf, gearOn, takes, type Gear, type Setting } from './gear.js';
import { freeSpot, outlineOn, type Shades, type Taken, type Turn } from './spot.js';
import { anchor, byHand, tries, turnsFor, TURNS, zonesFor, type Zones } from './tries.js';
import { USE_MM } from './use.js';
import type { Wanted } from './wanted.js';

/** Room for the cables of thin ones, mm: lug and bend of 35 mm² and less. */
const TIGHT_EXIT_MM = 120;

/** Rounds over the faces of a zone: with air and room for any cable, for thinner ones, without air; and all again where it is no good place. */
const ROUNDS = { good: 3, all: 6 } as const;

/** A face where a thing is tried, with so much air around it. */
interface Try {
  readonly face: Face;
  readonly airMm: number;
  readonly exitMm: number;
  /** Only on a face that is a good place for it. */
  readonly good: boolean;
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
  readonly zones: Map<string, Zones>;
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

function tryAt(s: Setting, t: Wanted, search: Search, d: Underway): Try {
  const { faces } = search;
  const row = Math.floor(search.from / TURNS.length);
  const face = faces[row % faces.length]!;
  const round = Math.floor(row / faces.length);
  const airMm = round % ROUNDS.good === 2 ? 5 : Math.max(30, t.fixing.airMm);
  const exitMm = round % ROUNDS.good === 1 ? Math.min(TIGHT_EXIT_MM, exitMmOf(t.role)) : exitMmOf(t.role);
  return { face, airMm, exitMm, good: round < ROUNDS.good, turns: turnsFor(s, t, face, airMm, d.taken) };
}

/** No good place: a face that would carry too much, a floor for what hands reach for. */
const isPoor = (t: Wanted, face: Face, d: Underway): boolean => (d.kg.get(face.id) ?? 0) + t.body.kg > face.limitKg || (byHand(t) && face.normal === '+z');

/** On a wall, but out of a hand's easy reach. */
const isAwkward = (t: Wanted, face: Face, middleMm: number): boolean => byHand(t) && (face.at.z + middleMm < USE_MM.low || face.at.z + middleMm > USE_MM.high);

/** Goes on to the next turn, and after the last one to the next face. */
function next(search: Search): void {
  search.from++;
  search.fromMm = 0;
  if (search.from % TURNS.length === 0) search.at = null;
}

/** In one zone, in as many rounds over its faces as are asked for; a corner where it finds no room. */
export function draftOne(s: Setting, t: Wanted, zone: string, d: Underway, more: Pick<Gear, 'placed' | 'when'>, rounds: number = ROUNDS.all): Gear | null {
  const search = searchFor(s, t, zone, d);
  const all = rounds * search.faces.length * TURNS.length;
  for (; search.from < all; next(search)) {
    const { face, airMm, exitMm, good, turns } = (search.at ??= tryAt(s, t, search, d));
    if (good && isPoor(t, face, d)) continue;
    const turn = turns[search.from % TURNS.length]!;
    const outline = outlineOn(face, t.body.mm, t.fixing.stands, t.fixing.exit, turn);
    const near = anchor(t, face, s, d.done);
    const spot = freeSpot(face, outline, { airMm, taken: d.shades, depthMm: depthOf(face, s.zones.get(face.zone)!) }, { near, exitMm, fromMm: near ? 0 : search.fromMm });
    if (!spot || (good && isAwkward(t, face, spot.v + outline.h / 2))) continue;
    if (!near) search.fromMm = spot.rowMm;
    return gearOn(s, t, face, { u: spot.u, v: spot.v, turn }, { ...more, crowded: false });
  }
  const corner = search.faces[0];
  return corner ? gearOn(s, t, corner, { u: 0, v: 0, turn: 0 }, { ...more, crowded: true }) : null;
}

/**
 * In its usual zone where that keeps its weather out, has room and bears it, else in the next that does; else in a poor
 * place, and at last in its usual zone all the same, for the rules to find.
 */
export function draftSomewhere(s: Setting, t: Wanted, d: Underway, more: Pick<Gear, 'placed' | 'when'>): Gear | null {
  const alike = `${t.role} ${t.fixing.weather}`;
  const zones = d.zones.get(alike) ?? zonesFor(s, t);
  d.zones.set(alike, zones);
  for (const rounds of [ROUNDS.good, ROUNDS.all])
    for (const zone of zones.fit) {
      const there = draftOne(s, t, zone, d, more, rounds);
      if (there && !there.crowded) return there;
    }
  return draftOne(s, t, zones.usual, d, more);
}

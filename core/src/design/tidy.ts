import type { Design } from './schema.js';

/** Ids under which runs, places and findings know a load, a group and a traced wire. */
const OWN: readonly (readonly [place: string, run: string, of: (d: Design) => Readonly<Record<string, unknown>>])[] = [
  ['load:', 'load-', (d) => d.loads],
  ['group:', 'group-', (d) => d.groups],
  ['wire:', 'wire-', (d) => d.brief.traces],
];

function dropFrom(all: Record<string, unknown>, prefix: string, known: Readonly<Record<string, unknown>>): void {
  for (const key of Object.keys(all)) if (key.startsWith(prefix) && !(key.slice(prefix.length) in known)) delete all[key];
}

/**
 * What hung on a thing goes with it: a deleted load leaves no place, run, signature or "never with" behind, a deleted
 * group or traced wire gives its loads a way of their own. Changes the draft in place.
 */
export function tidy(d: Design): void {
  for (const [place, run, of] of OWN) {
    dropFrom(d.places, place, of(d));
    dropFrom(d.runs, run, of(d));
    for (const key of Object.keys(d.accepted)) {
      const about = key.slice(key.indexOf(':') + 1);
      const id = about.startsWith(place) ? about.slice(place.length) : about.startsWith(run) ? about.slice(run.length) : null;
      if (id !== null && !(id.split(':')[0]! in of(d))) delete d.accepted[key];
    }
  }
  for (const load of Object.values(d.loads)) {
    const { feed } = load;
    if ((feed.by === 'group' && !(feed.group in d.groups)) || (feed.by === 'wire' && !(feed.wire in d.brief.traces))) load.feed = { by: 'own' };
    for (const id of Object.keys(load.neverWith)) if (!(id in d.loads)) delete load.neverWith[id];
  }
}

/** Another vehicle: what was placed, laid and measured in the old one stays behind with it. */
export function leaveVehicle(d: Design): void {
  d.vehicle = null;
  d.places = {};
  d.board = null;
  d.plugs = {};
  d.runs = {};
}

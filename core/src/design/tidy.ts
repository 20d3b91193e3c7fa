import { aboutOf, namedBy, withoutDetail } from './refs.js';
import type { Design } from './schema.js';

/** Whether what a key names is no longer there; keys of other things stay. */
function isGone(d: Design, key: string): boolean {
  const ref = namedBy(key);
  if (!ref) return false;
  const of: Readonly<Record<string, unknown>> = ref.in === 'loads' ? d.loads : ref.in === 'groups' ? d.groups : d.brief.traces;
  return !(ref.id in of) && !(withoutDetail(ref).id in of);
}

/**
 * What hung on a thing goes with it: a deleted load leaves no place, run, signature or "never with" behind, a deleted
 * group or traced wire gives its loads a way of their own. Changes the draft in place.
 */
export function tidy(d: Design): void {
  for (const all of [d.places, d.runs]) for (const key of Object.keys(all)) if (isGone(d, key)) delete all[key];
  for (const key of Object.keys(d.accepted)) if (isGone(d, aboutOf(key))) delete d.accepted[key];
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

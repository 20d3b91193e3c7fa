import { aboutOf, gearKey, namedBy, refTo, withoutDetail } from './refs.js';
import { nothingSaid } from './mains-schema.js';
import { OWN } from './in-job.js';
import type { Coupling, Design, FurtherVehicle } from './schema.js';

/** Whether what a key names is no longer there; keys of other things stay. */
function isGone(d: Design | FurtherVehicle, key: string): boolean {
  const ref = namedBy(key);
  if (!ref) return false;
  const of: Readonly<Record<string, unknown>> = { loads: d.loads, groups: d.groups, existing: d.brief.existing }[ref.in as string] ?? d.brief.traces;
  return !(ref.id in of) && !(withoutDetail(ref).id in of);
}

/**
 * What hung on a thing goes with it: a deleted load leaves no place, run, core, signature or "never with" behind, a deleted
 * group or traced wire gives its loads a way of their own, a vehicle that goes leaves no coupling
 * and no further rig in its body. Changes the draft in place.
 */
export function tidy(job: Design): void {
  for (const d of [job, ...Object.values(job.vehicles)]) tidyVehicle(d);
  for (const [id, v] of Object.entries(job.vehicles)) {
    const body = v.within === null || v.within === OWN ? undefined : job.vehicles[v.within];
    if (body && body.within !== null) v.within = body.within;
    else if (!body && v.within !== null && v.within !== OWN) delete job.vehicles[id];
  }
  const there = (id: string): boolean => id === OWN || id in job.vehicles;
  const outletGone = ({ from, outlet }: Coupling): boolean => outlet !== null && !(outlet in (from === OWN ? job : job.vehicles[from]!).loads);
  const inletGone = ({ to, inlet }: Coupling): boolean => inlet !== null && !(inlet in (to === OWN ? job : job.vehicles[to]!).inlets);
  for (const [id, c] of Object.entries(job.couplings)) if (!there(c.from) || !there(c.to) || outletGone(c) || inletGone(c)) delete job.couplings[id];
}

/** Outputs switch what is there, meters measure it, senders report to units that are. */
function tidyMonitors({ monitors, loads, banks, converters, arrays }: Design | FurtherVehicle): void {
  const isThere = (id: string): boolean => [loads, banks, converters, arrays].some((all) => id in all);
  for (const m of Object.values(monitors)) {
    if (m.measures !== null && !isThere(m.measures)) m.measures = null;
    const left = m.switches.filter((id) => id in loads);
    if (left.length < m.switches.length) m.switches = left;
    if (m.shownBy !== null && !(m.shownBy in monitors)) m.shownBy = null;
    if (m.when && !(m.when.of in monitors)) m.when = null;
  }
}

function tidyVehicle(d: Design | FurtherVehicle): void {
  tidyMonitors(d);
  for (const all of [d.places, d.runs]) for (const key of Object.keys(all)) if (isGone(d, key)) delete all[key];
  for (const key of Object.keys(d.accepted)) if (isGone(d, aboutOf(key))) delete d.accepted[key];
  for (const [id, m] of Object.entries(d.multicores)) {
    const left = m.runs.filter((key) => !isGone(d, key));
    if (left.length === 0) delete d.multicores[id];
    else if (left.length < m.runs.length) m.runs = left;
  }
  for (const load of Object.values(d.loads)) {
    const { feed } = load;
    if ((feed.by === 'group' && !(feed.group in d.groups)) || (feed.by === 'wire' && !(feed.wire in d.brief.traces))) load.feed = { by: 'own' };
    for (const id of Object.keys(load.neverWith)) if (!(id in d.loads)) delete load.neverWith[id];
  }
}

/** The load that the fans of a space are, and the key of its place. */
export const fanLoad = (zone: string): string => `fan-${zone}`;
export const fanPlace = (zone: string): string => gearKey(refTo('loads', fanLoad(zone)));

/** Another vehicle: what was placed, laid and measured in the old one stays behind with it. */
export function leaveVehicle(d: Design): void {
  d.vehicle = null;
  d.places = {};
  d.board = null;
  for (const zone of Object.keys(d.air)) delete d.loads[fanLoad(zone)];
  d.air = {};
  d.mains = nothingSaid();
  d.plugs = {};
  d.runs = {};
  d.multicores = {};
}

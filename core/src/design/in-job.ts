import { type Patch } from './edit.js';
import { OF_VEHICLE } from './of-vehicle-schema.js';
import type { Design, FurtherVehicle } from './schema.js';

/** The vehicle that a job began with, among the vehicles of the job. */
export const OWN = 'own';

/** Vehicles of a job in their order, the one it began with first. @example vehicleIds(blankDesign('Nobody')) // ['own'] */
export const vehicleIds = ({ vehicles }: Pick<Design, 'vehicles'>): readonly string[] => [
  OWN,
  ...Object.entries(vehicles)
    .sort(([, a], [, b]) => a.order - b.order)
    .map(([id]) => id),
];

/** True where a job holds more than the vehicle it began with. */
export const isJoined = (job: Design): boolean => Object.keys(job.vehicles).length > 0;

/** Couplings in their order. */
export const couplingsOf = ({ couplings }: Pick<Design, 'couplings'>) => Object.entries(couplings).sort(([, a], [, b]) => a.order - b.order);

/** The vehicle in whose body a rig of the job stands: itself, unless it is a further rig in that of another. */
export function bodyOf({ vehicles }: Pick<Design, 'vehicles'>, id: string): string {
  const within = id === OWN ? null : (vehicles[id]?.within ?? null);
  return within === null || (within !== OWN && !(within in vehicles)) ? id : within;
}

/** Rigs that stand in one body, in their order; the first is the vehicle's own. */
export const rigsIn = (job: Pick<Design, 'vehicles'>, body: string): readonly string[] => vehicleIds(job).filter((id) => bodyOf(job, id) === body);

/** Vehicles whose engines may charge a vehicle’s rig by a plug, the usual one first; none: its own engine, or the one that its own picture shows. */
export const enginesFor = (job: Pick<Design, 'couplings' | 'vehicles'>, id: string): readonly string[] =>
  couplingsOf(job).flatMap(([, c]) => (c.carries === 'charge' && c.to === bodyOf(job, id) ? [c.from] : []));

/** The vehicle whose engine charges a vehicle’s rig: itself, or the one at the front of the chain of plugs. */
export function engineOf(job: Design, id: string, by?: string): string {
  const body = bodyOf(job, id);
  const seen = new Set<string>([body]);
  for (let at = body; ;) {
    const next = at === body && by !== undefined ? by : enginesFor(job, at).find((v) => v === OWN || v in job.vehicles);
    if (next === undefined || seen.has(next)) return at;
    seen.add(next);
    at = bodyOf(job, next);
  }
}

/** What a design says of one of its vehicles, as a further one holds it. */
function held(job: Design, id: string): Omit<FurtherVehicle, 'order' | 'name' | 'within'> {
  return id === OWN ? job : job.vehicles[id]!;
}

/**
 * One vehicle of a job as a design of its own, over which everything else reckons: its customer, trip, money, settings
 * and own parts are the job’s, and the engine is that of the vehicle which charges it. `by`: of several that it may be
 * plugged into, another than the usual one. A further rig in the body of another has that body. A job of one vehicle is
 * that design itself.
 * @example vehicleIn(blankDesign('Nobody'), 'own').brief.vehicleV // 12
 */
export function vehicleIn(job: Design, id: string, by?: string): Design {
  if (!isJoined(job)) return job;
  const own = held(job, id);
  const engine = held(job, engineOf(job, id, by));
  const body = held(job, bodyOf(job, id));
  const { customer, trip, budget } = job.brief;
  const { vehicleV, alternator } = engine.brief;
  const { startingAh, parkedMa } = engine.supply;
  return {
    ...(Object.fromEntries(Object.keys(OF_VEHICLE).map((key) => [key, own[key as keyof typeof own]])) as Pick<Design, keyof typeof OF_VEHICLE>),
    schemaVersion: job.schemaVersion,
    vehicle: body.vehicle,
    brief: { ...own.brief, customer, trip, budget, vehicleV, alternator, vehicleKind: body.brief.vehicleKind, plate: body.brief.plate },
    supply: { ...own.supply, startingAh, parkedMa },
    parts: job.parts,
    settings: job.settings,
    vehicles: {},
    couplings: {},
  };
}

const JOB_WIDE = ['/schemaVersion', '/brief/customer', '/brief/trip', '/brief/budget', '/parts', '/settings', '/vehicles', '/couplings'];
const OF_ENGINE = ['/brief/vehicleV', '/brief/alternator', '/supply/startingAh', '/supply/parkedMa'];

const OF_BODY = ['/brief/vehicleKind', '/brief/plate', '/vehicle'];

const within = (path: string, places: readonly string[]): boolean => places.some((p) => path === p || path.startsWith(`${p}/`));

/** Where a path of a vehicle’s design stands in the job. @example pathInJob(blankDesign('Nobody'), 'caravan', '/loads/tv') // '/vehicles/caravan/loads/tv' */
export function pathInJob(job: Design, id: string, path: string): string {
  if (within(path, JOB_WIDE)) return path;
  const holder = within(path, OF_ENGINE) ? engineOf(job, id) : within(path, OF_BODY) ? bodyOf(job, id) : id;
  return holder === OWN ? path : `/vehicles/${holder}${path}`;
}

/** An edit of one vehicle’s design as an edit of the job. */
export const patchInJob = (job: Design, id: string, patch: Patch): Patch =>
  patch.map((o) => {
    const path = pathInJob(job, id, o.path);
    return 'from' in o ? { ...o, path, from: pathInJob(job, id, o.from) } : { ...o, path };
  });

/** A design as a further vehicle of a job: without what is the job’s. */
export function asFurther(design: Design, order: number, name: string): FurtherVehicle {
  const { customer: _c, trip: _t, budget: _b, ...brief } = design.brief;
  return { order, name, within: null, ...(Object.fromEntries(Object.keys(OF_VEHICLE).map((key) => [key, design[key as keyof typeof OF_VEHICLE]])) as Pick<Design, keyof typeof OF_VEHICLE>), brief };
}

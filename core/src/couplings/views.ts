import type { Catalogue } from '../catalogue/index.js';
import { bodyOf, couplingsOf, engineOf, enginesFor, isJoined, OWN, rigsIn, vehicleIds, vehicleIn, type Coupling, type Design } from '../design/index.js';
import { dcInletTakesW, inletTakesW } from '../plant/index.js';
import { dayLoad, spansTogether, type HourSpan } from '../loads/index.js';
import { bankOf, vehicleChargeA } from '../supply/index.js';
import { vehicleOf } from '../vehicle/index.js';

const NTH = ['first', 'second', 'third', 'fourth', 'fifth'];

/** What a vehicle of a job, or a further rig in its body, is called: as typed, else by its kind, in short where another of the job is beside it. */
export function vehicleName(job: Design, id: string): string {
  const typed = id === OWN ? '' : job.vehicles[id]!.name;
  const { name } = vehicleOf(vehicleIn(job, id));
  const body = bodyOf(job, id);
  if (body !== id && !typed) return `${vehicleName(job, body)}, ${NTH[rigsIn(job, body).indexOf(id)] ?? 'a further'} rig`;
  return typed || (isJoined(job) ? name.split(',')[0]! : name);
}

/** True of a vehicle that has a rig of its own; one without only tows, carries or charges others. */
export const hasRig = (design: Design): boolean => Object.keys(design.banks).length > 0 || Object.keys(design.loads).length > 0;

/** What a vehicle's chargers want of the engine that charges it on the road, A. */
function wantsA(job: Design, id: string, catalogue: Catalogue): number {
  const design = vehicleIn(job, id);
  const bank = bankOf(design, catalogue);
  return bank ? vehicleChargeA(design, catalogue, bank).wanted.roadA : 0;
}

/** What the chargers of all other vehicles want of the engine that charges this one, A. Of vehicles that hang on one plug in turn, each is counted: nobody knows which hangs on it. */
export function sharedA(job: Design, id: string, catalogue: Catalogue, by?: string): number {
  const engine = engineOf(job, id, by);
  const others = vehicleIds(job).filter((v) => v !== id && (engineOf(job, v) === engine || enginesFor(job, v).includes(engine)));
  return others.reduce((sum, v) => sum + wantsA(job, v, catalogue), 0);
}

/** Hours in which a lead's outlet is on, from the load that it is. */
export function leadHours(job: Design, { from, outlet }: Coupling): readonly HourSpan[] {
  const load = outlet === null ? undefined : vehicleIn(job, from).loads[outlet];
  return load ? dayLoad(outlet!, load, { nominalV: 12, drivingH: 0, mainsH: 0, inverterW: null, ambientC: 25 }).wantedSpans : [];
}

/** True of a coupling that is a lead from a bank, for 230 V or DC. */
export const isLead = (c: Pick<Coupling, 'carries'>): boolean => c.carries !== 'charge';

/** What charges at the end of a lead draws from it, W. */
export function leadTakesW(taker: Design, catalogue: Catalogue, { carries, inlet }: Coupling): number {
  if (inlet === null) return 0;
  if (carries === 'mains') return inletTakesW(taker, catalogue, inlet);
  return dcInletTakesW(taker, catalogue, inlet, bankOf(taker, catalogue)?.absorptionV ?? 0);
}

/** Leads of a job, with their ids. */
export const leadsIn = (job: Design): readonly (readonly [id: string, lead: Coupling])[] => couplingsOf(job).filter(([, c]) => isLead(c));

/** Leads of other vehicles into this one's inlets. */
const leadsInto = (job: Design, id: string): readonly Coupling[] => leadsIn(job).flatMap(([, c]) => (c.to === id ? [c] : []));

/**
 * One vehicle of a job as a design of its own, with what reaches it from the others save what its own leads give: the
 * engine that charges it, what their chargers want of that, and the hours in which their leads feed its inlets.
 */
export function reached(job: Design, id: string, catalogue: Catalogue, by?: string): Design {
  if (!isJoined(job)) return job;
  const design = vehicleIn(job, id, by);
  const otherChargersA = design.supply.otherChargersA + sharedA(job, id, catalogue, by);
  const inlets = Object.fromEntries(
    Object.entries(design.inlets).map(([key, inlet]) => {
      const fed = leadsInto(job, id).filter((c) => c.inlet === key);
      return [key, { ...inlet, hours: fed.reduce<readonly HourSpan[]>((all, c) => spansTogether(all, leadHours(job, c)), inlet.hours).map(([a, b]): [number, number] => [a, b]) }];
    }),
  );
  // The field takes 300 A; long before that every alternator is found to be overcommitted.
  return { ...design, supply: { ...design.supply, otherChargersA: Math.min(300, otherChargersA) }, inlets };
}

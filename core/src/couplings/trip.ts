import { inverterEfficiency, type Catalogue } from '../catalogue/index.js';
import { engineOf, vehicleIds, vehicleIn, type Coupling, type Design } from '../design/index.js';
import { alternatorBudget, alternatorOf, bankOf, driveVolts, leadChargersOf, mainsChargersOf, type Bank } from '../supply/index.js';
import { inverterOf, plant } from '../plant/index.js';
import { jobOfDesign } from '../trip-analysis/index.js';
import { rigTripSchema, type RigTrip } from '../rig-trip/index.js';
import type { TripBank, TripJob } from '../trip/index.js';
import { isLead, leadHours, leadsIn, reached } from './views.js';

/** Efficiency of a charger from the alternator to the bank, as the law of the trip plans it. */
const CHARGER_EFFICIENCY = 0.88;

type Said = Parameters<typeof rigTripSchema.parse>[0] & {
  readonly vehicles: object[];
  readonly arrays: object[];
  readonly inlets: object[];
  readonly banks: object[];
  readonly selectors: object[];
  readonly loads: object[];
  readonly chargers: object[];
};

/** A vehicle's own trip, and its watts at the volts of its bank: a job is of one 12 V block. */
interface Part {
  readonly id: string;
  readonly job: TripJob;
  readonly blocks: number;
}

/** Id, in the words of the rig’s law, of a vehicle’s panels on one regulator on one kind of day; both counted from 0, panels in a trip’s order. */
export const sunId = (vehicle: string, regulator: number, kind: number): string => `${vehicle} sun ${regulator} ${kind}`;

/** Id of a vehicle’s second bank in the words of the rig’s law; the first goes by the vehicle’s own. */
export const secondId = (vehicle: string): string => `${vehicle} second`;
export const loadsSelector = (vehicle: string): string => `${vehicle} loads`;
export const chargeSelector = (vehicle: string): string => `${vehicle} charge`;

/** What loads and chargers of a vehicle hang on: its bank, or a selector between the two, of which the chargers may have one of their own. */
function hangsOn({ id, job }: Part): { readonly loads: object; readonly chargers: object } {
  if (!job.second) return { loads: { bank: id }, chargers: { bank: id } };
  const loads = { selector: loadsSelector(id) };
  return { loads, chargers: job.chargesApart ? { selector: chargeSelector(id) } : loads };
}

/** Its banks, and how the selectors between them are turned. */
function sayBanks(said: Said, { id, job, blocks }: Part): void {
  const bank = (of: string, { chemistry, capacityAh, startSoc }: TripBank): object => ({
    id: of,
    nominalV: 12 * blocks,
    chemistry,
    capacityAh,
    startSoc,
    ambientC: job.ambientC,
    cutoff: { openV: job.cutoff.openV * blocks, closeV: job.cutoff.closeV * blocks },
    reserveSoc: job.reserveSoc,
  });
  said.banks.push(bank(id, job.bank));
  if (!job.second) return;
  said.banks.push(bank(secondId(id), job.second));
  const banks = [id, secondId(id)];
  said.selectors.push({ id: loadsSelector(id), banks, rule: job.chargesApart ? 'reserve' : 'reserve or full' });
  if (job.chargesApart) said.selectors.push({ id: chargeSelector(id), banks, rule: 'charge' });
}

/** Days on which a kind of day holds. */
const daysOfKind = (job: TripJob, kind: number): number[] => job.kindOfDay.flatMap((k, day) => (k === kind ? [day] : []));

/** Watts that an engine has left for all chargers on it, on the road and hot. */
function budgetW(design: Design): number {
  const { leftCruiseA } = alternatorBudget(alternatorOf(design).ratedA, { idleA: 0, roadA: 0 }, design.brief.alternator.vehicleA ?? undefined);
  return leftCruiseA * driveVolts(design).cruiseV;
}

/** Everything of one vehicle in the words of the rig's law; what differs from day to day is said once for each kind of day. */
function sayPart(said: Said, part: Part, engine: string, outlets: ReadonlySet<string>): void {
  const { id, job, blocks } = part;
  const on = hangsOn(part);
  sayBanks(said, part);
  job.kinds.forEach((kind, k) => {
    const onDays = daysOfKind(job, k);
    for (const l of kind.loads) if (!outlets.has(l.id)) said.loads.push({ ...l, value: l.kind === 'power' ? l.value * blocks : l.value, ...on.loads, onDays });
    const inputs: object[] = [];
    const sun = (watts: readonly number[], maxA: number | null, startBelowSoc: number | null, n: number): void => {
      const array = sunId(id, n, k);
      said.arrays.push({ id: array, sunWatts: watts.map((w) => w * blocks), onDays });
      inputs.push({ array, maxA, startBelowSoc });
    };
    if (kind.sunWatts) sun(kind.sunWatts, job.sunMaxA, job.startBelow, 0);
    kind.besideW.forEach((watts, n) => sun(watts, job.beside[n]!.maxA, job.beside[n]!.startBelow, n + 1));
    if (kind.mainsA > 0 && kind.mainsHours.length) {
      said.inlets.push({ id: `${id} mains ${k}`, hours: kind.mainsHours, onDays });
      inputs.push({ inlet: `${id} mains ${k}`, maxA: kind.mainsA });
    }
    for (const [n, lead] of (kind.leads ?? []).entries())
      if (lead.amps > 0 && lead.hours.length) {
        said.inlets.push({ id: `${id} lead ${n} ${k}`, hours: lead.hours, onDays });
        inputs.push({ inlet: `${id} lead ${n} ${k}`, maxA: lead.amps });
      }
    if (kind.alternatorA > 0 && kind.driveHours.length) inputs.push({ vehicle: `${engine} engine ${k}`, maxA: kind.alternatorA, efficiency: CHARGER_EFFICIENCY });
    // One output for sun and vehicle: the first in order, topped up by the other.
    const [first, ...rest] = inputs;
    const shared = job.shared && kind.sunWatts ? inputs.filter((i) => i === first || 'vehicle' in i) : [];
    if (shared.length > 1) {
      const ordered = job.shared!.way === 'vehicle first' ? [...shared].reverse() : shared;
      said.chargers.push({ id: `${id} ${k}`, ...on.chargers, rule: job.shared!.way === 'sun first' ? 'topped up' : 'one at a time', outputA: job.shared!.outputA, inputs: ordered });
      rest.filter((i) => !shared.includes(i)).forEach((i, n) => said.chargers.push({ id: `${id} ${k} ${n + 2}`, ...on.chargers, rule: 'topped up', inputs: [i] }));
    } else inputs.forEach((i, n) => said.chargers.push({ id: `${id} ${k} ${n + 1}`, ...on.chargers, rule: 'topped up', inputs: [i] }));
  });
}

/** What takes at the end of a lead: amps into its bank, the efficiency from the giving bank to the lead, and from the lead to the taking one. */
interface Taking {
  readonly outputA: number;
  readonly giving: number;
  readonly taking: number;
}

/** Over 230 V: through the inverter of one and the chargers at the inlet of the other. */
function overMains(giver: Design, taker: Design, bank: Bank, catalogue: Catalogue, { inlet }: Coupling): Taking | null {
  const inverter = inverterOf(giver, catalogue)?.ports.mainsOut;
  const hung = new Set(
    plant(taker, catalogue)
      .converters.filter((x) => x.inputs.some((i) => i.by === 'inlet' && i.ref.id === inlet))
      .map((x) => x.ref.id),
  );
  const chargers = mainsChargersOf(taker, catalogue).filter((m) => hung.has(m.unit));
  const [outputA, acW] = [chargers.reduce((s, m) => s + m.outputA, 0), chargers.reduce((s, m) => s + m.acW, 0)];
  return inverter ? { outputA, giving: inverterEfficiency(acW / inverter.ratedW), taking: Math.min(1, (outputA * bank.absorptionV) / acW) } : null;
}

/** Over DC: the chargers at the inlet alone stand between the two banks. */
function overDc(taker: Design, catalogue: Catalogue, { inlet }: Coupling): Taking {
  const chargers = leadChargersOf(taker, catalogue).filter((c) => c.from.id === inlet);
  const outputA = chargers.reduce((s, c) => s + c.port.outputA * c.share, 0);
  const inA = chargers.reduce((s, c) => s + (c.port.outputA * c.share) / c.port.efficiency, 0);
  return { outputA, giving: 1, taking: inA > 0 ? outputA / inA : 1 };
}

/** A lead from bank to bank, with the losses at both of its ends. */
function sayLead(said: Said, job: Design, catalogue: Catalogue, { id, c, gives, takes: to }: { readonly id: string; readonly c: Coupling; readonly gives: Part; readonly takes: Part }): void {
  const [giver, taker] = [vehicleIn(job, c.from), vehicleIn(job, c.to)];
  const bank = bankOf(taker, catalogue);
  const takes = bank && (c.carries === 'dc' ? overDc(taker, catalogue, c) : overMains(giver, taker, bank, catalogue, c));
  if (!takes || takes.outputA <= 0) return;
  said.chargers.push({
    id,
    ...hangsOn(to).chargers,
    rule: 'own limits',
    inputs: [{ ...hangsOn(gives).loads, maxA: takes.outputA, hours: leadHours(job, c), floorSoc: c.floorSoc, inverterEfficiency: takes.giving, chargerEfficiency: takes.taking }],
  });
}

/**
 * The trip of all banks of a job together, as the law of the whole rig takes it; null while no bank is there. Its air is
 * that of the day, not of the hour: a bank that is too cold to charge at dawn is locked in its own trip alone.
 */
export function joinedTrip(job: Design, catalogue: Catalogue): RigTrip | null {
  const leads = leadsIn(job);
  // Without the leads, which the law reckons itself.
  const bare: Design = { ...job, couplings: Object.fromEntries(Object.entries(job.couplings).filter(([, c]) => !isLead(c))) };
  const parts = vehicleIds(job).flatMap((id): Part[] => {
    const design = reached(bare, id, catalogue);
    const trip = jobOfDesign(design, catalogue);
    return trip ? [{ id, job: trip, blocks: bankOf(design, catalogue)!.inSeries }] : [];
  });
  const [first] = parts;
  if (!first) return null;
  const said: Said = { vehicles: [], arrays: [], inlets: [], banks: [], selectors: [], loads: [], chargers: [] };
  for (const engine of new Set(parts.map((p) => engineOf(job, p.id))))
    first.job.kinds.forEach(
      (kind, k) =>
        kind.driveHours.length && said.vehicles.push({ id: `${engine} engine ${k}`, driveHours: kind.driveHours, budgetW: budgetW(vehicleIn(job, engine)), onDays: daysOfKind(first.job, k) }),
    );
  const outletsIn = (id: string): ReadonlySet<string> => new Set(leads.flatMap(([, c]) => (c.outlet === null || c.from !== id ? [] : [c.outlet])));
  for (const part of parts) sayPart(said, part, engineOf(job, part.id), outletsIn(part.id));
  for (const [id, c] of leads) {
    const [gives, takes] = [parts.find((p) => p.id === c.from), parts.find((p) => p.id === c.to)];
    if (gives && takes) sayLead(said, job, catalogue, { id, c, gives, takes });
  }
  return rigTripSchema.parse({ stepS: first.job.stepS, days: first.job.days, clearness: first.job.clearness, ...said });
}

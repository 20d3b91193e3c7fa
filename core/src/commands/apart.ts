import type { Catalogue } from '../catalogue/index.js';
import { asFurther, blankDesign, bodyOf, copyDesign, leaveVehicle, OWN, type rigOf, vehicleIds, type Design } from '../design/index.js';
import { FIRST_BANK } from '../plant/index.js';
import { ALL_DAY, dcLead, leadsTo } from './leads.js';
import { freshAmong, lastOrder } from './things.js';

type Rig = ReturnType<typeof rigOf>;
type Held = Rig & Pick<Design, 'supply'> & { readonly brief: Pick<Design['brief'], 'vehicleKind'> };

const picked = <T>(all: Record<string, T>, keep: (key: string, value: T) => boolean): Record<string, T> => Object.fromEntries(Object.entries(all).filter(([k, v]) => keep(k, v)));

type Moved = Pick<Rig, 'banks' | 'converters' | 'arrays' | 'links' | 'inlets' | 'monitors'>;

/** True of a box that one of some converters hangs on, straight or over others. */
const feeds = (rig: Rig, id: string, some: Rig['converters'], past: readonly string[] = []): boolean =>
  !past.includes(id) &&
  Object.entries(rig.converters).some(([other, c]) => c.from?.in === 'converters' && c.from.id === id && (other in some || (c.bank === null && feeds(rig, other, some, [...past, id]))));

/** Everything that charges a bank, draws on it, ties it or measures it. */
function hangsOn(rig: Rig, bank: string): Moved {
  const charging = picked(rig.converters, (_, c) => c.bank === bank);
  // A box that feeds one of them alone goes along.
  const converters = picked(rig.converters, (id, c) => id in charging || (c.bank === null && feeds(rig, id, charging)));
  return {
    banks: { [bank]: rig.banks[bank]! },
    converters,
    arrays: picked(rig.arrays, (_, a) => a.into !== null && (a.into.id === bank || a.into.id in converters)),
    links: picked(rig.links, (_, l) => l.bank === bank),
    inlets: picked(rig.inlets, (id) => Object.values(converters).some((c) => c.inlet === id || c.from?.id === id)),
    monitors: picked(rig.monitors, (_, m) => m.measures === bank),
  };
}

/** The usual rig with a bank in the place of its own, and what hangs on that. */
function rigAround(usual: Design, bank: string, on: Moved): void {
  const first = FIRST_BANK.id;
  const there = (id: string): string => (id === bank ? first : id);
  usual.banks = { [first]: { ...on.banks[bank]!, name: '' } };
  usual.converters = Object.fromEntries(Object.entries(on.converters).map(([id, c]) => [id, { ...c, bank: c.bank && first, from: c.from && { ...c.from, id: there(c.from.id) } }]));
  usual.arrays = Object.fromEntries(Object.entries(on.arrays).map(([id, a]) => [id, { ...a, into: a.into && { ...a.into, id: there(a.into.id) } }]));
  usual.links = Object.fromEntries(Object.entries(on.links).map(([id, l]) => [id, { ...l, bank: first }]));
  usual.inlets = { ...usual.inlets, ...on.inlets };
  if (Object.keys(on.monitors).length) usual.monitors = Object.fromEntries(Object.entries(on.monitors).map(([id, m]) => [id, { ...m, measures: first }]));
}

/** A box that one bank feeds and another is charged by: a lead between their rigs, once both stand apart. */
interface Fed {
  readonly bank: string;
  readonly from: string;
  readonly converter: string;
}

/** Boxes of a rig that are fed by another bank than the one that they charge, or by a box on it; they hang on nothing until their lead is laid. */
function unhooked(held: Held): Fed[] {
  return Object.entries(held.converters).flatMap(([converter, c]): Fed[] => {
    const from = c.from?.in === 'banks' ? c.from.id : c.from?.in === 'converters' ? (held.converters[c.from.id]?.bank ?? null) : null;
    if (from === null || c.bank === null || from === c.bank || !(from in held.banks)) return [];
    c.from = null;
    return [{ bank: c.bank, from, converter }];
  });
}

/** Takes one bank out of the rig that holds it, into a further rig of the same body, whose id it gives. */
function setApart(job: Design, holder: string, held: Held, bank: string): string {
  const on = hangsOn(held, bank);
  const usual = blankDesign(job.brief.customer);
  leaveVehicle(usual);
  usual.brief.vehicleKind = held.brief.vehicleKind;
  usual.supply.houseV = held.supply.houseV;
  rigAround(usual, bank, on);
  const { name: called } = held.banks[bank]!;
  const free = !vehicleIds(job).some((v) => v === bank);
  const id = freshAmong(job.vehicles, free ? bank : undefined, 'rig', [OWN]);
  job.vehicles[id] = { ...asFurther(usual, lastOrder(job.vehicles), called.slice(0, 60)), within: bodyOf(job, holder) };
  delete held.banks[bank];
  for (const c of ['converters', 'arrays', 'links', 'monitors'] as const) for (const key of Object.keys(on[c])) delete held[c][key];
  return id;
}

/** Lays the lead of a box that another bank feeds; two banks that feed each other are left without the second one. */
function layLead(job: Design, from: string, to: string, converter: string, catalogue: Catalogue): void {
  if (from === to || leadsTo(job, (c) => c.carries !== 'charge', to, from)) return;
  const made = freshAmong(job.couplings, undefined, 'lead', [OWN]);
  const ends = dcLead(job, { from, to, converter, hours: ALL_DAY }, made, catalogue);
  job.couplings[made] = { order: lastOrder(job.couplings), name: '', from, to, carries: 'dc', ...ends, floorSoc: FLOOR_SOC };
}

/** Charge of the giving bank below which a lead rests that nobody said more of, 0–1. */
const FLOOR_SOC = 0.5;

/**
 * A job in which every bank that is in use always has a rig of its own: what a rig holds beside its first bank is set
 * apart as a further rig in the same body, with all that charges it and its loads still to come. A box that one bank
 * feeds and another is charged by comes to a lead between the two. A bank behind a selector stays where it is.
 */
export function apart(job: Design, catalogue: Catalogue): Design {
  const beside = (held: Held): string[] => (FIRST_BANK.id in held.banks ? Object.keys(held.banks).filter((id) => id !== FIRST_BANK.id && held.banks[id]!.selector === null) : []);
  const held = (of: Design, id: string): Held => (id === OWN ? of : of.vehicles[id]!);
  if (vehicleIds(job).every((id) => !beside(held(job, id)).length)) return job;
  const next = copyDesign(job);
  for (const id of vehicleIds(next)) {
    const rig = held(next, id);
    const banks = beside(rig);
    if (!banks.length) continue;
    const fed = unhooked(rig);
    const rigs = new Map(banks.map((bank) => [bank, setApart(next, id, rig, bank)]));
    for (const f of fed) layLead(next, rigs.get(f.from) ?? id, rigs.get(f.bank) ?? id, f.converter, catalogue);
  }
  return next;
}

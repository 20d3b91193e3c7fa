import { asFurther, blankDesign, bodyOf, copyDesign, leaveVehicle, OWN, type rigOf, vehicleIds, type Design } from '../design/index.js';
import { FIRST_BANK } from '../plant/index.js';
import { freshAmong, lastOrder } from './things.js';

type Rig = ReturnType<typeof rigOf>;
type Held = Rig & Pick<Design, 'supply'> & { readonly brief: Pick<Design['brief'], 'vehicleKind'> };

const picked = <T>(all: Record<string, T>, keep: (key: string, value: T) => boolean): Record<string, T> => Object.fromEntries(Object.entries(all).filter(([k, v]) => keep(k, v)));

/** Everything that charges a bank, draws on it, ties it or measures it; null: a box among it is fed by what stays behind. */
function hangsOn(rig: Rig, bank: string): Pick<Rig, 'banks' | 'converters' | 'arrays' | 'links' | 'inlets' | 'monitors'> | null {
  const converters = picked(rig.converters, (_, c) => c.bank === bank);
  if (Object.values(converters).some(({ from }) => from && from.in !== 'vehicles' && !(from.id in converters) && from.id !== bank)) return null;
  return {
    banks: { [bank]: rig.banks[bank]! },
    converters,
    arrays: picked(rig.arrays, (_, a) => a.into !== null && (a.into.id === bank || a.into.id in converters)),
    links: picked(rig.links, (_, l) => l.bank === bank),
    inlets: picked(rig.inlets, (id) => Object.values(converters).some((c) => c.inlet === id)),
    monitors: picked(rig.monitors, (_, m) => m.measures === bank),
  };
}

/** The usual rig with a bank in the place of its own, and what hangs on that. */
function rigAround(usual: Design, bank: string, on: NonNullable<ReturnType<typeof hangsOn>>): void {
  const first = FIRST_BANK.id;
  const there = (id: string): string => (id === bank ? first : id);
  usual.banks = { [first]: { ...on.banks[bank]!, name: '' } };
  usual.converters = Object.fromEntries(Object.entries(on.converters).map(([id, c]) => [id, { ...c, bank: first, from: c.from && { ...c.from, id: there(c.from.id) } }]));
  usual.arrays = Object.fromEntries(Object.entries(on.arrays).map(([id, a]) => [id, { ...a, into: a.into && { ...a.into, id: there(a.into.id) } }]));
  usual.links = Object.fromEntries(Object.entries(on.links).map(([id, l]) => [id, { ...l, bank: first }]));
  usual.inlets = { ...usual.inlets, ...on.inlets };
  if (Object.keys(on.monitors).length) usual.monitors = Object.fromEntries(Object.entries(on.monitors).map(([id, m]) => [id, { ...m, measures: first }]));
}

/** Takes one bank out of the rig that holds it, into a further rig of the same body. */
function setApart(job: Design, holder: string, held: Held, bank: string): void {
  const on = hangsOn(held, bank);
  if (!on) return;
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
}

/**
 * A job in which every bank that is in use always has a rig of its own: what a rig holds beside its first bank is set
 * apart as a further rig in the same body, with all that charges it and its loads still to come. A bank behind a
 * selector stays where it is; so does one that a box charges from what would stay behind.
 */
export function apart(job: Design): Design {
  const beside = (held: Held): string[] => (FIRST_BANK.id in held.banks ? Object.keys(held.banks).filter((id) => id !== FIRST_BANK.id && held.banks[id]!.selector === null) : []);
  const held = (of: Design, id: string): Held => (id === OWN ? of : of.vehicles[id]!);
  if (vehicleIds(job).every((id) => !beside(held(job, id)).length)) return job;
  const next = copyDesign(job);
  for (const id of vehicleIds(next)) for (const bank of beside(held(next, id))) setApart(next, id, held(next, id), bank);
  return next;
}

import { portsIn, type Catalogue } from '../catalogue/index.js';
import type { Design, RigArray, RigConverter } from '../design/index.js';
import { Refused } from './command.js';
import { collectionOf, known } from './things.js';

/** True of a converter whose part has an input for panels. */
export function takesSun(catalogue: Catalogue, c: RigConverter): boolean {
  return (portsIn(catalogue, c.part)?.sunIn ?? null) !== null;
}

/** Where an array’s power goes: a converter with an input for panels, or straight a bank. */
export function sunTarget(d: Design, catalogue: Catalogue, id: string): NonNullable<RigArray['into']> {
  const where = collectionOf(d, id);
  if (where === 'banks') return { in: 'banks', id };
  if (where !== 'converters') throw new Refused(`into: ${id} is ${where ? `one of the ${where}` : 'not there'}; a converter with an input for panels, or a bank, is accepted`);
  if (!takesSun(catalogue, d.converters[id]!)) throw new Refused(`into: ${id} has no input for panels; a solar controller, a charger with an input for panels, or a bank, is accepted`);
  return { in: 'converters', id };
}

/** What feeds a converter’s DC side. */
export function feedOf(d: Design, id: string, self: string): NonNullable<RigConverter['from']> {
  if (id === self) throw new Refused(`from: ${id} cannot feed itself; a vehicle, a bank or another converter is accepted`);
  if (id === 'starting') return { in: 'vehicles', id };
  const where = collectionOf(d, id);
  if (where === 'banks' || (where === 'inlets' && d.inlets[id]!.dc)) return { in: where, id };
  if (where !== 'converters')
    throw new Refused(
      `from: ${id} is ${where === 'inlets' ? 'an inlet for 230 V' : where ? `one of the ${where}` : 'not there'}; starting (the vehicle), an inlet of a DC lead, a bank or another converter is accepted`,
    );
  for (let at: RigConverter['from'] = { in: 'converters', id }; at?.in === 'converters'; at = d.converters[at.id]?.from ?? null)
    if (at.id === self) throw new Refused(`from: ${id} is fed by ${self} itself; two boxes cannot feed each other`);
  return { in: 'converters', id };
}

/** The bank that there is, or the one that is named. */
export function bankFor(d: Design, asked: string | undefined): string {
  if (asked !== undefined) known(d, 'banks', asked, 'bank');
  const [first] = Object.entries(d.banks).sort(([, a], [, b]) => a.order - b.order);
  if (asked === undefined && !first) throw new Refused('bank: there is none yet; add a bank first');
  return asked ?? first![0];
}

/** A box that fed others, and feeds none any more, charges a bank again. */
export function freeStep(d: Design, id: string | undefined, bank: string | null): void {
  const step = id === undefined ? undefined : d.converters[id];
  if (step?.bank === null && !Object.values(d.converters).some((c) => c.from?.in === 'converters' && c.from.id === id)) step.bank = bank;
}

/**
 * Hangs a converter’s DC side on a vehicle, an inlet, a bank or another box. On a box for the same bank it takes what
 * that box gives: the box then feeds it alone, and the bank no longer. What fed it before is free again.
 */
export function feed(d: Design, catalogue: Catalogue, id: string, on: string): void {
  const c = d.converters[id]!;
  const was = c.from;
  const next = feedOf(d, on, id);
  if (next.in === 'converters') {
    const step = d.converters[on]!;
    const ports = portsIn(catalogue, step.part);
    const shares = step.bank === null || step.bank === c.bank;
    const other = Object.values(d.arrays).some((a) => a.into?.id === on) ? 'panels' : ports?.mainsIn && step.inlet !== null ? 'the mains' : null;
    if (shares && (!ports?.dcIn || ports.mainsOut)) throw new Refused(`from: ${on} has no DC output that another box takes; a charger with a DC input is accepted, or starting (the vehicle)`);
    if (shares && other) throw new Refused(`from: ${on} charges from ${other} too, which would be lost; a box that the vehicle or a lead alone feeds is accepted`);
    if (shares && step.from?.in === 'converters') throw new Refused(`from: ${on} is fed by another box itself; one box before a charger is accepted, not two`);
    if (Object.values(d.converters).some((x) => x.from?.in === 'converters' && x.from.id === id))
      throw new Refused(`from: ${id} feeds another box itself; one box before a charger is accepted, not two`);
    if (step.bank === c.bank) step.bank = null;
  }
  c.from = next;
  if (was?.in === 'converters' && was.id !== on) freeStep(d, was.id, c.bank);
}

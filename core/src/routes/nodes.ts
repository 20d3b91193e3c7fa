import { FIRST_BANK, type ConverterThing } from '../plant/index.js';
import type { RunSpec, Terminal } from './spec.js';

/** The two nodes of a pair of terminals. */
export interface Posts {
  readonly plus: string;
  readonly minus: string;
}

/** Nodes of a pair of terminals of a piece of gear; the pairs of one thing have their minus in common. @example terminals('charger', 'in') // { plus: 'charger.in+', minus: 'charger-' } */
export const terminals = (gear: string, terminal: Terminal | null = null): Posts => ({ plus: terminal ? `${gear}.${terminal}+` : `${gear}+`, minus: `${gear}-` });

/** Posts of a bank, or of one string of several. @example bankPosts('house', 2) // { plus: 'house.2+', minus: 'house.2-' } */
export function bankPosts(bank: string, string: number | null): Posts {
  const node = string === null ? bank : `${bank}.${string}`;
  return { plus: `${node}+`, minus: `${node}-` };
}

/** Terminals of a converter: its own, or where it is built into a battery those of that, whose posts are its output. */
export function converterPosts({ ref, inside }: Pick<ConverterThing, 'ref' | 'inside'>, terminal: Terminal | null): Posts {
  if (!inside) return terminals(ref.id, terminal);
  return terminal === null || terminal === 'out' ? bankPosts(inside.id, null) : terminals(inside.id, terminal);
}

type Told = { readonly spec: Pick<RunSpec, 'role' | 'serves'> };

/** True of a lead of the bank that is in use from the start. */
export const isMainLead = ({ spec }: Told): boolean => spec.role === 'bank lead' && spec.serves.id === FIRST_BANK.id;

/** True of a lead of the bank behind the selector. */
export const isSecondLead = ({ spec }: Told): boolean => spec.role === 'bank lead' && spec.serves.id !== FIRST_BANK.id;

/** True of the run by which one box feeds another: no battery stands at either end of it. */
export const isBetweenBoxes = ({ spec }: { readonly spec: Pick<RunSpec, 'role' | 'from'> }): boolean => spec.role === 'charger feed' && spec.from.ref.in === 'converters';

/** True of the run by which a box gives what it gives: to the bank, or to the box that it feeds. */
export const givesBy = ({ spec }: { readonly spec: Pick<RunSpec, 'role' | 'serves' | 'from'> }, unit: string): boolean =>
  (spec.role === 'charger output' && spec.serves.id === unit) || (isBetweenBoxes({ spec }) && spec.from.ref.id === unit);

/** True of the run that has this role for a thing. */
export const serves = ({ spec }: Told, role: RunSpec['role'], id: string): boolean => spec.role === role && spec.serves.id === id;

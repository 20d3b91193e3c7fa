import type { Catalogue, Part, PartKind, PartOf } from '../catalogue/index.js';
import { rigOf, type Design } from '../design/index.js';
import { Refused } from './command.js';

type Rig = ReturnType<typeof rigOf>;
export type RigCollection = keyof Rig;

/** The collection that a thing stands in; null: there is none of this id. */
export const collectionOf = (d: Design, id: string): RigCollection | null => (Object.keys(rigOf(d)) as RigCollection[]).find((c) => id in d[c]) ?? null;

/** What comes with other things has ids of its own: the vehicle’s battery, a shunt’s display, an inverter’s switch. */
const BROUGHT_ALONG = ['starting', 'display', 'remote'];

/** Every id that is taken: of things, and of batteries in banks. */
const taken = (d: Design): ReadonlySet<string> =>
  new Set([...BROUGHT_ALONG, ...Object.values(rigOf(d)).flatMap((c) => Object.keys(c)), ...Object.values(d.banks).flatMap((b) => Object.keys(b.batteries))]);

/** The asked id, or the stem with the next number that is free. */
export function freshId(d: Design, asked: string | undefined, stem: string): string {
  const all = taken(d);
  if (asked !== undefined) {
    if (all.has(asked)) throw new Refused(`id: ${asked} is taken; an id that nothing else has is accepted`);
    return asked;
  }
  if (!all.has(stem)) return stem;
  for (let n = 2; ; n++) if (!all.has(`${stem}-${n}`)) return `${stem}-${n}`;
}

/** The same among the ids of one collection that has them for itself, and some that are spoken for. */
export function freshAmong(all: Readonly<Record<string, unknown>>, asked: string | undefined, stem: string, spokenFor: readonly string[] = []): string {
  const isTaken = (key: string): boolean => key in all || spokenFor.includes(key);
  if (asked !== undefined && isTaken(asked)) throw new Refused(`id: ${asked} is taken; an id that nothing else has is accepted`);
  if (asked !== undefined || !isTaken(stem)) return asked ?? stem;
  for (let n = 2; ; n++) if (!isTaken(`${stem}-${n}`)) return `${stem}-${n}`;
}

/** The inlet for 230 V that a box hangs on where none is named; null: there is none. */
export const mainsInlet = ({ inlets }: Pick<Design, 'inlets'>): string | null => Object.entries(inlets).find(([, i]) => i.dc === null)?.[0] ?? null;

/** Behind all others of its collection. */
export const lastOrder = (all: Readonly<Record<string, { readonly order: number }>>): number => 1 + Math.max(0, ...Object.values(all).map((x) => x.order));

/** A part of one of these kinds, by its id. */
export function partOf<K extends PartKind>(catalogue: Catalogue, kinds: readonly K[], id: string): PartOf<K> {
  for (const kind of kinds) {
    const found = catalogue.find(kind, id);
    if (found) return found;
  }
  const other: Part | undefined = catalogue.parts.find((p) => p.id === id);
  throw new Refused(`part: ${id} is ${other ? `of the kind ${other.kind}` : 'not in the catalogue'}; a part of the kind ${kinds.join(' or ')} is accepted`);
}

/** A thing that must be there. */
export function known<C extends RigCollection>(d: Design, collection: C, id: string, field: string): Design[C][string] {
  const found = d[collection][id];
  if (!found) throw new Refused(`${field}: ${id} is none of the ${collection}; ${Object.keys(d[collection]).join(', ') || 'there are none yet'}`);
  return found as Design[C][string];
}

import { z } from 'zod';
import { memoize } from '../quantity/index.js';
import { KINDS } from './kinds/all.js';
import type { Converts, Ports } from './kinds/ports.js';
import type { Watches } from './kinds/watches.js';

type Kinds = typeof KINDS;
type Schemas<K> = { -readonly [I in keyof K]: K[I] extends { readonly schema: infer S } ? S : never };

/** A part of any kind, told apart by `kind`. */
export const partSchema = z.discriminatedUnion('kind', KINDS.map((k) => k.schema) as unknown as Schemas<Kinds>);
export type Part = z.infer<typeof partSchema>;
export type PartKind = Part['kind'];
export type PartOf<K extends PartKind> = Extract<Part, { kind: K }>;
export const PART_KINDS: readonly PartKind[] = KINDS.map((k) => k.kind);

/** Kinds as the trade says them. */
export const KIND_WORDS = Object.fromEntries(KINDS.map((k) => [k.kind, k.words])) as Readonly<Record<PartKind, string>>;

/** What one asks first of each kind. */
export const ASKED_FIRST = Object.fromEntries(KINDS.map((k) => [k.kind, k.first])) as unknown as Readonly<Record<PartKind, readonly string[]>>;

/** Boxes that charge, convert or invert. */
type ConverterKind = Extract<Kinds[number], { readonly converts: object }>['kind'];
export type ConverterPart = PartOf<ConverterKind>;
export const CONVERTER_KINDS = KINDS.flatMap((k) => ('converts' in k ? [k.kind] : [])) as readonly ConverterKind[];

const CONVERTS = new Map(KINDS.flatMap((k) => ('converts' in k ? [[k.kind, k.converts as Converts<ConverterPart>] as const] : [])));

/** How a box converts and how it is set down, by its kind. */
export const convertsOf = (part: ConverterPart): Converts<ConverterPart> => CONVERTS.get(part.kind)!;

/** What measures, shows or switches. */
type MonitorKind = Extract<Kinds[number], { readonly watches: object }>['kind'];
export type MonitorPart = PartOf<MonitorKind>;
export const MONITOR_KINDS = KINDS.flatMap((k) => ('watches' in k ? [k.kind] : [])) as readonly MonitorKind[];

const WATCHES = new Map(KINDS.flatMap((k) => ('watches' in k ? [[k.kind, k.watches as Watches<MonitorPart>] as const] : [])));

/** What a monitor does and how it is set down, by its kind. */
export const watchesOf = (part: MonitorPart): Watches<MonitorPart> => WATCHES.get(part.kind)!;

const PORTS = new WeakMap<ConverterPart, Ports>();

/** What a box takes and gives. @example portsOf(SHIPPED_CATALOGUE.ofKind('mains-charger')[0]).dcIn // null */
export function portsOf(part: ConverterPart): Ports {
  const known = PORTS.get(part) ?? convertsOf(part).ports(part);
  PORTS.set(part, known);
  return known;
}

/** The parts a workshop can choose from. */
export class Catalogue {
  private readonly byId: ReadonlyMap<string, Part>;

  constructor(readonly parts: readonly Part[]) {
    this.byId = new Map(parts.map((p) => [p.id, p]));
  }

  /** The part of this kind with this id; null when there is none, or it is of another kind. */
  find<K extends PartKind>(kind: K, id: string | null): PartOf<K> | null {
    const part = id === null ? undefined : this.byId.get(id);
    return part?.kind === kind ? (part as PartOf<K>) : null;
  }

  ofKind<K extends PartKind>(kind: K): PartOf<K>[] {
    return this.parts.filter((p): p is PartOf<K> => p.kind === kind);
  }

  /** What a draft may take by itself. */
  usual<K extends PartKind>(kind: K): PartOf<K>[] {
    return this.ofKind(kind).filter((p) => !p.special);
  }
}

/** The shipped catalogue: generic, made-up parts with realistic figures. */
export const SHIPPED_CATALOGUE = new Catalogue(KINDS.flatMap((k): readonly Part[] => k.parts));

/** The shipped catalogue with parts of one’s own; one of the same id takes the shipped one’s place. */
const withOwn = memoize(8, JSON.stringify, (own: readonly Part[]) => {
  const ids = new Set(own.map((p) => p.id));
  return new Catalogue([...SHIPPED_CATALOGUE.parts.filter((p) => !ids.has(p.id)), ...own]);
});

/** The box that charges, converts or inverts with this id; null: there is none, or it is no such box. */
export const converterIn = (catalogue: Catalogue, id: string | null): ConverterPart | null => CONVERTER_KINDS.map((kind) => catalogue.find(kind, id)).find((p) => p !== null) ?? null;

/** The monitor with this id; null: there is none, or it is none. */
export const monitorIn = (catalogue: Catalogue, id: string | null): MonitorPart | null => MONITOR_KINDS.map((kind) => catalogue.find(kind, id)).find((p) => p !== null) ?? null;

/** Ports of the box with this id; null: there is none. */
export function portsIn(catalogue: Catalogue, id: string | null): Ports | null {
  const part = converterIn(catalogue, id);
  return part && portsOf(part);
}

/** True of ports that panels alone can feed. */
export const sunOnly = (ports: Ports): boolean => ports.sunIn !== null && !ports.dcIn && !ports.mainsIn && !ports.mainsOut;

/** What a job can choose from: the shipped parts, and those of the workshop’s own that stand in it with the data it was planned with. */
export function catalogueOf({ parts }: { readonly parts: Readonly<Record<string, Part>> }): Catalogue {
  const own = Object.values(parts);
  return own.length ? withOwn(own) : SHIPPED_CATALOGUE;
}

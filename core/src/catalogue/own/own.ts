import { z } from 'zod';
import { PART_KINDS, partSchema, type Part, type PartKind } from '../catalogue.js';
import { KINDS } from '../kinds/all.js';

export type OwnPart = { readonly ok: true; readonly part: Part } | { readonly ok: false; readonly message: string };

const refused = (message: string): OwnPart => ({ ok: false, message });
const came = (value: unknown): string => (value === undefined ? 'nothing came' : `came ${JSON.stringify(value).slice(0, 60)}`);

/** The kinds by their name, their types let go: what is typed is checked by the schema. */
interface AnyKind {
  readonly plate: { readonly required: z.ZodRawShape; readonly rest: (plate: unknown) => Record<string, unknown>; readonly has?: (plate: unknown) => Record<string, unknown> };
  readonly seldom?: readonly string[];
  readonly contradiction?: (part: Part) => string | null;
}
const BY_KIND = new Map(KINDS.map((k) => [k.kind as PartKind, k as unknown as AnyKind]));

/** By kind what a data sheet must say; what it leaves out is usual for its size. */
export const PLATES = Object.fromEntries([...BY_KIND].map(([kind, k]) => [kind, k.plate])) as Readonly<Record<PartKind, AnyKind['plate']>>;

/** By kind the figures that one may have and most have not. */
export const SELDOM = Object.fromEntries([...BY_KIND].map(([kind, k]) => [kind, k.seldom ?? []])) as Readonly<Record<PartKind, readonly string[]>>;

/** An id for a name. @example idFor('Attic 135 Ah') // 'own-attic-135-ah' */
export const idFor = (name: string): string =>
  `own-${name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40)}`;

/**
 * A data sheet typed once: its kind, a name and the plate’s figures; the rest is defaulted by them and named in
 * `assumed`. What contradicts itself is refused, with the field, what came and what is accepted.
 * @example readOwnPart({ kind: 'battery', name: 'attic 135', chemistry: 'agm', capacityAh: 135 })
 */
export function readOwnPart(raw: unknown): OwnPart {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return refused(`part: ${came(raw)}; an object with kind, name and the plate’s figures is accepted`);
  const given = raw as Record<string, unknown>;
  const kind = given['kind'] as PartKind;
  if (!PART_KINDS.includes(kind)) return refused(`kind: ${came(given['kind'])}; one of ${PART_KINDS.join(', ')} is accepted`);
  const name = z.string().trim().min(1).max(80).safeParse(given['name']);
  if (!name.success) return refused(`name: ${came(given['name'])}; 1 to 80 letters are accepted`);
  const {
    plate: { required, rest },
    seldom = [],
    contradiction,
  } = BY_KIND.get(kind)!;
  const plate = z.object(required).safeParse(given);
  if (!plate.success) {
    const { path, message } = plate.error.issues[0]!;
    return refused(`${path.join('.')}: ${came(given[String(path[0])])}; ${message}`);
  }
  const defaults: Record<string, unknown> = rest(plate.data);
  const said = Object.fromEntries(Object.entries(given).filter(([, v]) => v !== undefined && v !== ''));
  const known = new Set(['kind', 'id', 'name', 'special', 'assumed', ...seldom, ...Object.keys(required), ...Object.keys(defaults)]);
  const odd = Object.keys(said).find((k) => !known.has(k));
  if (odd !== undefined) return refused(`${odd}: not a figure of a ${kind}; ${[...Object.keys(required), ...Object.keys(defaults)].join(', ')} are accepted`);
  const id = typeof said['id'] === 'string' ? said['id'] : idFor(name.data);
  const assumed = Object.keys(defaults).filter((k) => !(k in said));
  const parsed = partSchema.safeParse({ ...defaults, ...said, kind, name: name.data, id, special: true, ...(assumed.length ? { assumed } : {}) });
  if (!parsed.success) {
    const { path, message } = parsed.error.issues[0]!;
    return refused(`${path.join('.')}: ${came(given[String(path[0])])}; ${message}`);
  }
  const against = contradiction?.(parsed.data);
  return against ? refused(against) : { ok: true, part: parsed.data };
}

const words = (v: unknown): string => (typeof v === 'object' && v !== null ? JSON.stringify(v) : String(v));

/** What of a part is not as a job was planned with it: figure by figure, as in “capacityAh 135 → 140”. */
export function changedSince(planned: Part, now: Part): readonly string[] {
  const [a, b] = [planned as unknown as Record<string, unknown>, now as unknown as Record<string, unknown>];
  return (
    [...new Set([...Object.keys(a), ...Object.keys(b)])]
      .filter((k) => k !== 'assumed' && k !== 'special' && JSON.stringify(a[k]) !== JSON.stringify(b[k]))
      // What the plate says comes before what follows from it.
      .sort((x, y) => Number(now.assumed?.includes(x) ?? false) - Number(now.assumed?.includes(y) ?? false))
      .map((k) => `${k} ${words(a[k] ?? 'none')} → ${words(b[k] ?? 'none')}`)
  );
}

import { z } from 'zod';
import { PART_KINDS, partSchema, type Part, type PartKind } from '../catalogue.js';
import { PLATES } from './plate.js';

export type OwnPart = { readonly ok: true; readonly part: Part } | { readonly ok: false; readonly message: string };

const refused = (message: string): OwnPart => ({ ok: false, message });
const came = (value: unknown): string => (value === undefined ? 'nothing came' : `came ${JSON.stringify(value).slice(0, 60)}`);

/** Figures that a data sheet can get wrong against one another. */
function contradiction(p: Part): string | null {
  if (p.kind === 'mains-charger' && p.outputA * p.outputV > p.acW) return `outputA: ${p.outputA} A at ${p.outputV} V are more than the ${p.acW} W it takes; an output below its input is accepted`;
  if (p.kind === 'dcdc' && p.mainsInput && p.mainsInput.outputA * p.outputV > p.mainsInput.acW)
    return `mainsInput.outputA: ${p.mainsInput.outputA} A at ${p.outputV} V are more than the ${p.mainsInput.acW} W it takes; an output below its input is accepted`;
  if (p.kind === 'panel' && p.vmpV >= p.vocV) return `vmpV: ${p.vmpV} V is not below the open-circuit ${p.vocV} V; best volts below it are accepted`;
  if (p.kind === 'panel' && p.impA >= p.iscA) return `impA: ${p.impA} A is not below the short-circuit ${p.iscA} A; a best current below it is accepted`;
  if (p.kind === 'panel' && Math.abs(p.vmpV * p.impA - p.ratedW) > 0.1 * p.ratedW)
    return `ratedW: ${p.ratedW} W, but ${p.vmpV} V times ${p.impA} A are ${Math.round(p.vmpV * p.impA)} W; figures that agree within a tenth are accepted`;
  if (p.kind === 'battery' && p.peakA < p.continuousA) return `peakA: ${p.peakA} A is below the steady ${p.continuousA} A; no less is accepted`;
  if (p.kind === 'inverter' && p.surgeW < p.ratedW) return `surgeW: ${p.surgeW} W is below the rated ${p.ratedW} W; no less is accepted`;
  return null;
}

/** Figures that a part of a kind may have and most have not. */
const SELDOM: Partial<Record<PartKind, readonly string[]>> = {
  battery: ['outletA'],
  dcdc: ['mainsInput', 'inside'],
  'solar-controller': ['inside'],
  'mains-charger': ['inside'],
  inverter: ['inside'],
};

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
  const { required, rest } = PLATES[kind] as { required: z.ZodRawShape; rest: (plate: unknown) => Record<string, unknown> };
  const plate = z.object(required).safeParse(given);
  if (!plate.success) {
    const { path, message } = plate.error.issues[0]!;
    return refused(`${path.join('.')}: ${came(given[String(path[0])])}; ${message}`);
  }
  const defaults: Record<string, unknown> = rest(plate.data);
  const said = Object.fromEntries(Object.entries(given).filter(([, v]) => v !== undefined && v !== ''));
  const known = new Set(['kind', 'id', 'name', 'special', 'assumed', ...(SELDOM[kind] ?? []), ...Object.keys(required), ...Object.keys(defaults)]);
  const odd = Object.keys(said).find((k) => !known.has(k));
  if (odd !== undefined) return refused(`${odd}: not a figure of a ${kind}; ${[...Object.keys(required), ...Object.keys(defaults)].join(', ')} are accepted`);
  const id = typeof said['id'] === 'string' ? said['id'] : idFor(name.data);
  const assumed = Object.keys(defaults).filter((k) => !(k in said));
  const parsed = partSchema.safeParse({ ...defaults, ...said, kind, name: name.data, id, special: true, ...(assumed.length ? { assumed } : {}) });
  if (!parsed.success) {
    const { path, message } = parsed.error.issues[0]!;
    return refused(`${path.join('.')}: ${came(given[String(path[0])])}; ${message}`);
  }
  const against = contradiction(parsed.data);
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

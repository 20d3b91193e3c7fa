import { z } from 'zod';
import type { FaultBook } from './book.js';
import type { Known } from './search.js';

const shape = z.object({
  readings: z
    .array(z.object({ test: z.string(), value: z.number() }))
    .max(200)
    .default([]),
  complaints: z.array(z.string()).max(40).default([]),
});

export type KnownRead = { readonly ok: true; readonly known: Known } | { readonly ok: false; readonly message: string };

/** At most so many ids are named as accepted. */
const NAMED = 12;
const some = (ids: readonly string[]): string => `${ids.slice(0, NAMED).join(', ')}${ids.length > NAMED ? ` and ${ids.length - NAMED} more` : ''}`;

/**
 * What is known of a rig's fault, from a file: `readings` and `complaints` by the ids of its book.
 * @example readKnown(faultBook(design, catalogue), { readings: [{ test: 'rest.volts:battery1', value: 12.1 }] }).ok // true
 */
export function readKnown(book: FaultBook, raw: unknown): KnownRead {
  const parsed = shape.safeParse(raw);
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    return { ok: false, message: `${issue.path.join('.')}: ${issue.message}; readings as {test, value} and complaints by id are accepted` };
  }
  const { readings, complaints } = parsed.data;
  const tests = book.probes.map((p) => p.id);
  const odd = readings.findIndex((r) => !tests.includes(r.test));
  if (odd >= 0) return { ok: false, message: `readings.${odd}.test: came ${readings[odd]!.test}; one of ${some(tests)} is accepted` };
  const said = book.complaints.map((c) => c.id);
  const strange = complaints.findIndex((c) => !said.includes(c));
  if (strange >= 0) return { ok: false, message: `complaints.${strange}: came ${complaints[strange]!}; one of ${some(said)} is accepted` };
  return { ok: true, known: parsed.data };
}

import { klona } from 'klona/json';
import { applyPatch, createPatch, type Operation, Pointer } from 'rfc6902';
import { z } from 'zod';
import { designSchema, type Design } from './schema.js';

/** A JSON Patch (RFC 6902) as an edit of the design. */
export type Patch = Operation[];

export const patchSchema = z
  .array(
    z.union([
      z.object({ op: z.enum(['add', 'replace', 'test']), path: z.string(), value: z.unknown() }),
      z.object({ op: z.literal('remove'), path: z.string() }),
      z.object({ op: z.enum(['move', 'copy']), from: z.string(), path: z.string() }),
    ]),
  )
  .min(1)
  .max(2000);

export type Edited = { readonly ok: true; readonly design: Design } | { readonly ok: false; readonly message: string };

const FORBIDDEN = /(^|\/)(__proto__|constructor|prototype)(\/|$)/;

/** Names the field, what came and what is accepted, from a schema's first complaint. */
export function firstComplaint(error: z.ZodError): string {
  const issue = error.issues[0]!;
  return `${issue.path.join(' › ') || 'the document'}: ${issue.message}`;
}

/** Changes the document in place; what it has against the patch, or null. A place within a number or a text is refused by an exception. */
function troubleOf(document: Design, patch: Patch): string | null {
  try {
    return applyPatch(document, patch).find((e) => e !== null)?.message ?? null;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}

/** Applies a patch to a copy of a design and checks the result by its schema. */
export function editDesign(design: Design, patch: Patch): Edited {
  if (patch.some((o) => FORBIDDEN.test(o.path))) return { ok: false, message: 'path: a path inside the design is accepted' };
  const copy = structuredCopy(design);
  const trouble = troubleOf(copy, patch);
  if (trouble !== null) return { ok: false, message: `${trouble}: the place that the edit names is not in the design` };
  const parsed = designSchema.safeParse(copy);
  return parsed.success ? { ok: true, design: parsed.data } : { ok: false, message: firstComplaint(parsed.error) };
}

/** The patch that leads from one design to another; empty when they are alike. */
export function patchBetween(from: Design, to: Design): Patch {
  return createPatch(from, to);
}

/** The edit that lets a piece of gear find its place again, written out: it is asked for at every move of a drag. */
export function forgetPlace(gear: string): Patch {
  return [{ op: 'remove', path: new Pointer(['', 'places', gear]).toString() }];
}

function structuredCopy(design: Design): Design {
  return klona(design);
}

/** Paths at which two edits of the same document touch the same thing, or one holds the other. */
export function clashes(mine: Patch, theirs: Patch): string[] {
  const within = (a: string, b: string): boolean => a === b || a.startsWith(`${b}/`) || b.startsWith(`${a}/`);
  return mine.map((o) => o.path).filter((path) => theirs.some((t) => within(path, t.path)));
}

/** The value at a JSON pointer; undefined when there is nothing. */
export function valueAt(document: unknown, pointer: string): unknown {
  let here: unknown = document;
  for (const raw of pointer.split('/').slice(1)) {
    const key = raw.replace(/~1/g, '/').replace(/~0/g, '~');
    if (typeof here !== 'object' || here === null) return undefined;
    here = (here as Record<string, unknown>)[key];
  }
  return here;
}

/** A copy of a design that can be changed without touching the first. */
export function copyDesign(design: Design): Design {
  return klona(design);
}

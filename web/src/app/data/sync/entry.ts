import { patchSchema, type Patch } from '@meridex/core';
import { z } from 'zod';

const common = {
  /** Made once, for all tries: sent twice, it is kept once. */
  id: z.uuid(),
  /** Whose it is; on a shared tablet nobody sends another's. */
  person: z.string(),
  jobId: z.string(),
  /** The page that holds it, which alone still adds to it. */
  tab: z.string(),
  /** When it was made and last added to, ms. */
  at: z.number(),
  touched: z.number(),
  /** It was sent at least once: the server may have it, so it is never changed under its id. */
  tried: z.boolean(),
  /** Why the server will not have it; null: it is still to be sent. */
  refused: z.string().nullable(),
};
const tick = z.object({ id: z.string(), stepId: z.string(), done: z.boolean() });
const reading = z.object({ id: z.string(), rowId: z.string(), value: z.number(), unit: z.string(), revision: z.number() });
const edit = z.object({ ...common, kind: z.literal('edit'), base: z.number(), on: z.array(z.string()), patch: patchSchema, label: z.string() });

const comment = z.object({ id: z.string(), about: z.string(), text: z.string() });
const photo = z.object({ id: z.string(), about: z.string(), caption: z.string(), image: z.string(), small: z.string() });

/** One thing that a person did and the server has not confirmed: an edit on the revision it was made on, a tick, a reading, a photo, a comment. */
export const entrySchema = z.discriminatedUnion('kind', [
  edit,
  z.object({ ...common, kind: z.literal('tick'), body: tick }),
  z.object({ ...common, kind: z.literal('reading'), body: reading }),
  z.object({ ...common, kind: z.literal('photo'), body: photo }),
  z.object({ ...common, kind: z.literal('comment'), body: comment }),
]);

type Common = { readonly [K in keyof typeof common]: z.infer<(typeof common)[K]> };
export type EditEntry = Common & { readonly kind: 'edit'; readonly base: number; readonly on: readonly string[]; readonly patch: Patch; readonly label: string };
export type TickEntry = Common & { readonly kind: 'tick'; readonly body: z.infer<typeof tick> };
export type ReadingEntry = Common & { readonly kind: 'reading'; readonly body: z.infer<typeof reading> };
export type PhotoEntry = Common & { readonly kind: 'photo'; readonly body: z.infer<typeof photo> };
export type CommentEntry = Common & { readonly kind: 'comment'; readonly body: z.infer<typeof comment> };
export type Entry = EditEntry | TickEntry | ReadingEntry | PhotoEntry | CommentEntry;

/** What it is, for whoever has to decide about it. */
export function wordsOf(entry: Entry): string {
  if (entry.kind === 'tick') return `${entry.body.done ? 'tick' : 'tick taken back'}: ${entry.body.stepId}`;
  if (entry.kind === 'reading') return `reading ${entry.body.rowId}: ${entry.body.value} ${entry.body.unit}`;
  if (entry.kind === 'comment') return `comment: “${entry.body.text}”`;
  if (entry.kind === 'photo') return `photo${entry.body.caption ? `: ${entry.body.caption}` : ''}`;
  const [first, ...more] = entry.patch;
  const value = first && 'value' in first && typeof first.value !== 'object' ? `, “${String(first.value as string | number | boolean)}”` : '';
  return `${entry.label || 'an edit'}${value}${more.length ? ` and ${more.length} more` : ''}`;
}

/** Where it is sent to, and what is sent. */
export function sendingOf(entry: Entry): { readonly url: string; readonly body: object } {
  const url = `/api/jobs/${entry.jobId}`;
  if (entry.kind === 'tick') return { url: `${url}/ticks`, body: entry.body };
  if (entry.kind === 'reading') return { url: `${url}/readings`, body: entry.body };
  if (entry.kind === 'comment') return { url: `${url}/comments`, body: entry.body };
  if (entry.kind === 'photo') return { url: `${url}/photos`, body: entry.body };
  return { url: `${url}/revisions`, body: { base: entry.base, on: entry.on, patch: entry.patch, clientId: entry.id, label: entry.label.slice(0, 200) } };
}

import { z } from 'zod';

/** What an edit says of itself when it is sent; its patch stands beside it. */
export const saveRevisionSchema = z.object({
  /** The newest revision from elsewhere that its author had before the eyes. */
  base: z.number().int().min(1),
  /** Ids of the author's own edits beneath it that were not confirmed then: what they saved since is no clash with it. */
  on: z.array(z.uuid()).max(5000).default([]),
  /** Made by the author's browser once for all tries, so that sent twice it is kept once. */
  clientId: z.uuid(),
  /** What was done, in the words of the edit. */
  label: z.string().max(200).default(''),
});
export type SaveRevision = z.infer<typeof saveRevisionSchema>;

/** A line of a job's history; `label` is empty where an older program kept none. */
export const historyEntrySchema = z.object({ number: z.number(), author: z.string(), at: z.string(), label: z.string(), paths: z.array(z.string()) });
export type HistoryEntry = z.infer<typeof historyEntrySchema>;

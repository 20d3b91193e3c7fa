import { z } from 'zod';

/** Where somebody is in a job: the stage, and what is chosen there. */
export const placeSchema = z.object({
  /** The page, as long as it is open. */
  tab: z.uuid(),
  stage: z.string().max(30),
  /** A run, load, finding or thing, by its id; null: none. */
  row: z.string().max(120).nullable(),
});
export type Place = z.infer<typeof placeSchema>;

/** What everybody in a job hears of it while it happens. */
export type LiveEvent =
  /** Something was kept: what it was, and its number where it is a revision. */
  | { readonly what: 'revision'; readonly number: number }
  | { readonly what: 'tick' }
  | { readonly what: 'reading' }
  | { readonly what: 'photo' }
  | { readonly what: 'comment' }
  | { readonly what: 'quote' }
  | { readonly what: 'review' }
  /** Somebody came into the job and asks who is there, is at a place in it, or left. */
  | { readonly what: 'came'; readonly tab: string }
  | { readonly what: 'left'; readonly tab: string }
  | ({ readonly what: 'here'; readonly name: string } & Place)
  /** Something may have been missed: all of it is read again. */
  | { readonly what: 'missed' };

import { z } from 'zod';
import type { Workshop } from './workshop.js';

/** How a sent quote stands. */
export const QUOTE_STATES = ['open', 'accepted', 'withdrawn', 'run out'] as const;
export type QuoteState = (typeof QUOTE_STATES)[number];

const accepted = z.object({ option: z.string(), by: z.string(), at: z.string() });

/** A quote of a job as the workshop sees it: what was sent when, and what came of it. */
export const sentQuoteSchema = z.object({
  id: z.string(),
  at: z.string(),
  author: z.string(),
  revision: z.number(),
  /** The last day on which it may be accepted. */
  until: z.string(),
  state: z.enum(QUOTE_STATES),
  options: z.array(z.object({ key: z.string(), name: z.string(), totalMinor: z.number() })),
  accepted: accepted.nullable(),
});
export type SentQuote = z.infer<typeof sentQuoteSchema>;

/** What a quote is made from beside its figures. */
export const newQuoteSchema = z.object({ id: z.uuid(), revision: z.number().int().min(1), until: z.iso.date({ message: 'a day such as 2026-12-31 is accepted' }) });

/** A quote as whoever has its link sees it. */
export interface OpenQuote<Q> {
  readonly workshop: Workshop;
  readonly quote: Q;
  readonly at: string;
  readonly until: string;
  readonly state: QuoteState;
  readonly accepted: z.infer<typeof accepted> | null;
}
export const acceptedSchema = accepted;

const name = z.string().trim().min(2, { message: 'your name is accepted' }).max(80, { message: 'up to 80 letters are accepted' });

/** One option is accepted by name. */
export const acceptQuoteSchema = z.object({ option: z.string().max(20), name });
export type AcceptQuote = z.infer<typeof acceptQuoteSchema>;

/** Something is asked before it is accepted. */
export const askOfQuoteSchema = z.object({
  id: z.uuid(),
  name,
  text: z.string().trim().min(1, { message: 'what is to be asked is accepted' }).max(2000, { message: 'up to 2000 letters are accepted' }),
});
export type AskOfQuote = z.infer<typeof askOfQuoteSchema>;

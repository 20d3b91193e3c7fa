import { z } from 'zod';

const minor = z.number().int().min(0).max(1e11);
const words = (letters: number) => z.string().max(letters);

/** One thing that may be had for a price. */
const optionSchema = z.object({
  /** The plan itself, or one of the drafts in its place. */
  key: z.enum(['plan', 'lean', 'sound', 'roomy']),
  name: words(60),
  /** What it gives, in words of whoever lives with it. */
  gives: z.array(words(200)).max(8),
  lines: z
    .array(z.object({ what: words(120), minor }))
    .min(1)
    .max(12),
  netMinor: minor,
  taxMinor: minor,
  totalMinor: minor,
});

/** A quote as it was sent: what is asked for it, in minor units, and until when. */
export const quoteSchema = z.object({
  customer: words(120),
  vehicle: words(120),
  money: z.object({ sign: words(6), tax: words(20), taxPercent: z.number().min(0).max(50) }),
  notIncluded: z.array(words(1000)).max(12),
  options: z.array(optionSchema).min(1).max(4),
});
export type Quote = z.infer<typeof quoteSchema>;
export type QuoteOption = z.infer<typeof optionSchema>;
export type QuoteKey = QuoteOption['key'];

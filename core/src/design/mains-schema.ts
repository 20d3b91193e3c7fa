import { z } from 'zod';
import { text } from './common-schema.js';

/** The 230 V side of a vehicle: what was answered of it, who signed for it, or why none of it is part of the job. */
export const mainsSchema = z.object({
  /** Answers to the questions of the licensed electrician, by the question’s id. */
  answers: z.record(z.string().max(100), text(200)),
  /** Signed for by a licensed electrician; null: not yet. */
  signed: z.object({ by: text(80), licence: text(40), on: z.iso.date(), statement: text(500) }).nullable(),
  /** None of it is part of this job, as somebody says by name; null: it is. */
  notOurs: z.object({ by: text(80), reason: text(500), on: z.iso.date() }).nullable(),
});
export type MainsSaid = z.infer<typeof mainsSchema>;

/** What is said of the 230 V side before anybody asks. */
export const nothingSaid = (): MainsSaid => ({ answers: {}, signed: null, notOurs: null });

import { z } from 'zod';

/** How far a job is, as a person says it; what is closed is kept and stands aside. A template is no job: others begin from it. */
export const JOB_STATES = ['asked', 'planning', 'quoted', 'accepted', 'parts ordered', 'fitting', 'sign-off', 'proved', 'handed over', 'in service', 'closed', 'template'] as const;
export type JobState = (typeof JOB_STATES)[number];

/** What a person settles of a job: its state, the promised day, what else is to be known. */
export const settleJobSchema = z.object({
  state: z.enum(JOB_STATES, { message: `one of ${JOB_STATES.join(', ')} is accepted` }).optional(),
  promisedOn: z.iso.date({ message: 'a day such as 2026-12-03 is accepted' }).nullable().optional(),
  note: z.string().trim().max(200, { message: 'up to 200 letters are accepted' }).optional(),
  /** True: off all lists, and kept; false: taken back. */
  deleted: z.boolean().optional(),
});
export type SettleJob = z.infer<typeof settleJobSchema>;

/** A job that is opened: empty, as a copy of another one, or from a job file. */
export const newJobSchema = z.object({
  customer: z.string().trim().min(1, { message: 'the customer’s name is accepted, such as Bellbird Ranges Mobile Vet' }).max(120),
  promisedOn: z.iso.date({ message: 'a day such as 2026-12-03 is accepted' }).nullable(),
  from: z.uuid().optional(),
  design: z.unknown().optional(),
});
export type NewJob = z.infer<typeof newJobSchema>;

import { z } from 'zod';

const name = (letters: number) =>
  z
    .string()
    .trim()
    .min(1, { message: 'a name is accepted' })
    .max(letters, { message: `up to ${letters} letters are accepted` });
const day = z.iso.date({ message: 'a day such as 2026-12-03 is accepted' });

/** What is said of one job's place in the week; all else follows from the job. */
const shopJobSchema = z.object({
  /** In the plan, or kept out of it; null: as its state has it. */
  planned: z.boolean().nullable().default(null),
  /** Its parts are there from that day on; null: they are there. */
  partsOn: day.nullable().default(null),
  /** Where and when it is promised to begin: never moved by a plan. */
  fixed: z
    .object({ bay: z.string(), on: day, half: z.union([z.literal(0), z.literal(1)]) })
    .nullable()
    .default(null),
  /** Hours of work, where the steps' own sum is not believed; null: their sum. */
  hours: z.number().min(0.5).max(200).nullable().default(null),
  /** How much it weighs when something must be late: 1 as usual, 3 more. */
  weight: z.union([z.literal(1), z.literal(3)]).default(1),
  needs: z.enum(['any', 'senior']).default('any'),
});
export type PlannedJob = z.infer<typeof shopJobSchema>;
export const USUAL_JOB: PlannedJob = shopJobSchema.parse({});

/** How a workshop works: its bays, people and days, and what is said of its jobs. */
export const shopWeekSchema = z
  .object({
    bays: z.array(name(40)).min(1, { message: 'one bay or more is accepted' }).max(8),
    people: z
      .array(z.object({ id: z.string().min(1).max(40), name: name(60), skill: z.enum(['any', 'senior']), away: z.array(day).max(60).default([]) }))
      .min(1, { message: 'one person or more is accepted' })
      .max(12),
    /** Days on which the licensed electrician comes. */
    licensedOn: z.array(day).max(60).default([]),
    /** Worked beside Monday to Friday. */
    saturdays: z.array(day).max(20).default([]),
    hoursPerDay: z.number().min(2).max(14).default(8),
    jobs: z.record(z.string(), shopJobSchema).default({}),
  })
  .superRefine(({ bays }, context) => {
    const again = bays.findIndex((b, i) => bays.indexOf(b) !== i);
    if (again >= 0) context.addIssue({ code: 'custom', path: ['bays', again], message: 'a name that no other bay has is accepted' });
  });
export type ShopWeek = z.infer<typeof shopWeekSchema>;

/** A workshop with one bay and one person, until it says otherwise. */
export const usualShop = (person: string): ShopWeek => ({
  bays: ['Bay 1'],
  people: [{ id: 'p1', name: person || 'You', skill: 'senior', away: [] }],
  licensedOn: [],
  saturdays: [],
  hoursPerDay: 8,
  jobs: {},
});

/** A job as it comes to the week: what is left to do on it, and by when. */
export interface ShopJob {
  readonly id: string;
  readonly name: string;
  /** Work left, by the minutes of its steps that are not done. */
  readonly minutes: number;
  /** A licensed electrician is wanted for its end. */
  readonly licensed: boolean;
  readonly promisedOn: string | null;
  /** The day by which what is ordered for it should be here, where nobody says another one; null: nothing is on its way. */
  readonly partsBy: string | null;
}

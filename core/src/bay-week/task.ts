import { z } from 'zod';

const id = z.string().min(1);
const halfDay = z.number().int().min(0);

/** A week of the workshop in half-days from 0: bays, people, and the jobs that want both. */
export const weekSchema = z
  .object({
    horizon: z.number().int().min(1).max(31),
    bays: z.array(id),
    people: z.array(z.object({ id, skill: z.enum(['any', 'senior']), away: z.array(halfDay).default([]) })),
    /** Half-days on which the licensed electrician is there for a job's last one. */
    licensedHalfDays: z.array(halfDay).default([]),
    jobs: z.array(
      z.object({
        id,
        halfDays: z.number().int().min(1),
        /** Its parts are there from then on. */
        partsFromHalfDay: halfDay.default(0),
        promisedHalfDay: z.number().int(),
        weight: z.number().min(0),
        needs: z.enum(['any', 'senior']),
        licensed: z.boolean().default(false),
        /** Promised to begin then and there. */
        fixed: z.object({ bay: id, start: halfDay }).nullish(),
      }),
    ),
  })
  .superRefine(({ bays, people, jobs }, context) => {
    const ids = { bays, people: people.map((p) => p.id), jobs: jobs.map((j) => j.id) };
    for (const [list, of] of Object.entries(ids)) {
      const again = of.findIndex((v, i) => of.indexOf(v) !== i);
      if (again >= 0) context.addIssue({ code: 'custom', path: [list, again, ...(list === 'bays' ? [] : ['id'])], message: `a name that no other of the ${list} has is accepted` });
    }
    jobs.forEach((j, i) => {
      if (j.fixed && !bays.includes(j.fixed.bay)) context.addIssue({ code: 'custom', path: ['jobs', i, 'fixed', 'bay'], message: `one of ${bays.join(', ') || 'no bays'} is accepted` });
    });
  });
export type WeekTask = z.infer<typeof weekSchema>;
export type WeekJob = WeekTask['jobs'][number];

export interface PlacedJob {
  readonly id: string;
  readonly bay: string;
  readonly person: string;
  /** Half-day it begins on. */
  readonly start: number;
}

export interface WeekPlan {
  /** Weights of the jobs that found no place. */
  readonly left: number;
  /** Weight × half-days after the promise, of the jobs that have one. */
  readonly lateness: number;
  readonly finishSum: number;
  readonly plan: readonly PlacedJob[];
  /** Only where the search was given up: a better plan may exist. */
  readonly proved?: false;
}

import { z } from 'zod';

const id = z.string().min(1);

/** Steps of a job: where each is done, with which tool, and after which others. */
export const buildOrderSchema = z
  .object({
    startPlace: id,
    /** What going to another place costs, and picking up another tool, min. */
    placeChangeMin: z.number().min(0),
    toolChangeMin: z.number().min(0),
    steps: z.array(z.object({ id, place: id, minutes: z.number().min(0).default(0), after: z.array(id).default([]), tool: id.nullish() })),
  })
  .superRefine(({ steps }, context) => {
    const ids = steps.map((s) => s.id);
    steps.forEach((s, i) => {
      if (ids.indexOf(s.id) !== i) context.addIssue({ code: 'custom', path: ['steps', i, 'id'], message: 'an id that no other step has is accepted' });
      const lost = s.after.findIndex((a) => !ids.includes(a));
      if (lost >= 0) context.addIssue({ code: 'custom', path: ['steps', i, 'after', lost], message: 'the id of another step is accepted' });
    });
  });
export type BuildTask = z.infer<typeof buildOrderSchema>;
export type BuildStep = BuildTask['steps'][number];

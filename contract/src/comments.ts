import { z } from 'zod';

/** What somebody says of a thing in a job: a run, a finding, or the job as a whole (empty). */
export const newCommentSchema = z.object({
  id: z.uuid(),
  about: z.string().max(200),
  text: z.string().trim().min(1, { message: 'what is to be said is accepted' }).max(2000, { message: 'up to 2000 letters are accepted' }),
});
export type NewComment = z.infer<typeof newCommentSchema>;

/** What was said; settled by somebody where it is done with. */
export const commentSchema = z.object({ id: z.string(), about: z.string(), text: z.string(), author: z.string(), at: z.string(), settledBy: z.string().nullable() });
export type Comment = z.infer<typeof commentSchema>;

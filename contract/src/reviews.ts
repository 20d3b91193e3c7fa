import { z } from 'zod';

/** That somebody looked a plan through as it was at a revision, with what they found. */
export const newReviewSchema = z.object({
  id: z.uuid(),
  revision: z.number().int().min(1),
  note: z.string().trim().max(1000, { message: 'up to 1000 letters are accepted' }),
});
export type NewReview = z.infer<typeof newReviewSchema>;

export const reviewSchema = z.object({ ...newReviewSchema.shape, note: z.string(), author: z.string(), at: z.string() });
export type Review = z.infer<typeof reviewSchema>;

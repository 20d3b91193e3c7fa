import type { NewReview, Review } from '@meridex/contract';
import { desc, eq } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { reviews } from '../db/schema.js';

/** Every review of a job, the newest first. */
export async function reviewsOf(tx: Tx, jobId: string): Promise<Review[]> {
  const rows = await tx.select().from(reviews).where(eq(reviews.jobId, jobId)).orderBy(desc(reviews.createdAt));
  return rows.map(({ id, revision, note, author, createdAt }) => ({ id, revision, note, author, at: createdAt }));
}

/** Keeps a review; sent twice it is kept once. */
export async function keepReview(tx: Tx, of: { readonly workshopId: string; readonly jobId: string; readonly author: string }, review: NewReview): Promise<void> {
  await tx
    .insert(reviews)
    .values({ ...of, ...review })
    .onConflictDoNothing();
}

import type { Comment, NewComment } from '@meridex/contract';
import { asc, eq } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { comments } from '../db/schema.js';

/** Everything that was said of a job, oldest first. */
export async function commentsOf(tx: Tx, jobId: string): Promise<Comment[]> {
  const rows = await tx.select().from(comments).where(eq(comments.jobId, jobId)).orderBy(asc(comments.createdAt));
  return rows.map(({ id, about, text, author, createdAt, settledBy }) => ({ id, about, text, author, at: createdAt, settledBy }));
}

/** Keeps what was said; sent twice it is kept once. */
export async function keepComment(tx: Tx, of: { readonly workshopId: string; readonly jobId: string; readonly author: string }, comment: NewComment): Promise<void> {
  await tx
    .insert(comments)
    .values({ ...of, ...comment })
    .onConflictDoNothing();
}

/** Says that something is done with, or is not after all; the job, null where it is not there. */
export async function settleComment(tx: Tx, id: string, by: string | null): Promise<string | null> {
  const [row] = await tx.update(comments).set({ settledBy: by }).where(eq(comments.id, id)).returning({ jobId: comments.jobId });
  return row?.jobId ?? null;
}

import type { NewPhoto, Photo, PhotoChange } from '@meridex/contract';
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { photos } from '../db/schema.js';

/** A job's photos, oldest first, without those that were taken away. */
export async function photosOf(tx: Tx, jobId: string): Promise<Photo[]> {
  const rows = await tx
    .select({ id: photos.id, about: photos.about, caption: photos.caption, small: photos.small, author: photos.author, at: photos.createdAt })
    .from(photos)
    .where(and(eq(photos.jobId, jobId), isNull(photos.takenAwayAt)))
    .orderBy(asc(photos.createdAt));
  return rows.map((r) => ({ ...r, small: r.small.toString('base64') }));
}

/** Keeps a photo; sent twice it is kept once. */
export async function keepPhoto(tx: Tx, of: { readonly workshopId: string; readonly jobId: string; readonly author: string }, { image, small, ...photo }: NewPhoto): Promise<void> {
  await tx
    .insert(photos)
    .values({ ...of, ...photo, image: Buffer.from(image, 'base64'), small: Buffer.from(small, 'base64') })
    .onConflictDoNothing();
}

/** The large picture; null where it is not there, or not this workshop's. */
export async function photoImage(tx: Tx, id: string): Promise<Buffer | null> {
  const [row] = await tx.select({ image: photos.image }).from(photos).where(eq(photos.id, id));
  return row?.image ?? null;
}

/** What a pack shows of a job: its photos as they are, oldest first. */
export async function picturesOf(
  tx: Tx,
  jobId: string,
  most: number,
): Promise<{ readonly about: string; readonly caption: string; readonly author: string; readonly at: string; readonly image: Buffer }[]> {
  return tx
    .select({ about: photos.about, caption: photos.caption, author: photos.author, at: photos.createdAt, image: photos.image })
    .from(photos)
    .where(and(eq(photos.jobId, jobId), isNull(photos.takenAwayAt)))
    .orderBy(asc(photos.createdAt))
    .limit(most);
}

/** Takes a photo off all lists and back, or says anew what it shows; the job that it is of, null where it is not there. */
export async function changePhoto(tx: Tx, id: string, { takenAway, caption }: PhotoChange): Promise<string | null> {
  const [row] = await tx
    .update(photos)
    .set({ ...(takenAway === undefined ? {} : { takenAwayAt: takenAway ? sql`now()` : null }), ...(caption === undefined ? {} : { caption }) })
    .where(eq(photos.id, id))
    .returning({ jobId: photos.jobId });
  return row?.jobId ?? null;
}

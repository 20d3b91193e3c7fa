import { asc, eq } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { ticks } from '../db/schema.js';

export interface Tick {
  readonly id: string;
  readonly stepId: string;
  readonly done: boolean;
  readonly author: string;
  readonly at: string;
}

/** All ticks of a job, oldest first; the last of a step is the one that counts. */
export async function ticksOf(tx: Tx, jobId: string): Promise<Tick[]> {
  const rows = await tx.select().from(ticks).where(eq(ticks.jobId, jobId)).orderBy(asc(ticks.createdAt));
  return rows.map(({ id, stepId, done, author, createdAt }) => ({ id, stepId, done, author, at: createdAt }));
}

/** Keeps a tick; sent twice it is kept once. */
export async function keepTick(tx: Tx, workshopId: string, jobId: string, t: Omit<Tick, 'at'>): Promise<void> {
  await tx
    .insert(ticks)
    .values({ ...t, workshopId, jobId })
    .onConflictDoNothing();
}

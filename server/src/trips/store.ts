import type { ManyTrips } from '@meridex/core';
import { and, desc, eq, inArray } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { tripRuns } from '../db/schema.js';

export type TripRun = typeof tripRuns.$inferSelect;

export async function askForTrips(tx: Tx, run: Pick<TripRun, 'workshopId' | 'jobId' | 'vehicle' | 'revision' | 'trips' | 'oneByOne' | 'author'>): Promise<TripRun> {
  const [row] = await tx.insert(tripRuns).values(run).returning();
  return row!;
}

export async function tripRun(tx: Tx, id: string): Promise<TripRun | null> {
  const [row] = await tx.select().from(tripRuns).where(eq(tripRuns.id, id));
  return row ?? null;
}

/** The newest run of a vehicle of a job. */
export async function newestTripRun(tx: Tx, jobId: string, vehicle: string): Promise<TripRun | null> {
  const [row] = await tx
    .select()
    .from(tripRuns)
    .where(and(eq(tripRuns.jobId, jobId), eq(tripRuns.vehicle, vehicle)))
    .orderBy(desc(tripRuns.createdAt))
    .limit(1);
  return row ?? null;
}

/** Writes how far a run has come; false when it was stopped meanwhile, and then nothing is written. */
export async function tripsDone(tx: Tx, id: string, done: number, end?: { readonly state: 'done' | 'failed'; readonly result: ManyTrips | null }): Promise<boolean> {
  const rows = await tx
    .update(tripRuns)
    .set({ done, state: end?.state ?? 'running', ...(end ? { result: end.result } : {}) })
    .where(and(eq(tripRuns.id, id), inArray(tripRuns.state, ['waiting', 'running'])))
    .returning({ id: tripRuns.id });
  return rows.length > 0;
}

/** Ends a run that is waiting or under way; what it had comes with the worker's last word. */
export async function stopTrips(tx: Tx, id: string): Promise<void> {
  await tx
    .update(tripRuns)
    .set({ state: 'stopped' })
    .where(and(eq(tripRuns.id, id), inArray(tripRuns.state, ['waiting', 'running'])));
}

/** The result of as many trips as a stopped run had done. */
export async function keepStopped(tx: Tx, id: string, done: number, result: ManyTrips): Promise<void> {
  await tx
    .update(tripRuns)
    .set({ done, result })
    .where(and(eq(tripRuns.id, id), eq(tripRuns.state, 'stopped')));
}

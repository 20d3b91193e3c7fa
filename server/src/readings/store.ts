import { asc, eq } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { readings } from '../db/schema.js';

export interface Reading {
  readonly id: string;
  readonly rowId: string;
  readonly value: number;
  readonly unit: string;
  readonly revision: number;
  readonly author: string;
  readonly at: string;
}

/** All readings of a job, oldest first; the last of a row is the one that counts. */
export async function readingsOf(tx: Tx, jobId: string): Promise<Reading[]> {
  const rows = await tx.select().from(readings).where(eq(readings.jobId, jobId)).orderBy(asc(readings.createdAt));
  return rows.map(({ id, rowId, value, unit, revision, author, createdAt }) => ({ id, rowId, value, unit, revision, author, at: createdAt }));
}

/** The latest reading of each row. */
export function latest(all: readonly Reading[]): Record<string, Reading> {
  return Object.fromEntries(all.map((r) => [r.rowId, r]));
}

/** Keeps a reading; sent twice it is kept once. */
export async function keepReading(tx: Tx, workshopId: string, jobId: string, r: Omit<Reading, 'at'>): Promise<void> {
  await tx
    .insert(readings)
    .values({ ...r, workshopId, jobId })
    .onConflictDoNothing();
}

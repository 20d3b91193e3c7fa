import type { LiveEvent } from '@meridex/contract';
import { sql } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { CHANNEL } from '../db/live.js';

/** Tells all servers on this database what happened in a job; it is heard when the transaction is through, and not if it fails. */
export async function tell(tx: Tx, jobId: string, event: LiveEvent): Promise<void> {
  await tx.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify({ jobId, event })})`);
}

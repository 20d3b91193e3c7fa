import type { LiveEvent } from '@meridex/contract';
import { afterwards, type Tx } from '../db/client.js';

/** Tells all servers on this database what happened in a job; it is heard when the transaction is through, and not if it fails. */
export const tell = (tx: Tx, jobId: string, event: LiveEvent): void => afterwards(tx, JSON.stringify({ jobId, event }));

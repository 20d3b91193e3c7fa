import { eq, sql } from 'drizzle-orm';
import type { Database } from '../db/client.js';
import { failedSignIns } from '../db/schema.js';
import { hashToken } from './password.js';

/** Tries that cost nothing: everybody mistypes. */
const FREE_TRIES = 5;
const MOST_WAIT_S = 300;

/**
 * Seconds from the last failed try until the next one is looked at, after so many; each doubles it.
 * @example waitS(5) // 1
 * @example waitS(9) // 16
 */
export const waitS = (failed: number): number => (failed < FREE_TRIES ? 0 : Math.min(MOST_WAIT_S, 2 ** (failed - FREE_TRIES)));

/** Failed tries are counted by typed address, known or not: from many places at once one password is still tried slowly. */
export const slowDown = (db: Database) => ({
  /** Seconds that this address still waits, 0: none. */
  async leftS(address: string): Promise<number> {
    const key = hashToken(address);
    const [row] = await db.outside((tx) =>
      tx
        .select({ count: failedSignIns.count, passedS: sql<number>`extract(epoch from now() - ${failedSignIns.lastAt})::float` })
        .from(failedSignIns)
        .where(eq(failedSignIns.addressHash, key)),
    );
    return row ? Math.max(0, Math.ceil(waitS(row.count) - row.passedS)) : 0;
  },
  async failed(address: string): Promise<void> {
    const key = hashToken(address);
    await db.outside((tx) =>
      tx
        .insert(failedSignIns)
        .values({ addressHash: key, count: 1 })
        .onConflictDoUpdate({ target: failedSignIns.addressHash, set: { count: sql`${failedSignIns.count} + 1`, lastAt: sql`now()` } }),
    );
  },
  async fits(address: string): Promise<void> {
    await db.outside((tx) => tx.delete(failedSignIns).where(eq(failedSignIns.addressHash, hashToken(address))));
  },
});

import type { KeptWeek } from '@meridex/contract';
import { shopWeekSchema, type ShopWeek } from '@meridex/core';
import { and, eq } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { bayWeeks } from '../db/schema.js';

/** What was said of the week of the transaction's workshop. */
export async function keptWeek(tx: Tx): Promise<KeptWeek<ShopWeek>> {
  const [row] = await tx.select().from(bayWeeks);
  return row ? { week: shopWeekSchema.parse(row.document), revision: row.revision, author: row.author } : { week: null, revision: 0, author: '' };
}

/** Keeps a change made on a revision; false where another was kept since. */
export async function keepWeek(tx: Tx, workshopId: string, author: string, week: ShopWeek, on: number): Promise<boolean> {
  const row = { document: week, revision: on + 1, author, changedAt: new Date().toISOString() };
  const kept =
    on === 0
      ? await tx
          .insert(bayWeeks)
          .values({ workshopId, ...row })
          .onConflictDoNothing()
          .returning({ revision: bayWeeks.revision })
      : await tx
          .update(bayWeeks)
          .set(row)
          .where(and(eq(bayWeeks.workshopId, workshopId), eq(bayWeeks.revision, on)))
          .returning({ revision: bayWeeks.revision });
  return kept.length === 1;
}

import type { NewPriceList, PriceList } from '@meridex/contract';
import { and, desc, eq } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { priceChoices, priceLists } from '../db/schema.js';

/** The newest list of each supplier that was not put away, with what people chose of it. */
export async function listsOf(tx: Tx): Promise<PriceList[]> {
  const lists = await tx.selectDistinctOn([priceLists.supplier]).from(priceLists).orderBy(priceLists.supplier, desc(priceLists.createdAt));
  const choices = await tx.select().from(priceChoices);
  return lists
    .filter((l) => !l.retired)
    .map(({ id, supplier, listedOn, items, author }) => ({
      id,
      supplier,
      on: listedOn,
      items,
      author,
      chosen: Object.fromEntries(choices.filter((c) => c.supplier === supplier).map((c) => [c.key, c.code])),
    }));
}

/** Keeps a list; sent twice it is kept once. */
export async function keepList(tx: Tx, of: { readonly workshopId: string; readonly author: string }, { id, supplier, on, items }: NewPriceList): Promise<void> {
  await tx
    .insert(priceLists)
    .values({ ...of, id, supplier, listedOn: on, items })
    .onConflictDoNothing();
}

/** No list of this supplier is asked any more; false: there is none. */
export async function putAway(tx: Tx, supplier: string): Promise<boolean> {
  const rows = await tx
    .update(priceLists)
    .set({ retired: true })
    .where(and(eq(priceLists.supplier, supplier), eq(priceLists.retired, false)))
    .returning({ id: priceLists.id });
  return rows.length > 0;
}

/** Keeps what of a supplier's list a line is. */
export async function choose(tx: Tx, of: { readonly workshopId: string; readonly author: string; readonly supplier: string; readonly key: string; readonly code: string }): Promise<void> {
  const { code, author } = of;
  await tx
    .insert(priceChoices)
    .values(of)
    .onConflictDoUpdate({ target: [priceChoices.workshopId, priceChoices.supplier, priceChoices.key], set: { code, author, createdAt: new Date().toISOString() } });
}

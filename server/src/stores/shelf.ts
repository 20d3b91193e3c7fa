import type { Count, OnShelf } from '@meridex/contract';
import { desc, sql } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { shelfCounts } from '../db/schema.js';

interface Taken {
  readonly key: string;
  readonly what: string;
  readonly unit: 'pc' | 'm';
  readonly shelf: number;
}

/** What all jobs but one together have off the shelf, deleted ones too: a document knows what it took, so that an undo gives it back. */
async function takenBy(tx: Tx, but: string | null): Promise<ReadonlyMap<string, Taken>> {
  const { rows } = await tx.execute<{ key: string; what: string; unit: 'pc' | 'm'; shelf: number }>(sql`
    with newest as (select distinct on (job_id) document from design_revisions where job_id is distinct from ${but}::uuid order by job_id, number desc),
    bought as (
      select document -> 'bought' as b from newest
      union all
      select v.value -> 'bought' from newest, jsonb_each(coalesce(document -> 'vehicles', '{}'::jsonb)) v
    )
    select e.key, max(e.value ->> 'what') as what, max(e.value ->> 'unit') as unit, sum((e.value ->> 'shelf')::float8)::float8 as shelf
    from bought, jsonb_each(coalesce(b, '{}'::jsonb)) e
    where e.value ? 'shelf'
    group by e.key
    having sum((e.value ->> 'shelf')::float8) <> 0`);
  return new Map(rows.map((r) => [r.key, r]));
}

/**
 * What lies on the shelf: what was counted last, less what jobs took since and with what they put there. `but`: as if
 * that job had taken nothing, whose document the asker has before them, newer than the server's.
 */
export async function onShelf(tx: Tx, but: string | null): Promise<OnShelf[]> {
  const taken = await takenBy(tx, but);
  const counts = await tx.selectDistinctOn([shelfCounts.key]).from(shelfCounts).orderBy(shelfCounts.key, desc(shelfCounts.createdAt));
  const known = counts.map(({ key, what, unit, base, author, createdAt }): OnShelf => ({ key, what, unit, count: round(base - (taken.get(key)?.shelf ?? 0)), counted: createdAt, author }));
  const there = new Set(counts.map((c) => c.key));
  const put = [...taken.values()].filter((t) => !there.has(t.key) && t.shelf < 0).map(({ key, what, unit, shelf }): OnShelf => ({ key, what, unit, count: round(-shelf), counted: null, author: '' }));
  return [...known, ...put].sort((a, b) => a.what.localeCompare(b.what, 'en', { numeric: true }));
}

const round = (n: number): number => Math.round(n * 100) / 100;

/** Keeps what somebody counted, as of what jobs have taken by now. */
export async function keepCount(tx: Tx, of: { readonly workshopId: string; readonly author: string; readonly key: string }, { what, unit, count }: Count): Promise<void> {
  const taken = (await takenBy(tx, null)).get(of.key)?.shelf ?? 0;
  await tx.insert(shelfCounts).values({ ...of, what, unit, base: count + taken });
}

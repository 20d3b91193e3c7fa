import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Tx } from '../db/client.js';

/** A job whose newest plan has a part, with whom it is for, in which vehicle, and how far it is. */
export const usedInSchema = z.object({ jobId: z.uuid(), customer: z.string(), plate: z.string(), vehicle: z.string(), state: z.string() });
export type UsedIn = z.infer<typeof usedInSchema>;

/** Jobs that have a part in any of their vehicles, wherever it stands in the plan; what is built first, since that is on the road. */
export async function usedIn(tx: Tx, partId: string): Promise<UsedIn[]> {
  const vars = JSON.stringify({ part: partId });
  const { rows } = await tx.execute<UsedIn & Record<string, unknown>>(sql`
    with newest as (select distinct on (job_id) job_id, document from design_revisions order by job_id, number desc)
    select j.id as "jobId", n.document #>> '{brief,customer}' as customer, n.document #>> '{brief,plate}' as plate, coalesce(s.summary ->> 'vehicle', '') as vehicle, j.state
    from newest n
    join jobs j on j.id = n.job_id and j.deleted_at is null
    left join job_summaries s on s.job_id = j.id
    where jsonb_path_exists(n.document, 'lax $.**.part ? (@ == $part)', ${vars}::jsonb)
    order by j.state in ('handed over', 'in service', 'closed', 'sign-off') desc, customer`);
  return rows;
}

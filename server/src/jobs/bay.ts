import { isOut } from '@meridex/core';
import { and, asc, desc, eq, inArray, isNull, max, or, sql } from 'drizzle-orm';
import { readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { aside, TookTooLong } from '../aside/aside.js';
import type { Tx } from '../db/client.js';
import { customers, designRevisions, jobs, jobSummaries, readings, ticks } from '../db/schema.js';
import { type JobSummary, unreadable, waiting } from './summary.js';
import type { SummaryAsked } from './work.js';

const summaryOf = aside<SummaryAsked, JobSummary>(new URL('./work.js', import.meta.url));

/** A line of the bay sheet. */
export interface JobLine extends Pick<JobSummary, 'customer' | 'vehicle' | 'plate' | 'stages' | 'hold' | 'next' | 'minutes' | 'licensed' | 'partsBy'> {
  readonly id: string;
  readonly promisedOn: string | null;
  readonly state: string;
  readonly note: string;
  /** Of the customer; empty: nobody has said it yet, or it is not for who asks. */
  readonly phone: string;
}

/** Something to have on the shelf for the jobs that are promised soon. */
export interface ToBuy {
  readonly what: string;
  readonly quantity: number;
  readonly unit: string;
}

export interface BaySheet {
  readonly lines: readonly JobLine[];
  /** Cable and protection for the jobs promised within the week that are not fitted yet, the dearest first. */
  readonly buy: readonly ToBuy[];
  /** Jobs that are out and come back for care. */
  readonly care: readonly { readonly id: string; readonly customer: string; readonly on: string | null; readonly what: string }[];
  readonly deleted: readonly { readonly id: string; readonly customer: string }[];
  /** Lines that still say what they said before, or nothing: asked for again, the next of them are worked out. */
  readonly pending: number;
}

const SOON_MS = 7 * 86_400_000;
const MOST_TO_BUY = 6;
/** Jobs worked out at one asking: after a new program all of them are to be, and nobody waits for that. */
const AT_ONCE = 25;
/** When the newest file of a folder was made, whichever that is: a build leaves those alone that did not change. */
function newestIn(folder: string): number {
  return Math.max(...readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((file) => statSync(join(folder, file)).mtimeMs));
}

/** Another program may say other things of the same job. */
const PROGRAM = [dirname(fileURLToPath(import.meta.resolve('@meridex/core'))), import.meta.dirname].map(newestIn).join(' ');

function toBuy(takes: readonly JobSummary['takes'][]): ToBuy[] {
  const sum = new Map<string, { what: string; quantity: number; unit: string; price: number }>();
  for (const l of takes.flat()) {
    const there = sum.get(l.what) ?? { what: l.what, quantity: 0, unit: l.unit, price: 0 };
    sum.set(l.what, { ...there, quantity: there.quantity + l.quantity, price: there.price + l.price });
  }
  return [...sum.values()]
    .sort((a, b) => b.price - a.price)
    .slice(0, MOST_TO_BUY)
    .map(({ what, quantity, unit }) => ({ what, quantity, unit }));
}

/** Jobs with all that their summaries depend on: newest revision, last tick and reading, state and note. */
async function jobRows(tx: Tx) {
  const newest = tx
    .select({ jobId: designRevisions.jobId, number: max(designRevisions.number).as('number') })
    .from(designRevisions)
    .groupBy(designRevisions.jobId)
    .as('newest');
  const ticked = tx
    .select({ jobId: ticks.jobId, at: max(ticks.createdAt).as('ticked_at') })
    .from(ticks)
    .groupBy(ticks.jobId)
    .as('ticked');
  const read = tx
    .select({ jobId: readings.jobId, at: max(readings.createdAt).as('read_at') })
    .from(readings)
    .groupBy(readings.jobId)
    .as('read');
  const rows = await tx
    .select({ job: jobs, customer: customers.name, phone: customers.phone, number: newest.number, tickedAt: ticked.at, readAt: read.at, of: jobSummaries.of, summary: jobSummaries.summary })
    .from(jobs)
    .innerJoin(newest, eq(newest.jobId, jobs.id))
    .innerJoin(customers, eq(customers.id, jobs.customerId))
    .leftJoin(ticked, eq(ticked.jobId, jobs.id))
    .leftJoin(read, eq(read.jobId, jobs.id))
    .leftJoin(jobSummaries, eq(jobSummaries.jobId, jobs.id))
    .where(isNull(jobs.deletedAt))
    .orderBy(sql`${jobs.promisedOn} nulls last`, asc(jobs.createdAt));
  const today = new Date().toISOString().slice(0, 10);
  // Where parts are on their way, or care falls due, a day that passes makes it late.
  return rows.map((r) => ({ ...r, wanted: [PROGRAM, r.number, r.tickedAt, r.readAt, r.job.state, r.job.note, ...(r.summary?.partsBy || r.summary?.care ? [today] : [])].join('|') }));
}
type Row = Awaited<ReturnType<typeof jobRows>>[number];

/** Works out the summaries of jobs that changed since, and keeps them. */
async function workOut(tx: Tx, stale: readonly Row[]): Promise<ReadonlyMap<string, JobSummary>> {
  const ids = stale.map((r) => r.job.id);
  if (!ids.length) return new Map();
  const lastTicks = await tx.selectDistinctOn([ticks.jobId, ticks.stepId]).from(ticks).where(inArray(ticks.jobId, ids)).orderBy(asc(ticks.jobId), asc(ticks.stepId), desc(ticks.createdAt));
  const readRows = await tx.selectDistinct({ jobId: readings.jobId, rowId: readings.rowId }).from(readings).where(inArray(readings.jobId, ids));
  const documents = await tx
    .select({ jobId: designRevisions.jobId, document: designRevisions.document })
    .from(designRevisions)
    .where(or(...stale.map((r) => and(eq(designRevisions.jobId, r.job.id), eq(designRevisions.number, r.number!)))));
  const worked = await Promise.all(
    stale.map(async ({ job, customer, wanted }) => {
      const document = documents.find((d) => d.jobId === job.id)!.document;
      const ticked = new Set(lastTicks.filter((t) => t.jobId === job.id && t.done).map((t) => t.stepId));
      const read = new Set(readRows.filter((r) => r.jobId === job.id).map((r) => r.rowId));
      let of = wanted;
      const summary = await summaryOf({ job: { state: job.state, note: job.note }, customer, document, ticked, read }).catch((error: unknown) => {
        if (!(error instanceof TookTooLong)) throw error;
        // Not for good: a busy moment is no fault of the job's, and it is asked for again the next time.
        of = '';
        return unreadable(customer, error.message);
      });
      return { jobId: job.id, workshopId: job.workshopId, of, summary };
    }),
  );
  await tx
    .insert(jobSummaries)
    .values(worked)
    .onConflictDoUpdate({ target: jobSummaries.jobId, set: { of: sql`excluded.of`, summary: sql`excluded.summary` } });
  return new Map(worked.map((w) => [w.jobId, w.summary]));
}

/** The bay sheet: all jobs by promised day, those without one last, and what they call for. Only what changed since is worked out. */
export async function baySheet(tx: Tx): Promise<BaySheet> {
  const rows = await jobRows(tx);
  const stale = rows.filter((r) => r.of !== r.wanted);
  const fresh = await workOut(tx, stale.slice(0, AT_ONCE));
  const soon = new Date(Date.now() + SOON_MS).toISOString().slice(0, 10);
  const [lines, takes, care]: [JobLine[], JobSummary['takes'][], BaySheet['care'][number][]] = [[], [], []];
  for (const { job, summary, customer: owner, phone } of rows) {
    const { customer, vehicle, plate, stages, hold, next, minutes, licensed, partsBy, care: due, ...s } = fresh.get(job.id) ?? summary ?? waiting(owner);
    lines.push({ id: job.id, promisedOn: job.promisedOn, state: job.state, note: job.note, phone, customer, vehicle, plate, stages, hold, next, minutes, licensed, partsBy });
    if (job.state === 'closed' || job.state === 'template') continue;
    if (isOut(job.state)) care.push({ id: job.id, customer, on: due?.on ?? null, what: due?.what ?? '' });
    else if (job.promisedOn !== null && job.promisedOn <= soon && !s.fitted) takes.push(s.takes);
  }
  const deleted = await tx
    .select({ id: jobs.id, customer: customers.name })
    .from(jobs)
    .innerJoin(customers, eq(customers.id, jobs.customerId))
    .where(sql`${jobs.deletedAt} is not null`)
    .orderBy(desc(jobs.deletedAt))
    .limit(50);
  care.sort((x, y) => (x.on ?? '9').localeCompare(y.on ?? '9'));
  return { lines, buy: toBuy(takes), care, deleted, pending: Math.max(0, stale.length - AT_ONCE) };
}

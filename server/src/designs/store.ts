import type { HistoryEntry, SaveRevision } from '@meridex/contract';
import { clashes, editDesign, OWN, readDesign, SIGNED_BEFORE, valueAt, type Design, type Patch } from '@meridex/core';
import { and, desc, eq, gt, lt, notInArray } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { designRevisions, jobs } from '../db/schema.js';
import { tell } from '../live/tell.js';
import { keepRegister } from '../jobs/register.js';

export interface Revision {
  readonly number: number;
  readonly design: Design;
  readonly author: string;
  readonly at: string;
}

/** A value that two people changed: what each of them has. */
export interface Clash {
  readonly path: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

export type Saved =
  | { readonly ok: true; readonly revision: Revision; readonly merged: boolean }
  | { readonly ok: false; readonly status: 403 | 404 | 409 | 422; readonly message: string; readonly clashes?: readonly Clash[]; readonly newest?: Revision };

export interface Save extends SaveRevision {
  readonly patch: Patch;
  readonly author: string;
  /** Why the author may not accept findings, or sign for the 230 V side, in words; null: they may. */
  readonly mayNotAccept: string | null;
  readonly mayNotSign: string | null;
}

function asRevision(row: typeof designRevisions.$inferSelect): Revision {
  const read = readDesign(row.document);
  if (!read.ok) throw Object.assign(new Error(`Revision ${row.number} cannot be read by this Meridex: ${read.message}`), { statusCode: 422 });
  return { number: row.number, design: read.design, author: row.author, at: row.createdAt };
}

/** The newest revision of a job; null when the job is not this workshop's. */
export async function newestRevision(tx: Tx, jobId: string): Promise<Revision | null> {
  const [row] = await tx.select().from(designRevisions).where(eq(designRevisions.jobId, jobId)).orderBy(desc(designRevisions.number)).limit(1);
  return row ? asRevision(row) : null;
}

/** One revision of a job; null when it is not there, or not this workshop's. */
export async function revisionOf(tx: Tx, jobId: string, number: number): Promise<Revision | null> {
  const [row] = await tx
    .select()
    .from(designRevisions)
    .where(and(eq(designRevisions.jobId, jobId), eq(designRevisions.number, number)));
  return row ? asRevision(row) : null;
}

/** Writes the first revision of a new job. */
export async function firstRevision(tx: Tx, workshopId: string, jobId: string, design: Design, author: string): Promise<void> {
  await tx.insert(designRevisions).values({ jobId, workshopId, number: 1, base: 0, patch: [], document: design, clientId: crypto.randomUUID(), author, label: 'job opened' });
}

function clashesOf(mine: Patch, since: readonly { readonly patch: Patch }[], newest: Design): Clash[] {
  const theirs = since.flatMap((r) => r.patch);
  return clashes(mine, theirs).map((path) => {
    const op = mine.find((o) => o.path === path)!;
    return { path, mine: 'value' in op ? op.value : null, theirs: valueAt(newest, path) ?? null };
  });
}

type Vows = Pick<Design, 'accepted' | 'mains'>;

/** True where one document has something said by name that the other has not, or otherwise, in any vehicle of the job. */
function vowsMore(after: Design, before: Design, vows: (of: Vows) => Readonly<Record<string, unknown>>): boolean {
  const all = (d: Design): Map<string, string> =>
    new Map(
      [[OWN, d] as const, ...Object.entries(d.vehicles)].flatMap(([id, of]) =>
        Object.entries(vows(of)).flatMap(([key, vow]) => (vow === null ? [] : [[`${id} ${key}`, JSON.stringify(vow)] as const])),
      ),
    );
  const there = all(before);
  return [...all(after)].some(([key, vow]) => there.get(key) !== vow);
}

/** What is signed for of the 230 V side: the signature with the answers that stand under it, as it is kept now and as it was before. */
const signatures = ({ accepted, mains: { signed, notOurs, answers } }: Vows): Readonly<Record<string, unknown>> => ({
  signed: signed && { ...signed, answers },
  notOurs,
  [SIGNED_BEFORE]: accepted[SIGNED_BEFORE] ?? null,
});

/** Why its author may not say by name what an edit says so; null: they may. */
function mayNotVow(save: Save, after: Design, before: Design): string | null {
  if (save.mayNotAccept !== null && vowsMore(after, before, (of) => of.accepted)) return save.mayNotAccept;
  if (save.mayNotSign !== null && vowsMore(after, before, signatures)) return save.mayNotSign;
  return null;
}

/** What the register of customers and vehicles takes from a plan. */
const registered = ({ brief: { customer, vehicleKind, plate } }: Design): string => JSON.stringify([customer, vehicleKind, plate]);

/**
 * Keeps an edit. It names the revision it was made on: when others have saved since, edits of different things merge,
 * and edits of the same thing come back with both values. What its author saved since, beneath it, is none of the
 * others'. Sent twice, it is kept once.
 */
export async function saveRevision(tx: Tx, workshopId: string, jobId: string, save: Save): Promise<Saved> {
  // The job's row is the queue in which savers of one job wait for each other.
  const [job] = await tx.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, jobId)).for('update');
  const newest = job ? await newestRevision(tx, jobId) : null;
  if (!newest) return { ok: false, status: 404, message: 'This job is not in your workshop.' };
  const [again] = await tx
    .select()
    .from(designRevisions)
    .where(and(eq(designRevisions.clientId, save.clientId), eq(designRevisions.jobId, jobId)));
  if (again) return { ok: true, revision: asRevision(again), merged: false };
  if (save.base > newest.number) return { ok: false, status: 422, message: `base: got ${save.base}; the newest revision is ${newest.number}` };
  const since =
    save.base < newest.number
      ? await tx
          .select({ patch: designRevisions.patch })
          .from(designRevisions)
          .where(and(eq(designRevisions.jobId, jobId), gt(designRevisions.number, save.base), save.on.length ? notInArray(designRevisions.clientId, [...save.on]) : undefined))
      : [];
  const both = clashesOf(save.patch, since, newest.design);
  if (both.length) return { ok: false, status: 409, message: 'Someone changed the same thing meanwhile.', clashes: both, newest };
  const edited = editDesign(newest.design, save.patch);
  if (!edited.ok) return { ok: false, status: 422, message: edited.message };
  const mayNot = mayNotVow(save, edited.design, newest.design);
  if (mayNot !== null) return { ok: false, status: 403, message: mayNot };
  const [row] = await tx
    .insert(designRevisions)
    .values({ jobId, workshopId, number: newest.number + 1, base: save.base, patch: save.patch, document: edited.design, clientId: save.clientId, author: save.author, label: save.label })
    .returning();
  if (registered(edited.design) !== registered(newest.design)) await keepRegister(tx, jobId, edited.design);
  tell(tx, jobId, { what: 'revision', number: newest.number + 1 });
  return { ok: true, revision: asRevision(row!), merged: since.length > 0 };
}

/** Who changed what and when, newest first: the newest hundred, or the hundred before a revision. */
export async function history(tx: Tx, jobId: string, before?: number): Promise<HistoryEntry[]> {
  const rows = await tx
    .select({ number: designRevisions.number, author: designRevisions.author, at: designRevisions.createdAt, label: designRevisions.label, patch: designRevisions.patch })
    .from(designRevisions)
    .where(and(eq(designRevisions.jobId, jobId), before === undefined ? undefined : lt(designRevisions.number, before)))
    .orderBy(desc(designRevisions.number))
    .limit(100);
  return rows.map((r) => ({ number: r.number, author: r.author, at: r.at, label: r.label, paths: r.patch.map((o) => o.path) }));
}

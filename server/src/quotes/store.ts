import { JOB_STATES, type AcceptQuote, type JobState, type OpenQuote, type QuoteState, type SentQuote } from '@meridex/contract';
import type { Quote } from '@meridex/core';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import { hashToken, newToken } from '../accounts/password.js';
import type { Database, Tx } from '../db/client.js';
import { jobs, quotes } from '../db/schema.js';
import { tell } from '../live/tell.js';
import { ownWorkshop } from '../workshop/store.js';

type Row = typeof quotes.$inferSelect;

const today = (): string => new Date().toISOString().slice(0, 10);

function stateOf({ acceptedAt, withdrawnAt, validUntil }: Row): QuoteState {
  if (acceptedAt) return 'accepted';
  if (withdrawnAt) return 'withdrawn';
  return validUntil < today() ? 'run out' : 'open';
}

const acceptedOf = ({ acceptedAt, acceptedBy, acceptedOption, document }: Row): SentQuote['accepted'] =>
  acceptedAt ? { option: document.options.find((o) => o.key === acceptedOption)?.name ?? '', by: acceptedBy!, at: acceptedAt } : null;

/** All quotes of a job, the newest first. */
export async function quotesOf(tx: Tx, jobId: string): Promise<SentQuote[]> {
  const rows = await tx.select().from(quotes).where(eq(quotes.jobId, jobId)).orderBy(desc(quotes.createdAt));
  return rows.map((r) => ({
    id: r.id,
    at: r.createdAt,
    author: r.author,
    revision: r.revision,
    until: r.validUntil,
    state: stateOf(r),
    options: r.document.options.map(({ key, name, totalMinor }) => ({ key, name, totalMinor })),
    accepted: acceptedOf(r),
  }));
}

/** Puts a job forward to a state, unless it is there or further already. */
async function forward(tx: Tx, jobId: string, to: JobState): Promise<void> {
  const [job] = await tx.select({ state: jobs.state }).from(jobs).where(eq(jobs.id, jobId));
  if (job && JOB_STATES.indexOf(job.state as JobState) < JOB_STATES.indexOf(to)) await tx.update(jobs).set({ state: to }).where(eq(jobs.id, jobId));
}

export interface NewQuote {
  readonly id: string;
  readonly workshopId: string;
  readonly jobId: string;
  readonly author: string;
  readonly revision: number;
  readonly until: string;
  readonly quote: Quote;
}

/** Keeps a quote as it is sent, and takes back those of the job that were open: one stands at a time. The link's token. */
export async function sendQuote(tx: Tx, { id, workshopId, jobId, author, revision, until, quote }: NewQuote): Promise<string> {
  const { token, tokenHash } = newToken();
  await tx
    .update(quotes)
    .set({ withdrawnAt: sql`now()` })
    .where(and(eq(quotes.jobId, jobId), isNull(quotes.acceptedAt), isNull(quotes.withdrawnAt)));
  await tx.insert(quotes).values({ id, workshopId, jobId, tokenHash, revision, document: quote, validUntil: until, author });
  await forward(tx, jobId, 'quoted');
  tell(tx, jobId, { what: 'quote' });
  return token;
}

/** A new link in the place of the one that was sent; null: there is no such quote. */
export async function newLink(tx: Tx, id: string): Promise<string | null> {
  const { token, tokenHash } = newToken();
  const done = await tx.update(quotes).set({ tokenHash }).where(eq(quotes.id, id)).returning({ id: quotes.id });
  return done.length ? token : null;
}

/** Takes an open quote back; false where it is not there or no longer open. */
export async function withdraw(tx: Tx, id: string): Promise<boolean> {
  const [row] = await tx
    .update(quotes)
    .set({ withdrawnAt: sql`now()` })
    .where(and(eq(quotes.id, id), isNull(quotes.acceptedAt), isNull(quotes.withdrawnAt)))
    .returning({ jobId: quotes.jobId });
  if (row) tell(tx, row.jobId, { what: 'quote' });
  return row !== undefined;
}

/** The quote behind a link's token. */
export async function quoteBehind(db: Database, token: string): Promise<Row | null> {
  const tokenHash = hashToken(token);
  const [row] = await db.withSetting('app.quote_hash', tokenHash, (tx) => tx.select().from(quotes).where(eq(quotes.tokenHash, tokenHash)));
  return row ?? null;
}

/** A quote of the workshop by its id; null: there is none. */
export async function quoteOfOwn(tx: Tx, id: string): Promise<Row | null> {
  const [row] = await tx.select().from(quotes).where(eq(quotes.id, id));
  return row ?? null;
}

/** A quote as whoever has its link sees it. */
export const asOpen = (db: Database, row: Row): Promise<OpenQuote<Quote>> =>
  db.inWorkshop(row.workshopId, async (tx) => {
    const { rules: _, ...workshop } = await ownWorkshop(tx);
    return { workshop, quote: row.document, at: row.createdAt, until: row.validUntil, state: stateOf(row), accepted: acceptedOf(row) };
  });

/** Accepts an option by name, once and while the quote is open; else why it cannot be, in words. */
export async function accept(db: Database, { id, workshopId, jobId, document }: Row, { option, name }: AcceptQuote): Promise<string | null> {
  if (!document.options.some((o) => o.key === option)) return `option: ${option} is not in this quote; one of ${document.options.map((o) => o.key).join(', ')} is accepted`;
  return db.inWorkshop(workshopId, async (tx) => {
    const [now] = await tx.select().from(quotes).where(eq(quotes.id, id)).for('update');
    const state = stateOf(now!);
    if (state === 'accepted') return `This quote was accepted already, by ${now!.acceptedBy}.`;
    if (state === 'withdrawn') return 'The workshop has taken this quote back: ask it for the new one.';
    if (state === 'run out') return `This quote stood until ${now!.validUntil}: ask the workshop for a new one.`;
    await tx
      .update(quotes)
      .set({ acceptedOption: option as Row['acceptedOption'], acceptedBy: name, acceptedAt: sql`now()` })
      .where(eq(quotes.id, id));
    await forward(tx, jobId, 'accepted');
    tell(tx, jobId, { what: 'quote' });
    return null;
  });
}

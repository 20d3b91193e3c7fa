import {
  assessWhole,
  type Assessment,
  blankDesign,
  type Design,
  type Done,
  inWords,
  isOut,
  type Progress,
  catalogueOf,
  type Stage,
  stageProgress,
  STAGES,
  vehicleIds,
  vehicleName,
} from '@meridex/core';
import type { SettleJob } from '@meridex/contract';
import { asc, eq, sql } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { jobs, readings, ticks, vehicles } from '../db/schema.js';
import { firstRevision, newestOfAll, type Revision } from '../designs/store.js';
import { customerId } from './register.js';

/** A line of the bay sheet. */
export interface JobLine {
  readonly id: string;
  readonly customer: string;
  readonly vehicle: string;
  readonly plate: string;
  readonly promisedOn: string | null;
  readonly state: string;
  readonly note: string;
  readonly stages: readonly Progress[];
  /** What holds it up, with its weight. */
  readonly hold: { readonly mark: 'stop' | 'look' | 'holds' | 'waits'; readonly say: string };
  readonly next: { readonly stage: Stage; readonly say: string };
}

export async function jobExists(tx: Tx, jobId: string): Promise<boolean> {
  return (await tx.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, jobId))).length === 1;
}

export interface NewJob {
  readonly customer: string;
  readonly promisedOn: string | null;
  readonly design?: Design;
  readonly state?: string;
  readonly note?: string;
}

/** Opens a job with its first revision; the id. */
export async function createJob(tx: Tx, workshopId: string, author: string, n: NewJob): Promise<string> {
  const design = n.design ?? blankDesign(n.customer);
  const owner = await customerId(tx, workshopId, n.customer);
  const [vehicle] = await tx.insert(vehicles).values({ workshopId, customerId: owner, kind: design.brief.vehicleKind, plate: design.brief.plate }).returning({ id: vehicles.id });
  const [job] = await tx
    .insert(jobs)
    .values({ workshopId, customerId: owner, vehicleId: vehicle!.id, promisedOn: n.promisedOn, state: n.state ?? 'planning', note: n.note ?? '' })
    .returning({ id: jobs.id });
  await firstRevision(tx, workshopId, job!.id, design, author);
  return job!.id;
}

/** What a person settles of a job; false where it is not there. */
export async function settleJob(tx: Tx, jobId: string, { state, promisedOn, note }: SettleJob): Promise<boolean> {
  const change = { ...(state !== undefined ? { state } : {}), ...(promisedOn !== undefined ? { promisedOn } : {}), ...(note !== undefined ? { note } : {}) };
  if (!Object.keys(change).length) return jobExists(tx, jobId);
  return (await tx.update(jobs).set(change).where(eq(jobs.id, jobId)).returning({ id: jobs.id })).length === 1;
}

function hold(a: Assessment, state: string, note: string): JobLine['hold'] {
  const stop = a.open.find((f) => f.severity === 'stop');
  if (state === 'handed over' || state === 'closed') return { mark: 'holds', say: state };
  if (state === 'in service') return { mark: 'look', say: note || 'in service' };
  if (state === 'sign-off') return { mark: 'stop', say: note || 'waits for sign-off' };
  if (stop) return { mark: 'stop', say: inWords(stop).say };
  if (state === 'quoted') return { mark: 'waits', say: `waiting: ${note || 'for the customer’s answer'}` };
  if (state === 'parts ordered') return { mark: 'waits', say: `waiting: ${note || 'for the parts'}` };
  return a.open.length ? { mark: 'look', say: `${a.open.length} to look at` } : { mark: 'holds', say: 'nothing' };
}

function next(a: Assessment, done: Done, state: string, note: string): JobLine['next'] {
  const stop = a.open.find((f) => f.severity === 'stop');
  if (!a.day.loads.length) return { stage: 'loads', say: 'Type what must run' };
  if (state === 'closed') return { stage: 'look-after', say: 'Nothing: it is closed' };
  if (state === 'handed over') return { stage: 'look-after', say: `First service: re-tighten ${a.runs.length * 4} joints` };
  if (state === 'in service') return { stage: 'prove', say: 'Measure at the load that fails, circuit on' };
  if (state === 'sign-off') return { stage: 'checks', say: 'Sign-off by the licensed electrician' };
  if (stop) return { stage: stop.at.stage, say: inWords(stop).fix };
  if (state === 'quoted') return { stage: 'order', say: 'Ask for an answer' };
  const index = a.fit.findIndex((s) => !done.ticked.has(s.id));
  if (a.fit.some((s) => done.ticked.has(s.id)) && index >= 0) return { stage: 'fit', say: `Fit, step ${index + 1} of ${a.fit.length}: ${a.fit[index]!.text}` };
  const look = a.open[0];
  return look ? { stage: look.at.stage, say: inWords(look).fix } : { stage: 'order', say: note || 'Order the parts' };
}

function line(job: typeof jobs.$inferSelect, revision: Revision, a: Assessment, done: Done): JobLine {
  const { design } = revision;
  const progress = stageProgress(design, a, done);
  return {
    id: job.id,
    customer: design.brief.customer,
    vehicle: vehicleIds(design)
      .map((id) => vehicleName(design, id))
      .join(' + '),
    plate: design.brief.plate,
    promisedOn: job.promisedOn,
    state: job.state,
    note: job.note,
    stages: STAGES.map((s) => progress[s]),
    hold: hold(a, job.state, job.note),
    next: next(a, done, job.state, job.note),
  };
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
  readonly care: readonly { readonly id: string; readonly customer: string; readonly on: string | null; readonly joints: number }[];
}

const SOON_MS = 7 * 86_400_000;
const MOST_TO_BUY = 6;

function toBuy(orders: readonly Assessment['order'][]): ToBuy[] {
  const sum = new Map<string, { what: string; quantity: number; unit: string; price: number }>();
  for (const l of orders.flatMap((o) => o.lines).filter((x) => x.group === 'cable' || x.group === 'protection')) {
    const there = sum.get(l.what) ?? { what: l.what, quantity: 0, unit: l.unit, price: 0 };
    sum.set(l.what, { ...there, quantity: there.quantity + l.quantity, price: there.price + l.quantity * l.priceEach });
  }
  return [...sum.values()]
    .sort((a, b) => b.price - a.price)
    .slice(0, MOST_TO_BUY)
    .map(({ what, quantity, unit }) => ({ what, quantity, unit }));
}

/** The bay sheet: all jobs by promised day, those without one last, and what they call for. */
export async function baySheet(tx: Tx): Promise<BaySheet> {
  const rows = await tx
    .select()
    .from(jobs)
    .orderBy(sql`${jobs.promisedOn} nulls last`, asc(jobs.createdAt));
  const newest = await newestOfAll(tx);
  const lastTicks = await tx
    .selectDistinctOn([ticks.jobId, ticks.stepId])
    .from(ticks)
    .orderBy(asc(ticks.jobId), asc(ticks.stepId), sql`${ticks.createdAt} desc`);
  const readRows = await tx.selectDistinct({ jobId: readings.jobId, rowId: readings.rowId }).from(readings);
  const soon = new Date(Date.now() + SOON_MS).toISOString().slice(0, 10);
  const [lines, orders, care]: [JobLine[], Assessment['order'][], BaySheet['care'][number][]] = [[], [], []];
  for (const job of rows) {
    const revision = newest.get(job.id);
    if (!revision) continue;
    const ticked = new Set(lastTicks.filter((t) => t.jobId === job.id && t.done).map((t) => t.stepId));
    const a = assessWhole(revision.design, catalogueOf(revision.design));
    lines.push(line(job, revision, a, { ticked, read: new Set(readRows.filter((r) => r.jobId === job.id).map((r) => r.rowId)), state: job.state }));
    if (job.state === 'closed') continue;
    if (isOut(job.state)) care.push({ id: job.id, customer: revision.design.brief.customer, on: job.promisedOn, joints: a.runs.length * 4 });
    else if (job.promisedOn !== null && job.promisedOn <= soon && ticked.size < a.fit.length) orders.push(a.order);
  }
  return { lines, buy: toBuy(orders), care };
}

import { blankDesign, catalogueOf, isJoined, mainsGap, mainsSide, vehicleIds, vehicleIn, vehicleName, type Design } from '@meridex/core';
import type { SettleJob } from '@meridex/contract';
import { eq } from 'drizzle-orm';
import type { Tx } from '../db/client.js';
import { jobs, vehicles } from '../db/schema.js';
import { firstRevision, newestRevision } from '../designs/store.js';
import { ownWorkshop } from '../workshop/store.js';
import { customerId } from './register.js';

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
  const rules = n.design ? null : (await ownWorkshop(tx)).rules;
  const blank = n.design ?? blankDesign(n.customer);
  const design = rules ? { ...blank, settings: rules } : blank;
  const owner = await customerId(tx, workshopId, n.customer);
  const [vehicle] = await tx.insert(vehicles).values({ workshopId, customerId: owner, kind: design.brief.vehicleKind, plate: design.brief.plate }).returning({ id: vehicles.id });
  const [job] = await tx
    .insert(jobs)
    .values({ workshopId, customerId: owner, vehicleId: vehicle!.id, promisedOn: n.promisedOn, state: n.state ?? 'planning', note: n.note ?? '' })
    .returning({ id: jobs.id });
  await firstRevision(tx, workshopId, job!.id, design, author);
  return job!.id;
}

/** Why a job may not leave the workshop as it is, in words; null where it may. */
export async function mayNotLeave(tx: Tx, jobId: string): Promise<string | null> {
  const newest = await newestRevision(tx, jobId);
  if (!newest) return null;
  const { design } = newest;
  const gaps = vehicleIds(design).flatMap((id) => {
    const view = vehicleIn(design, id);
    const gap = mainsGap(mainsSide(view, catalogueOf(view)));
    return gap === null ? [] : [`${isJoined(design) ? `${vehicleName(design, id)}: ` : ''}${gap}`];
  });
  return gaps.length ? `State: handed over is not accepted yet, ${gaps.join('; ')}. Sign it under Checks, 230 V, or say there that it is not part of this job.` : null;
}

/** What a person settles of a job; false where it is not there. */
export async function settleJob(tx: Tx, jobId: string, { state, promisedOn, note, deleted }: SettleJob): Promise<boolean> {
  const change = {
    ...(state !== undefined ? { state } : {}),
    ...(promisedOn !== undefined ? { promisedOn } : {}),
    ...(note !== undefined ? { note } : {}),
    ...(deleted !== undefined ? { deletedAt: deleted ? new Date().toISOString() : null } : {}),
  };
  if (!Object.keys(change).length) return jobExists(tx, jobId);
  return (await tx.update(jobs).set(change).where(eq(jobs.id, jobId)).returning({ id: jobs.id })).length === 1;
}

import { vehicleOf, type Design } from '@meridex/core';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { designOf, vehicleAsked } from '../designs/of-vehicle.js';
import { newestRevision } from '../designs/store.js';
import { PAPERS, type Paper } from './paper.js';

/** What is asked for on paper: the vehicle, and sheets of which size. */
export const paperAsked = (usual: Paper) =>
  vehicleAsked.extend({ paper: z.enum(Object.keys(PAPERS) as [Paper, ...Paper[]], { message: `${Object.keys(PAPERS).join(', ')} are accepted` }).default(usual) });

/** A vehicle of a job as it is now, with what its drawings are called after. */
export interface ToDraw {
  readonly design: Design;
  /** Customer and vehicle, and the revision. */
  readonly of: string;
  readonly revision: string;
  /** First part of a file’s name. */
  readonly file: string;
}

export const NO_JOB = { message: 'This job is not in your workshop.' };

/** Null: the job is not in the workshop, or has no such vehicle. */
export async function toDraw(db: Database, workshopId: string, jobId: string, vehicle: string): Promise<ToDraw | null> {
  const found = await db.inWorkshop(workshopId, (tx) => newestRevision(tx, jobId));
  const design = found && designOf(found.design, vehicle);
  if (!design) return null;
  return { design, of: `${design.brief.customer}, ${vehicleOf(design).name}`, revision: `revision ${found.number}`, file: design.brief.customer.toLowerCase().replace(/[^a-z0-9]+/g, '-') };
}

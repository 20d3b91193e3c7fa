import { catalogueOf, inJob, OWN, vehicleIds, type Design } from '@meridex/core';
import { z } from 'zod';

/** The vehicle of the job that is asked about; the one that it began with where none is named. */
export const vehicleAsked = z.object({ vehicle: z.string().max(60).default(OWN) });

export const NO_VEHICLE = { message: 'This job has no such vehicle.' };

/** One vehicle of a job as a design of its own; null: there is none of this id. */
export const designOf = (job: Design, vehicle: string): Design | null => (vehicleIds(job).includes(vehicle) ? inJob(job, vehicle, catalogueOf(job)) : null);

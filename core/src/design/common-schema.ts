import { z } from 'zod';

export const text = (most: number) => z.string().max(most, { message: `at most ${most} letters` });
export const volts = z.union([z.literal(12), z.literal(24)]);
/** Volts on a meter. */
export const volt = z.number().min(8).max(34);
export const partId = z.string().max(60).nullable();
export const hour = z.number().min(0).max(24);
/** A share, 0–1. */
export const share = z.number().min(0).max(1);

/** Hours of a day, [from, to); one that passes midnight is two. */
export const spanSchema = z.tuple([hour, hour]);

/** Id of a thing of the rig, of a vehicle of the job, or of what joins two. */
export const thingId = z.string().max(60);

import { z } from 'zod';

/** Longest side of a photo and of its small picture, as the page makes them, px. */
export const PHOTO_PX = { large: 1600, small: 240 } as const;
/** Bytes of a photo and of its small picture at most. */
export const PHOTO_BYTES = { large: 1_000_000, small: 40_000 } as const;

/** Letters that so many bytes are in base64. */
const letters = (bytes: number): number => 4 * Math.ceil(bytes / 3);
const base64 = (bytes: number) =>
  z
    .string()
    .max(letters(bytes), { message: `up to ${Math.round(bytes / 1000)} kB are accepted` })
    .regex(/^[A-Za-z0-9+/]+={0,2}$/, { message: 'a JPEG in base64 is accepted' });

/** What a photo shows, in a person’s words. */
const caption = z.string().trim().max(160, { message: 'up to 160 letters are accepted' });

/** What may be changed of a kept photo: its words, or that it is taken off all lists. */
export const photoChangeSchema = z.strictObject({ takenAway: z.boolean().optional(), caption: caption.optional() });
export type PhotoChange = z.infer<typeof photoChangeSchema>;

/** A photo as a page sends it, with what it shows: a step of the fitting, a reading, or the job as a whole (empty). */
export const newPhotoSchema = z.object({
  id: z.uuid(),
  about: z.string().max(160),
  caption,
  image: base64(PHOTO_BYTES.large),
  small: base64(PHOTO_BYTES.small),
});
export type NewPhoto = z.infer<typeof newPhotoSchema>;

/** A kept photo as lists have it: its small picture in base64, the large one by its address. */
export const photoSchema = z.object({ id: z.string(), about: z.string(), caption: z.string(), small: z.string(), author: z.string(), at: z.string() });
export type Photo = z.infer<typeof photoSchema>;

import { z } from 'zod';

/** What every part's data sheet says: made up and generic, with realistic figures. */
export const partBase = z.object({
  id: z.string(),
  name: z.string(),
  kg: z.number().min(0),
  /** Outside, mm: across, up and out from the face that it is fixed to; a battery stands. */
  mm: z.tuple([z.number().positive(), z.number().positive(), z.number().positive()]),
  /** Price in whole currency units, tax included, as a planning figure. */
  price: z.number().min(0),
  /** Taken only where a person chooses it: drafts and presses keep to the usual parts. */
  special: z.literal(true).optional(),
  /** Built into the part of this id: it is no piece of gear of its own, and is not bought. */
  inside: z.string().optional(),
  /** Figures that its plate did not say: defaults for its size. */
  assumed: z.array(z.string().max(40)).max(40).optional(),
});

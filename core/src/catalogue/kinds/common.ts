import { z } from 'zod';

/** What every part's data sheet says: made up and generic, with realistic figures. */
export const partBase = z.object({
  id: z.string(),
  name: z.string(),
  kg: z.number().min(0),
  /** Price in whole currency units, tax included, as a planning figure. */
  price: z.number().min(0),
});

import { z } from 'zod';
import { upTo } from './letters.js';

/** What a workshop says of itself: it stands at the head of what it hands over. */
export const workshopSchema = z.object({
  name: upTo(80).min(1, { message: 'a name is accepted' }),
  address: upTo(300),
  phone: upTo(60),
  /** Whatever number it works under, as its papers have it. */
  licence: upTo(80),
});
export type Workshop = z.infer<typeof workshopSchema>;

import { z } from 'zod';
import { upTo } from './letters.js';

/** Of a workshop's logo: the most that it is wide and high, px, and long, letters of base64. */
export const LOGO = { wide: 600, high: 176, letters: 300_000 } as const;

/** What a workshop says of itself: it stands at the head of what it hands over. */
export const workshopSchema = z.object({
  name: upTo(80).min(1, { message: 'a name is accepted' }),
  address: upTo(300),
  phone: upTo(60),
  /** Whatever number it works under, as its papers have it. */
  licence: upTo(80),
  /** A PNG in base64, as it stands on paper; empty: none. */
  logo: z
    .base64({ message: 'a PNG in base64 is accepted' })
    .max(LOGO.letters, { message: `a picture of up to ${LOGO.letters} letters in base64 is accepted` })
    .default(''),
});
export type Workshop = z.infer<typeof workshopSchema>;

import { priceItemSchema } from '@meridex/core';
import { z } from 'zod';

/** What lies on the workshop's shelf of one line of an order. */
export const onShelfSchema = z.object({
  key: z.string(),
  what: z.string(),
  unit: z.enum(['pc', 'm']),
  /** What was counted last less what jobs took since; below 0: they took more than there was. */
  count: z.number(),
  /** Nobody counted it yet: it is what jobs put there. */
  counted: z.string().nullable(),
  author: z.string(),
});
export type OnShelf = z.infer<typeof onShelfSchema>;

/** What somebody counted. */
export const countSchema = z.object({
  what: z.string().trim().min(1, { message: 'a name is accepted' }).max(160, { message: 'up to 160 letters are accepted' }),
  unit: z.enum(['pc', 'm']),
  count: z.number().min(0, { message: 'from 0 is accepted' }).max(9999, { message: 'up to 9999 is accepted' }),
});
export type Count = z.infer<typeof countSchema>;

const supplier = z.string().trim().min(1, { message: 'a supplier’s name is accepted' }).max(80, { message: 'up to 80 letters are accepted' });

/** A supplier's list as it is taken in. */
export const newPriceListSchema = z.object({
  id: z.uuid(),
  supplier,
  on: z.iso.date({ message: 'a day such as 2026-12-03 is accepted' }),
  items: z.array(priceItemSchema).min(1, { message: 'a list with at least one price is accepted' }).max(20_000, { message: 'up to 20000 lines are accepted' }),
});
export type NewPriceList = z.infer<typeof newPriceListSchema>;

/** The newest list of a supplier, and what people chose of it for lines of an order: an empty code where none of it. */
export const priceListSchema = z.object({ ...newPriceListSchema.shape, supplier: z.string(), author: z.string(), chosen: z.record(z.string(), z.string()) });
export type PriceList = z.infer<typeof priceListSchema>;

export const choiceSchema = z.object({ supplier, key: z.string().min(1).max(160), code: z.string().max(200) });

/** What the simulated supplier is asked. */
export const askedSchema = z.object({ lines: z.array(z.object({ key: z.string().max(160), count: z.number().min(0).max(9999), planned: z.number().min(0).max(1_000_000) })).max(400) });

/** What it says of one line: its price, how much it has, and in how many working days it comes. */
export const offerSchema = z.object({ key: z.string(), each: z.number(), has: z.number(), days: z.number().int() });
export type Offer = z.infer<typeof offerSchema>;
export const offersSchema = z.object({ supplier: z.string(), on: z.iso.date(), offers: z.array(offerSchema) });
export type Offers = z.infer<typeof offersSchema>;

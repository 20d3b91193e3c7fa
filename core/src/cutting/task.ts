import { z } from 'zod';

const lengthM = z.number().positive();
const id = z.string().min(1);

const distinct = (values: readonly (string | number)[]): boolean => new Set(values).size === values.length;

/** One cable to be cut from what lies on the shelf and from lengths that are sold. */
export const cuttingSchema = z.object({
  /** What a cut costs beside its length, m. */
  lossM: z.number().min(0),
  /** From this length on a rest is worth keeping, m. */
  keepM: z.number().min(0),
  sold: z.array(z.object({ lengthM, price: z.number().min(0) })).refine((s) => distinct(s.map((x) => x.lengthM)), { message: 'each sold length once is accepted' }),
  offcuts: z.array(z.object({ id, lengthM })).refine((o) => distinct(o.map((x) => x.id)), { message: 'ids that differ are accepted' }),
  cuts: z.array(z.object({ id, lengthM })).refine((c) => distinct(c.map((x) => x.id)), { message: 'ids that differ are accepted' }),
});
export type CuttingTask = z.infer<typeof cuttingSchema>;

/** Lengths are reckoned in whole millimetres, prices in hundredths. */
export const mmOf = (metres: number): number => Math.round(metres * 1000);
export const centsOf = (price: number): number => Math.round(price * 100);

/** A piece of cable to cut from. */
export interface Stock {
  /** An offcut's id, or the sold length in metres. */
  readonly from: string | number;
  readonly mm: number;
  /** Hundredths; an offcut is there already. */
  readonly cents: number | null;
}

/** The task in whole numbers: what lies on the shelf, what is sold, and the cuts by their length, the longest first. */
export interface Shelf {
  readonly lossMm: number;
  readonly keepMm: number;
  readonly offcuts: readonly Stock[];
  readonly sold: readonly Stock[];
}

export function shelfOf(task: CuttingTask): Shelf {
  return {
    lossMm: mmOf(task.lossM),
    keepMm: mmOf(task.keepM),
    offcuts: task.offcuts.map((o) => ({ from: o.id, mm: mmOf(o.lengthM), cents: null })),
    sold: task.sold.map((s) => ({ from: s.lengthM, mm: mmOf(s.lengthM), cents: centsOf(s.price) })),
  };
}

/** Whether so many cuts of this sum come out of a piece; the last one may end in what is left. */
export const fits = (stock: Stock, sumMm: number, cuts: number, shelf: Shelf): boolean => sumMm + (cuts - 1) * shelf.lossMm <= stock.mm;

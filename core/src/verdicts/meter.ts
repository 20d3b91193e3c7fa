import { z } from 'zod';

/** What an instrument of each kind may be off by where its own data say nothing: a share of what it reads, and a fixed part in its unit (V or A). */
export const METER_DEFAULTS = {
  volt: { share: 0.005, absolute: 0.02 },
  clamp: { share: 0.025, absolute: 0.3 },
  shunt: { share: 0.01, absolute: 0 },
} as const;

/** An instrument by its kind; a share or a fixed part of its own replaces just that one. */
export const meterSchema = z.object({
  kind: z.enum(['volt', 'clamp', 'shunt']),
  share: z.number().min(0).nullish(),
  absolute: z.number().min(0).nullish(),
});
export type Meter = z.infer<typeof meterSchema>;

/** The instruments of a workshop, one of each kind. */
export type Meters = Readonly<Record<Meter['kind'], { readonly share: number; readonly absolute: number }>>;

/** A meter that says nothing of its own, as the workshop's instrument of its kind. @example asOwned({ kind: 'clamp' }, { ...METER_DEFAULTS, clamp: { share: 0.02, absolute: 0.1 } }).share // 0.02 */
export const asOwned = (meter: Meter, meters: Meters): Meter => ({ ...meter, share: meter.share ?? meters[meter.kind].share, absolute: meter.absolute ?? meters[meter.kind].absolute });

/** What an instrument showed. */
export const readSchema = z.object({ value: z.number(), meter: meterSchema });
export type Read = z.infer<typeof readSchema>;

export const shareOf = (meter: Meter): number => meter.share ?? METER_DEFAULTS[meter.kind].share;
export const absoluteOf = (meter: Meter): number => meter.absolute ?? METER_DEFAULTS[meter.kind].absolute;

/** How far the truth may lie from what a meter reads, in its unit; never negative. A voltmeter at 12.4 V: 0.082 V. */
export function meterTolerance(meter: Meter, value: number): number {
  return shareOf(meter) * Math.abs(value) + absoluteOf(meter);
}

export const toleranceOfRead = (read: Read): number => meterTolerance(read.meter, read.value);

/** A difference counted in tolerances: 0 where there is none, null (infinite) where nothing is tolerated. 0.3 of 0.1: 3. */
export function inTolerances(difference: number, tolerance: number): number | null {
  if (difference === 0) return 0;
  return tolerance === 0 ? null : Math.abs(difference) / tolerance;
}

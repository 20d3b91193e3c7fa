import { z } from 'zod';
import { inTolerances, type Meter, meterSchema, meterTolerance } from './meter.js';

/** Share of the figure it rests on by which the model itself may be off. */
export const MODEL_SHARE = 0.03;

/** Why a reading may fall short without a fault. */
export type Excuse = 'battery-full' | 'no-sun' | 'start-delay';

export const readingSchema = z.object({
  kind: z.literal('reading'),
  value: z.number(),
  expected: z.number(),
  meter: meterSchema,
  /** Predicted drop down to this point, V: what a voltmeter's expected value rests on. */
  dropV: z.number().default(0),
  modelShare: z.number().min(0).default(MODEL_SHARE),
  /** What this test takes as a reason to fall short. */
  excuses: z.object({ batteryFull: z.boolean().nullish(), sunBelowWm2: z.number().nullish(), startDelayS: z.number().nullish() }).nullish(),
  /** How things stood while it was read; what is not said excuses nothing. */
  state: z.object({ batteryFull: z.boolean().nullish(), sunWm2: z.number().nullish(), secondsSinceStart: z.number().nullish() }).nullish(),
});
type Reading = z.infer<typeof readingSchema>;

export interface ReadingVerdict {
  /** `reversed`: the leads or the polarity; `unit`: read in thousandths or thousands; `not-yet`: short, and the state explains it. */
  readonly verdict: 'agrees' | 'near' | 'reversed' | 'not-yet' | 'unit' | 'off';
  /** Of meter and model together, in the reading's unit. */
  readonly tolerance: number;
  /** Distance from the expected value in tolerances; null: infinite. */
  readonly z: number | null;
  readonly because: readonly Excuse[];
}

/** What a reading may be off by: meter and model, root-sum-square. Amps rest on the expected current, volts on the drop down to the point. @example readingTolerance({ kind: 'volt', share: 0, absolute: 0.75 }, 12, 12, 100 / 3) // 1.25 */
export function readingTolerance(meter: Meter, value: number, expected: number, dropV = 0, modelShare = MODEL_SHARE): number {
  return Math.hypot(meterTolerance(meter, value), modelShare * (meter.kind === 'volt' ? dropV : Math.abs(expected)));
}

function excusesOf({ excuses, state }: Reading): Excuse[] {
  const below = (value: number | null | undefined, limit: number | null | undefined): boolean => typeof value === 'number' && typeof limit === 'number' && value < limit;
  return [
    ...(excuses?.batteryFull === true && state?.batteryFull === true ? (['battery-full'] as const) : []),
    ...(below(state?.sunWm2, excuses?.sunBelowWm2) ? (['no-sun'] as const) : []),
    ...(below(state?.secondsSinceStart, excuses?.startDelayS) ? (['start-delay'] as const) : []),
  ];
}

/** A reading against its expected value. Limits are compared without slack, and a value on the limit gets the milder word. @example readingVerdict({ kind: 'reading', value: 12.38, expected: 12.4, meter: { kind: 'volt' }, dropV: 0.4, modelShare: 0.03 }).verdict // 'agrees' */
export function readingVerdict(input: Reading): ReadingVerdict {
  const { value: r, expected: e, meter, dropV, modelShare } = input;
  const toleranceAt = (x: number): number => readingTolerance(meter, x, e, dropV, modelShare);
  const t = toleranceAt(r);
  const d = Math.abs(r - e);
  const signed = r * Math.sign(e);
  const because = e !== 0 && -t <= signed && signed < Math.abs(e) ? excusesOf(input) : [];
  const slipped = [r / 1000, r * 1000].some((x) => Math.abs(x - e) <= toleranceAt(x) && Math.abs(e) > 2 * toleranceAt(x));
  const verdict = ((): ReadingVerdict['verdict'] => {
    if (d <= t) return 'agrees';
    if (d <= 2 * t) return 'near';
    if (Math.abs(r + e) <= t && Math.abs(e) > 2 * t) return 'reversed';
    if (because.length) return 'not-yet';
    return slipped ? 'unit' : 'off';
  })();
  return { verdict, tolerance: t, z: inTolerances(d, t), because: verdict === 'not-yet' ? because : [] };
}

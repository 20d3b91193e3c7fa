import { z } from 'zod';
import { inTolerances, meterTolerance, readSchema, type Read, toleranceOfRead } from './meter.js';

/** Nothing that converts gives back more of what goes in than this. */
const MOST_EFFICIENT = 0.98;
/** Below this, at more than a tenth of its rating, the rest would have to leave as heat that nobody could touch. */
const LEAST_EFFICIENT = 0.5;
const LOADED_FROM = 1 / 10;

const SIDES = ['inV', 'inA', 'outV', 'outA'] as const;
type Side = (typeof SIDES)[number];

export const converterSchema = z.object({
  kind: z.literal('converter'),
  inV: readSchema,
  inA: readSchema,
  outV: readSchema,
  outA: readSchema,
  ratedW: z.number().positive(),
  efficiency: z.number().gt(0).max(1),
  /** False while it starts, ramps or changes its stage. */
  steady: z.boolean().default(true),
});
type Converter = z.infer<typeof converterSchema>;

export interface ConverterVerdict {
  readonly verdict: 'possible' | 'impossible' | 'idle' | 'not-yet';
  /** Power out over power in; null while next to nothing goes in. */
  readonly ratio: number | null;
  readonly tolerance: number | null;
  /** How far each reading is, in its own tolerances, from what it alone would have to be; null: it could not be. */
  readonly z: Readonly<Record<Side, number | null>> | null;
  /** The reading that needs to be wrong by least; it proves nothing of the other three. */
  readonly liar: Side | null;
}

const power = (v: Read, a: Read): { readonly w: number; readonly tolerance: number } => ({
  w: v.value * a.value,
  tolerance: Math.hypot(v.value * meterTolerance(a.meter, a.value), a.value * meterTolerance(v.meter, v.value)),
});

function distances(c: Converter, inW: number, outW: number): Record<Side, number | null> {
  const z = (side: Side, watts: number, by: number): number | null => (by === 0 ? null : inTolerances(watts / by - c[side].value, toleranceOfRead(c[side])));
  return {
    inV: z('inV', outW, c.efficiency * c.inA.value),
    inA: z('inA', outW, c.efficiency * c.inV.value),
    outV: z('outV', c.efficiency * inW, c.outA.value),
    outA: z('outA', c.efficiency * inW, c.outV.value),
  };
}

function nearest(z: Readonly<Record<Side, number | null>>): Side | null {
  return SIDES.reduce<Side | null>((best, side) => (z[side] !== null && (best === null || z[side] < z[best]!) ? side : best), null);
}

/**
 * Whether four readings at a charger or inverter can be true together: energy from nothing is impossible, and so is most of
 * it lost. 9.2 V × 20 A in with 13.9 V × 15 A out is 1.13 times what went in: of the four, the amps out need the least error.
 */
export function judgeConverter(c: Converter): ConverterVerdict {
  const [into, out] = [power(c.inV, c.inA), power(c.outV, c.outA)];
  const fed = into.w > into.tolerance;
  const ratio = fed ? out.w / into.w : null;
  const tolerance = ratio === null ? null : Math.hypot(out.tolerance, ratio * into.tolerance) / into.w;
  if (!c.steady) return { verdict: 'not-yet', ratio, tolerance, z: null, liar: null };
  const impossible =
    ratio === null || tolerance === null
      ? out.w - out.tolerance > MOST_EFFICIENT * (into.w + into.tolerance)
      : ratio - tolerance > MOST_EFFICIENT || (ratio + tolerance < LEAST_EFFICIENT && into.w > c.ratedW * LOADED_FROM);
  if (!impossible) return { verdict: fed ? 'possible' : 'idle', ratio, tolerance, z: null, liar: null };
  const z = distances(c, into.w, out.w);
  return { verdict: 'impossible', ratio, tolerance, z, liar: nearest(z) };
}

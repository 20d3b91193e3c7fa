import type { z } from 'zod';
import type { Converts } from './ports.js';
import type { Watches } from './watches.js';

/** What a data sheet must say, without which nothing can be reckoned, and what is usual for its size where it says no more. */
export interface Plate<P, R extends z.ZodRawShape> {
  readonly required: R;
  readonly rest: (plate: z.infer<z.ZodObject<R>>) => Partial<P>;
  /** What one may have beside and most have not, as it usually is where it has it: a second input, a charger of its own. */
  readonly has?: (plate: z.infer<z.ZodObject<R>> & Readonly<Record<string, unknown>>) => Partial<P>;
}

/** A kind of gear: all that is said of it anywhere stands in its folder and is reached by this. */
export interface Kind<K extends string, S extends z.ZodObject, R extends z.ZodRawShape> {
  readonly kind: K;
  /** As the trade calls one. */
  readonly words: string;
  readonly schema: S;
  /** What ships: generic and made up. */
  readonly parts: readonly z.infer<S>[];
  /** Figures that one asks first, in their order. */
  readonly first: readonly (keyof z.infer<S> & string)[];
  readonly plate: Plate<z.infer<S>, R>;
  /** Figures that one may have and most have not. */
  readonly seldom?: readonly string[];
  /** What of a data sheet contradicts itself, with the field, what came and what is accepted; null: nothing. */
  readonly contradiction?: (part: z.infer<S>) => string | null;
  /** Of a box that charges, converts or inverts: its ports, and how it is set down. */
  readonly converts?: Converts<z.infer<S>>;
  /** Of what measures, shows or switches: what it does there, and how it is set down. */
  readonly watches?: Watches<z.infer<S>>;
}

/** Says a kind, its types held together. */
export const defineKind = <K extends string, S extends z.ZodObject, R extends z.ZodRawShape, const X extends Kind<K, S, R>>(kind: Kind<K, S, R> & X): Kind<K, S, R> & X => kind;

import type { Route } from './route.js';

/** A thin lead that carries a signal and no load: it is a run too, with its own plug, limit and polarity. */
export interface Lead {
  readonly id: string;
  readonly number: number;
  readonly kind: 'trigger' | 'sense' | 'data' | 'temperature' | 'feed';
  readonly name: string;
  readonly from: string;
  readonly to: string;
  readonly cable: string;
  readonly diameterMm: number;
  /** Largest plug on it, which has to pass every hole, mm. */
  readonly plugMm: number;
  readonly longestM: number;
  readonly polarity: string;
  readonly fuseA: number | null;
  readonly route: Route | null;
  readonly lengthM: number;
}

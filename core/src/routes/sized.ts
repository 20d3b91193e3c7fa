import type { FaultResult, FuseType, FuseWindow, SizeTried, SizingError } from '../protection/index.js';
import type { FuseEnd, RunSpec } from './spec.js';

/** A fuse of a run with what a short does to it. */
export interface RunFuse {
  readonly end: FuseEnd;
  /** Run in which it stands, where that is not this one: this one is its tail. */
  readonly of: string | null;
  readonly type: FuseType;
  readonly ratingA: number;
  /** Largest prospective current at the fuse and smallest at the far end, A, of its own branch; 0: nothing behind this end can blow it. */
  readonly maxA: number;
  readonly minA: number;
  readonly breakingA: number;
  readonly fault: FaultResult | null;
}

export interface RunFigures {
  /** One conductor's size, and how many equal ones lie side by side in each pole. */
  readonly size: string;
  readonly perPole: number;
  /** Both in words: “2 × 70 mm²”. */
  readonly cable: string;
  /** Of one conductor, as are fuse, window, ampacity and current. */
  readonly areaMm2: number;
  readonly fuseType: FuseType;
  readonly fuseA: number;
  readonly currentA: number;
  readonly ampacityA: number;
  readonly conductorC: number;
  readonly ohm: number;
  readonly dropV: number;
  readonly dropPercent: number;
  /** Drop of the whole path from the source, per cent. */
  readonly pathDropPercent: number;
  /** Volts that arrive when the source is at its lowest. */
  readonly arrivesV: number;
  readonly boundBy: 'minimum' | 'drop' | 'heat' | 'both' | 'fault' | 'typed';
  readonly below: SizeTried | null;
  readonly window: FuseWindow;
  readonly fuses: readonly RunFuse[];
}

/** A run with its figures, or with what keeps it from having any. */
export type SizedRun =
  { readonly spec: RunSpec; readonly ok: true; readonly figures: RunFigures } | { readonly spec: RunSpec; readonly ok: false; readonly error: SizingError; readonly tried: readonly SizeTried[] };

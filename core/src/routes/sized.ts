import type { FaultResult, FuseType, FuseWindow } from '../protection/index.js';
import type { FuseEnd, RunSpec } from './spec.js';

/** Sorts of joints: what would lessen what they lose hangs on it. */
export type JointKind = 'lugs' | 'fuse' | 'plug' | 'body' | 'in line';

/** What a joint takes at the usual current, V. */
export interface JointVolts {
  readonly what: string;
  readonly kind: JointKind;
  readonly volt: number;
}

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
  /** The fuse before it that breaks the whole of a short which it cannot break alone; null: it needs none, or there is none. */
  readonly backedBy: { readonly run: string; readonly name: string; readonly type: FuseType; readonly ratingA: number } | null;
}

/** A size that was tried, with what it carries and loses. */
export interface Tried {
  readonly size: string;
  readonly areaMm2: number;
  readonly ampacityA: number;
  /** Cable alone at the usual current, per cent. */
  readonly dropPercent: number;
}

/** The next size down, and why it is not taken. */
export interface Below extends Tried {
  readonly by: 'custom' | 'heat' | 'fault' | 'drop' | 'joints' | 'copper' | 'multi-core' | 'typed';
  /** The path that it would put furthest beyond its limit; null: none. */
  readonly path: { readonly name: string; readonly percent: number; readonly limit: number } | null;
}

export interface RunFigures {
  /** One conductor's size, and how many equal ones lie side by side in each pole. */
  readonly size: string;
  readonly perPole: number;
  /** Both in words: “2 × 70 mm²”. */
  readonly cable: string;
  /** Of one conductor, as are fuse, window, ampacity and currents. */
  readonly areaMm2: number;
  readonly fuseType: FuseType;
  readonly fuseA: number;
  /** Largest steady current, for fuse and heat, and the usual one, for drop, A. */
  readonly currentA: number;
  readonly usualA: number;
  readonly ampacityA: number;
  /** At the usual current, °C. */
  readonly conductorC: number;
  /** Feed and return of all conductors: cable alone at its warmth; lugs, fuses, plugs, body and parts in line; both. */
  readonly cableOhm: number;
  readonly jointsOhm: number;
  readonly ohm: number;
  /** Cable alone at the usual current: of this run, and of its whole path from the source. */
  readonly dropV: number;
  readonly dropPercent: number;
  readonly pathDropPercent: number;
  /** Joints at the usual current, V, beside it: of this run and of its path; and the one of the path that takes most. */
  readonly jointsV: number;
  readonly pathJointsV: number;
  readonly worstJoint: JointVolts;
  /** Cable and joints together at the largest steady current, V; and the volts that then arrive from the lowest at the source. */
  readonly lossV: number;
  readonly arrivesV: number;
  readonly boundBy: 'minimum' | 'drop' | 'heat' | 'both' | 'fault' | 'joints' | 'multi-core' | 'typed';
  readonly below: Below | null;
  /** Size that it would have if no other run of its multi-core asked for a thicker one, mm²; null: none does. */
  readonly aloneMm2: number | null;
  /** Where its path loses more than it may: the one run whose next sizes would mend it at the least copper; null: none, or it holds. */
  readonly cure: { readonly run: string; readonly name: string; readonly size: string; readonly areaMm2: number; readonly percent: number } | null;
  readonly window: FuseWindow;
  readonly fuses: readonly RunFuse[];
}

export type SizingTrouble = 'window-closed' | 'too-hot';

/** A run with its figures, or with what keeps it from having any. */
export type SizedRun =
  | { readonly spec: RunSpec; readonly ok: true; readonly figures: RunFigures }
  | {
      readonly spec: RunSpec;
      readonly ok: false;
      readonly error: SizingTrouble;
      readonly tried: readonly Tried[];
      readonly window: FuseWindow;
      readonly fuseType: FuseType;
      /** What takes its place in the circuit, and in no order. */ readonly standIn: RunFigures;
    };

/** A run as it stands in the circuit: with its figures, or with those that take their place. */
export type Fitted = Extract<SizedRun, { ok: true }>;

export const inCircuit = (r: SizedRun): Fitted => (r.ok ? r : { spec: r.spec, ok: true, figures: r.standIn });

/** Runs whose length comes from the vehicle’s own ways: good for quoting, to be measured before cutting. */
export const routedRuns = (runs: readonly SizedRun[]): number => runs.filter((r) => r.spec.lengthFrom === 'routed').length;

import type { SettledState } from '../circuit/index.js';
import type { Meter } from '../verdicts/index.js';
import type { Fault } from './fault.js';
import type { Situation } from './situations.js';

/** A reading that can be taken. */
export interface Probe {
  readonly id: string;
  /** What to do, in words. */
  readonly what: string;
  readonly meter: Meter;
  readonly unit: 'V' | 'A';
  readonly situation: Situation;
  /** From having the meter in hand, min. */
  readonly minutes: number;
  /** Run or gear where it is taken. */
  readonly about: string;
  /** What it may be off by, in its unit, where that does not follow from what one meter reads. */
  readonly tolerance?: (s: SettledState) => number;
  /** What a source brings into the bank, what it holds at the end, or how the bank stands: what complaints are about. */
  readonly tells?: 'what comes in' | 'what it holds' | 'the bank';
  /** Share of the expected figure by which the model itself may be off, where it is not the usual one. */
  readonly modelShare?: number;
  /** It reads the same whether much or little flows into the bank. */
  readonly apart?: boolean;
  readonly read: (s: SettledState, fault: Fault) => number;
}

export const VOLT: Meter = { kind: 'volt' };
export const CLAMP: Meter = { kind: 'clamp' };
/** Amps below which a clamp tells nothing. */
export const LEAST_A = 0.5;
/** The sun is not measured: so far from full light a reading may be, as a share. */
export const SUN_SHARE = 0.25;
/** Open volts of panels follow their temperature, as a share. */
export const OPEN_SHARE = 0.06;

/** Behind panels, under a bench, or open: minutes to bring a meter there. */
export const TO_A_LOAD_MIN = 3;
export const AT_HAND_MIN = 1.5;
export const CLAMP_MIN = 2;
export const AT_THE_ROOF_MIN = 6;

export const at = (s: SettledState, run: string): { readonly fromV: number; readonly toV: number; readonly amp: number } => s.runs.get(run) ?? { fromV: 0, toV: 0, amp: 0 };
export const giver = (s: SettledState, id: string): { readonly volt: number; readonly amp: number; readonly inV: number } => s.givers.find((g) => g.id === id) ?? { volt: 0, amp: 0, inV: 0 };

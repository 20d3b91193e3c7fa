import type { RunSpec } from '../routes/index.js';

/** Where an input of a figure comes from. */
export type Origin = 'typed' | 'routed' | 'part’s data' | 'setting' | 'default' | 'computed';

export interface WhyInput {
  readonly name: string;
  readonly value: string;
  readonly origin: Origin;
  /** Field of the run that changes it, where there is one. */
  readonly edit?: keyof RunSpec['edit'];
  /** Sheet of a stage that changes it, where it is not of a run. */
  readonly sheet?: 'brief/vehicle' | 'loads' | 'supply/feeds';
}

/** One figure, opened: the formula in words, what went into it, and the note it follows. */
export interface Why {
  readonly figure: string;
  readonly value: string;
  readonly formula: string;
  readonly inputs: readonly WhyInput[];
  readonly basis: string;
}

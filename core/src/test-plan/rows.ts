import type { ProveRow } from '../prove/index.js';
import type { Beside } from './beside.js';

/** A reading to take, in its place and state, with what it should be. */
export interface TestRow extends ProveRow {
  readonly minutes: number;
  /** Run or gear where it is taken. */
  readonly about: string;
}

/** Readings that are taken while things stand one way. */
export interface TestGroup {
  readonly id: string;
  /** How things must stand. */
  readonly words: string;
  readonly minutes: number;
  /** What is to be written down beside. */
  readonly also: readonly Beside[];
  readonly rows: readonly TestRow[];
}

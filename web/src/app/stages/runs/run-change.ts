import type { RunEdit } from '@meridex/core';

/** What a person says of a run; null takes it back. */
export interface RunChange {
  readonly change: Partial<Record<keyof RunEdit, unknown>>;
  readonly label: string;
}

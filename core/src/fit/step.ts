import type { Tool } from './how.js';

/** One step of the build. */
export interface FitStep {
  /** Stays the same while the step means the same, so that its tick stays. */
  readonly id: string;
  readonly section: 'make safe' | 'place the gear' | 'pull and cut' | 'join and tighten' | 'settings' | 'first power';
  readonly text: string;
  readonly detail?: string;
  readonly caution?: string;
  /** Where one stands for it: a zone of the vehicle, by name. */
  readonly place: string;
  /** What one has in hand; null: nothing, or whatever is there. */
  readonly tool: Tool | null;
  /** By the usual time for such a step, until the workshop's own are kept. */
  readonly minutes: number;
  /** Steps that come before it. */
  readonly after: readonly string[];
}

/** Where the vehicle’s own battery and everything that is not in one place is seen to. */
export const AT_LARGE = 'at the vehicle';

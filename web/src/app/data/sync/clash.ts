import { type Design, without } from '@meridex/core';
import type { EditEntry } from './entry';

export interface Clash {
  readonly path: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

export interface Revision {
  readonly number: number;
  readonly design: Design;
  readonly at: string;
}

/** An edit that waits for an answer: which values of it others changed meanwhile, and the revision they stand in. */
export interface Clashing {
  readonly entry: EditEntry;
  readonly clashes: readonly Clash[];
  readonly newest: Revision;
}

/** The edit as it is after the answer, on the revision that was before the eyes then; null: nothing of it is left. */
export function settled({ entry, clashes, newest }: Clashing, mine: boolean): EditEntry | null {
  const paths = clashes.map((c) => c.path);
  const patch = mine ? entry.patch : without(entry.patch, paths);
  return patch.length ? { ...entry, patch, base: newest.number, on: [] } : null;
}

/** What was answered once counts for the person's later edits of the same values, made before the answer. */
export interface Answer {
  readonly paths: readonly string[];
  readonly mine: boolean;
  readonly of: ReadonlySet<string>;
}

export const answersTo = (answer: Answer | undefined, { entry, clashes }: Clashing): boolean =>
  answer !== undefined && answer.of.has(entry.id) && clashes.every((c) => answer.paths.some((p) => p === c.path || p.startsWith(`${c.path}/`) || c.path.startsWith(`${p}/`)));

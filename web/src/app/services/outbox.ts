import type { Patch } from '@meridex/core';

/** Edits of one job that the server has not confirmed, kept in the browser so that a closed tab loses nothing. */
export interface Outbox {
  readonly base: number;
  readonly patch: Patch;
  readonly clientId: string;
  readonly edits: number;
  /** Edits made while the rest was on its way. */
  readonly behind: Patch;
}

const key = (jobId: string): string => `meridex.outbox.${jobId}`;

export function readOutbox(jobId: string): Outbox | null {
  const text = localStorage.getItem(key(jobId));
  return text ? (JSON.parse(text) as Outbox) : null;
}

export function keepOutbox(jobId: string, outbox: Outbox | null): void {
  if (outbox) localStorage.setItem(key(jobId), JSON.stringify(outbox));
  else localStorage.removeItem(key(jobId));
}

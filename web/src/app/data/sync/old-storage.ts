import { patchSchema } from '@meridex/core';
import { z } from 'zod';
import { type Entry, entrySchema } from './entry';

const OUTBOX = /^meridex\.outbox\.(.+)$/;
const RECORDS = 'meridex.records';
const outbox = z.object({ base: z.number(), patch: patchSchema, clientId: z.uuid(), behind: z.array(z.unknown()) });
const records = z.array(z.object({ kind: z.enum(['ticks', 'readings']), jobId: z.string(), body: z.looseObject({ id: z.uuid() }) }));

const json = (text: string): unknown => {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
};

/** What stands under one key of an earlier program: entries of whoever signs in next, or a text that cannot be read. */
export interface OldStorage {
  readonly read: readonly { readonly key: string; readonly entries: readonly Entry[] }[];
  readonly damaged: readonly { readonly key: string; readonly text: string }[];
}

function entriesIn(key: string, text: string): readonly Entry[] | null {
  const entries: unknown[] = [];
  const keep = (jobId: string, id: string, rest: object): void => {
    const now = Date.now() + entries.length;
    entries.push({ id, person: '', jobId, tab: '', at: now, touched: now, tried: true, refused: null, ...rest });
  };
  const jobId = OUTBOX.exec(key)?.[1];
  if (jobId) {
    const box = outbox.safeParse(json(text));
    if (!box.success) return null;
    const { base, patch, clientId, behind } = box.data;
    keep(jobId, clientId, { kind: 'edit', base, on: [], patch, label: 'kept before' });
    // Read again before it is taken out, it is the same entry.
    if (behind.length) keep(jobId, behindId(clientId), { kind: 'edit', base, on: [clientId], patch: behind, label: 'kept before' });
  } else {
    const list = records.safeParse(json(text));
    if (!list.success) return null;
    for (const r of list.data) keep(r.jobId, r.body.id, { kind: r.kind === 'ticks' ? 'tick' : 'reading', body: r.body });
  }
  const read = z.array(entrySchema).safeParse(entries);
  return read.success ? (read.data as Entry[]) : null;
}

/** An id of its own that follows from another one. */
const behindId = (uuid: string): string => `${uuid.slice(0, -1)}${((parseInt(uuid.slice(-1), 16) + 1) % 16).toString(16)}`;

/** What earlier programs kept on this device; it is left there. */
export function readOldStorage(storage: Storage): OldStorage {
  const all = Object.keys(storage)
    .filter((key) => OUTBOX.test(key) || key === RECORDS)
    .map((key) => ({ key, text: storage.getItem(key)!, entries: entriesIn(key, storage.getItem(key)!) }));
  return {
    read: all.flatMap(({ key, entries }) => (entries ? [{ key, entries }] : [])),
    damaged: all.flatMap(({ key, text, entries }) => (entries ? [] : [{ key, text }])),
  };
}

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

/** What earlier programs kept on this device, as entries of whoever signs in next; it is taken out of there. What cannot be read comes back as its text. */
export function takeOldStorage(storage: Storage): { readonly entries: readonly Entry[]; readonly damaged: readonly string[] } {
  const entries: Entry[] = [];
  const damaged: string[] = [];
  const keep = (jobId: string, id: string, rest: object): void => {
    const now = Date.now() + entries.length;
    const read = entrySchema.safeParse({ id, person: '', jobId, tab: '', at: now, touched: now, tried: true, refused: null, ...rest });
    if (read.success) entries.push(read.data as Entry);
    else damaged.push(JSON.stringify(rest));
  };
  for (const key of Object.keys(storage)) {
    const jobId = OUTBOX.exec(key)?.[1];
    if (!jobId && key !== RECORDS) continue;
    const text = storage.getItem(key)!;
    storage.removeItem(key);
    if (jobId) {
      const box = outbox.safeParse(json(text));
      if (!box.success) damaged.push(text);
      else {
        const { base, patch, clientId, behind } = box.data;
        keep(jobId, clientId, { kind: 'edit', base, on: [], patch, label: 'kept before' });
        if (behind.length) keep(jobId, crypto.randomUUID(), { kind: 'edit', base, on: [clientId], patch: behind, label: 'kept before' });
      }
    } else {
      const list = records.safeParse(json(text));
      if (!list.success) damaged.push(text);
      else for (const r of list.data) keep(r.jobId, r.body.id, { kind: r.kind === 'ticks' ? 'tick' : 'reading', body: r.body });
    }
  }
  return { entries, damaged };
}

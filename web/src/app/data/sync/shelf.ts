import { Injectable, signal } from '@angular/core';
import { openDB, type IDBPDatabase } from 'idb';
import { type Entry, entrySchema } from './entry';
import { readOldStorage } from './old-storage';

const NAME = 'meridex';
const STORES = ['entries', 'steps', 'answers'] as const;
type Store = (typeof STORES)[number];

/** A store that does not answer in this time counts as none, ms. */
const ANSWERS_WITHIN_MS = 3000;

const open = (): Promise<IDBPDatabase> =>
  openDB(NAME, 1, {
    upgrade: (db) => {
      for (const store of STORES) db.createObjectStore(store);
    },
    // A newer program in another page is not held up.
    blocking: (_from, _to, event) => (event.target as IDBDatabase).close(),
  });
const tooLong = (): Promise<never> => new Promise((_, reject) => setTimeout(() => reject(new Error('the store does not answer')), ANSWERS_WITHIN_MS));

/** What was found on this device: what can be used, and the texts of what cannot. */
export interface Found {
  readonly entries: readonly Entry[];
  readonly damaged: readonly string[];
}

/**
 * The device's own store. Nothing waits for it: where it is full, refused or damaged, work goes on in memory and goes
 * to the server, and `trouble` says so.
 */
@Injectable({ providedIn: 'root' })
export class Shelf {
  readonly trouble = signal<string | null>(null);
  private readonly db: Promise<IDBPDatabase | null> = Promise.race([open(), tooLong()]).catch((error: unknown) => this.fails(error));

  async all(): Promise<Found> {
    const rows = await this.do('entries', async (db) => Promise.all([db.getAllKeys('entries'), db.getAll('entries')]));
    const old = readOldStorage(localStorage);
    // Taken out of there only once it stands here; what cannot be read stays until it is let go.
    for (const { key, entries } of old.read) void this.do('entries', (db) => Promise.all(entries.map((e) => db.put('entries', e, e.id)))).then((done) => done && localStorage.removeItem(key));
    const before = old.read.flatMap((r) => r.entries).filter((e) => !(rows?.[0] ?? []).includes(e.id));
    const found = (rows?.[1] ?? []).map((row: unknown) => ({ row, read: entrySchema.safeParse(row) }));
    const entries = [...found.flatMap(({ read }) => (read.success ? [read.data as Entry] : [])), ...before];
    const damaged = [...found.flatMap(({ row, read }) => (read.success ? [] : [JSON.stringify(row)])), ...old.damaged.map((d) => d.text)];
    return { entries: entries.sort((a, b) => a.at - b.at), damaged };
  }

  put(store: Store, key: string, value: unknown): void {
    void this.do(store, async (db) => {
      const writing = db.transaction(store, 'readwrite');
      const put = writing.store.put(value, key);
      // Sent along at once: left to itself the commit waits for the page to hear of the write, and a page that is closed meanwhile writes nothing.
      writing.commit();
      await Promise.all([put, writing.done]);
    });
  }

  remove(store: Store, key: string): void {
    void this.do(store, (db) => db.delete(store, key));
  }

  async get<T>(store: Store, key: string): Promise<T | undefined> {
    return (await this.do(store, (db) => db.get(store, key) as Promise<T>)) ?? undefined;
  }

  /** Forgets what the server said: a person who signs out leaves no job behind on a shared device. What is still to be sent stays. */
  forgetAnswers(): void {
    void this.do('answers', (db) => db.clear('answers'));
    void this.do('steps', (db) => db.clear('steps'));
  }

  /** Throws away what cannot be read. */
  async clearDamaged(): Promise<void> {
    for (const { key } of readOldStorage(localStorage).damaged) localStorage.removeItem(key);
    await this.do('entries', async (db) => {
      for (const key of await db.getAllKeys('entries')) if (!entrySchema.safeParse(await db.get('entries', key)).success) await db.delete('entries', key);
    });
  }

  private async do<T>(store: Store, run: (db: IDBPDatabase) => Promise<T>): Promise<T | null> {
    const db = await this.db;
    if (!db) return null;
    try {
      return await Promise.race([run(db), tooLong()]);
    } catch (error) {
      // What is only there for later may be missing without harm; what is still to be sent may not go unsaid.
      return store === 'entries' ? this.fails(error) : null;
    }
  }

  private fails(error: unknown): null {
    const full = error instanceof DOMException && error.name === 'QuotaExceededError';
    this.trouble.set(`This device keeps nothing${full ? ': its storage is full' : ''}. What you do is sent at once; keep this page open until it says “all kept”.`);
    return null;
  }
}

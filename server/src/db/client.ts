import { sql } from 'drizzle-orm';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import { CHANNEL, LiveHub } from './live.js';
import * as schema from './schema.js';

export type Db = NodePgDatabase<typeof schema>;
/** A transaction that sees one workshop. */
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/** What is to be told once a transaction is through. */
const toTell = new WeakMap<Tx, string[]>();

/** Tells all servers on this database something when a transaction is through, and not if it fails. */
export const afterwards = (tx: Tx, word: string): void => void toTell.set(tx, [...(toTell.get(tx) ?? []), word]);

export interface Database {
  /** Runs in a transaction that sees only this workshop's rows. */
  inWorkshop<T>(workshopId: string, work: (tx: Tx) => Promise<T>): Promise<T>;
  /** Runs in a transaction that sees only the row that one setting names (sign-in address, session token, invitation or sent quote). */
  withSetting<T>(setting: 'app.sign_in_email' | 'app.session_hash' | 'app.invite_hash' | 'app.quote_hash', value: string, work: (tx: Tx) => Promise<T>): Promise<T>;
  /** Runs in a transaction that sees no workshop’s rows. */
  outside<T>(work: (tx: Tx) => Promise<T>): Promise<T>;
  /** What happens in jobs, while it happens. */
  readonly live: LiveHub;
  /** Whether the database answers, asked past all that waits for it. */
  alive(): Promise<void>;
  close(): Promise<void>;
}

export function openDatabase(url: string): Database {
  const pool = new pg.Pool({ connectionString: url, max: 10, connectionTimeoutMillis: 20_000 });
  // A connection that is lost while idle is replaced by the pool, and one lost at work fails what it was at; without a listener each would end the process.
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  // A commit that tells waits for every other that does, until all of it is on the disk: what is kept commits first, and is told by a connection that waits for no disk.
  const teller = new pg.Pool({ connectionString: url, max: 1, options: '-c synchronous_commit=off', connectionTimeoutMillis: 20_000 });
  teller.on('error', () => undefined);
  teller.on('connect', (client) => client.on('error', () => undefined));
  const db = drizzle(pool, { schema });
  const scoped = async <T>(name: string, value: string, work: (tx: Tx) => Promise<T>): Promise<T> => {
    let words: readonly string[] = [];
    const done = await db.transaction(async (tx) => {
      await tx.execute(sql`select set_config(${name}, ${value}, true)`);
      const of = await work(tx);
      words = toTell.get(tx) ?? [];
      return of;
    });
    // A database that goes away in between takes those along who listen; they ask anew when they are back.
    for (const word of words) await teller.query('select pg_notify($1, $2)', [CHANNEL, word]).catch(() => undefined);
    return done;
  };
  const live = new LiveHub(url);
  return {
    inWorkshop: (workshopId, work) => scoped('app.workshop_id', workshopId, work),
    withSetting: scoped,
    outside: (work) => db.transaction(work),
    live,
    alive: async () => void (await teller.query('select 1')),
    close: async () => {
      await live.close();
      await teller.end();
      await pool.end();
    },
  };
}

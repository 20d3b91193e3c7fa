import { sql } from 'drizzle-orm';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import { LiveHub } from './live.js';
import * as schema from './schema.js';

export type Db = NodePgDatabase<typeof schema>;
/** A transaction that sees one workshop. */
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

export interface Database {
  /** Runs in a transaction that sees only this workshop's rows. */
  inWorkshop<T>(workshopId: string, work: (tx: Tx) => Promise<T>): Promise<T>;
  /** Runs in a transaction that sees only the row that one setting names (sign-in address, session token, invitation or sent quote). */
  withSetting<T>(setting: 'app.sign_in_email' | 'app.session_hash' | 'app.invite_hash' | 'app.quote_hash', value: string, work: (tx: Tx) => Promise<T>): Promise<T>;
  /** Runs in a transaction that sees no workshop’s rows. */
  outside<T>(work: (tx: Tx) => Promise<T>): Promise<T>;
  /** What happens in jobs, while it happens. */
  readonly live: LiveHub;
  close(): Promise<void>;
}

export function openDatabase(url: string): Database {
  const pool = new pg.Pool({ connectionString: url, max: 10, connectionTimeoutMillis: 20_000 });
  // A connection lost while idle is replaced by the pool; without a listener it would end the process.
  pool.on('error', () => undefined);
  const db = drizzle(pool, { schema });
  const scoped = <T>(name: string, value: string, work: (tx: Tx) => Promise<T>): Promise<T> =>
    db.transaction(async (tx) => {
      await tx.execute(sql`select set_config(${name}, ${value}, true)`);
      return work(tx);
    });
  const live = new LiveHub(url);
  return {
    inWorkshop: (workshopId, work) => scoped('app.workshop_id', workshopId, work),
    withSetting: scoped,
    outside: (work) => db.transaction(work),
    live,
    close: async () => {
      await live.close();
      await pool.end();
    },
  };
}

import pg from 'pg';
import { openQueue, type Queue } from '../queue/queue.js';
import { openDatabase, type Database } from '../db/client.js';
import { APP_ROLE, migrateDatabase } from '../db/migrate.js';
import { loadDemo } from '../demo/load.js';

export interface TestDatabase {
  readonly db: Database;
  readonly queue: Queue;
  readonly ownerUrl: string;
  readonly appUrl: string;
  drop(): Promise<void>;
}

/** A fresh database on the real PostgreSQL that the test run started, migrated, with the demo where asked. */
export async function freshDatabase(withDemo: boolean): Promise<TestDatabase> {
  const { MERIDEX_TEST_OWNER_URL: base, MERIDEX_TEST_APP_PASSWORD: appPassword } = process.env;
  if (!base || !appPassword) throw new Error('run by npm test, which starts a PostgreSQL for the specs');
  const name = `spec_${crypto.randomUUID().replaceAll('-', '')}`;
  const admin = async (text: string): Promise<void> => {
    const client = new pg.Client({ connectionString: base });
    await client.connect();
    await client.query(text);
    await client.end();
  };
  await admin(`create database ${name}`);
  const at = (user: string, password: string): string => {
    const url = new URL(base);
    url.username = user;
    url.password = password;
    url.pathname = name;
    return url.toString();
  };
  const owner = new URL(base);
  const ownerUrl = at(owner.username, owner.password);
  const appUrl = at(APP_ROLE, appPassword);
  await migrateDatabase(ownerUrl, appPassword);
  if (withDemo) await loadDemo(ownerUrl);
  const db = openDatabase(appUrl);
  const queue = await openQueue(appUrl, () => undefined);
  return {
    db,
    queue,
    ownerUrl,
    appUrl,
    drop: async () => {
      await queue.close();
      await db.close();
      await admin(`drop database ${name} with (force)`);
    },
  };
}

/** A second workshop with one account, written as the owner. */
export async function addWorkshop(ownerUrl: string, email: string, passwordHash: string): Promise<string> {
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  const { rows } = await client.query<{ id: string }>("insert into workshops (name) values ('Other Shed') returning id");
  const id = rows[0]!.id;
  await client.query("insert into accounts (workshop_id, email, name, role, password_hash) values ($1, $2, 'other', 'owner', $3)", [id, email, passwordHash]);
  await client.end();
  return id;
}

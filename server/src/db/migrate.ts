import { fileURLToPath } from 'node:url';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { prepareQueue } from '../queue/queue.js';

export const APP_ROLE = 'meridex_app';
const FOLDER = fileURLToPath(new URL('../../drizzle', import.meta.url));

/** Brings the tables up to date as their owner, and gives the application's role its password. */
export async function migrateDatabase(ownerUrl: string, appPassword: string): Promise<void> {
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    await migrate(drizzle(client), { migrationsFolder: FOLDER });
    await prepareQueue(ownerUrl, APP_ROLE, (text) => client.query(text));
    await client.query(`ALTER ROLE ${APP_ROLE} PASSWORD ${client.escapeLiteral(appPassword)}`);
  } finally {
    await client.end();
  }
}

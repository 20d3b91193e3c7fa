import { existsSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { migrate } from './server.mjs';

async function asOwner(pg, database, work) {
  const { default: driver } = await import('pg');
  const client = new driver.Client({ connectionString: pg.ownerUrl(database) });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** A whole installation as one file: jobs with all their revisions, people, parts, photos. */
export function backUp(pg, database, file) {
  const done = pg.program('pg_dump', database, ['--format=custom', `--file=${resolve(file)}`]);
  if (done.code !== 0) throw new Error(`the backup could not be made:\n${done.out}`);
  return statSync(file).size;
}

/** Whether anybody has made a workshop in a database yet, which may not be there at all. */
async function hasWorkshop(pg, database) {
  const there = await asOwner(pg, 'postgres', (c) => c.query('select 1 from pg_database where datname = $1', [database]));
  if (there.rowCount === 0) return false;
  return asOwner(pg, database, async (c) => {
    const table = await c.query("select to_regclass('public.installation') is not null as there");
    return table.rows[0].there && (await c.query('select 1 from installation')).rowCount > 0;
  });
}

/** A backup into an empty installation; one that holds a workshop is never written over. */
export async function restore(pg, database, file) {
  if (!existsSync(file)) throw new Error(`${file} is not there.`);
  if (await hasWorkshop(pg, database))
    throw new Error('There is a workshop in this installation, and it is not written over. Restore into an empty one: another folder, or this one once its .data was moved away.');
  // What the file grants rights to must be there before it: the application's role.
  await migrate(pg, database, { demo: false });
  await asOwner(pg, 'postgres', async (c) => {
    await c.query(`drop database ${database}`);
    await c.query(`create database ${database}`);
  });
  const done = pg.program('pg_restore', database, ['--no-owner', '--exit-on-error', resolve(file)]);
  if (done.code !== 0) throw new Error(`the backup could not be read back:\n${done.out}`);
  // An older one is brought up to date.
  await migrate(pg, database, { demo: false });
}

/** Everything in a database, table by table, as one sum each: equal where the rows are. */
export const sumsOf = (pg, database) =>
  asOwner(pg, database, async (c) => {
    const tables = await c.query("select format('%I.%I', schemaname, tablename) as name from pg_tables where schemaname in ('public', 'drizzle') order by 1");
    const sums = {};
    for (const { name } of tables.rows) {
      const { rows } = await c.query(`select count(*)::int as rows, md5(coalesce(string_agg(t::text, E'\\n' order by t::text), '')) as sum from ${name} t`);
      sums[name] = `${rows[0].rows} rows, ${rows[0].sum}`;
    }
    return sums;
  });

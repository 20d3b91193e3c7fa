/** May do everything in a PostgreSQL of ours: used to set up the other two roles, and for nothing else. */
export const CLUSTER = 'meridex_cluster';
/** Owns the databases and their tables, for migrations and backups. No superuser. */
export const OWNER = 'meridex_owner';
/** What the server connects as: owns nothing. */
const APP = 'meridex_app';
/** Nobody renames the role that they are: this one does, and goes. */
const PASSING = 'meridex_passing';

const OWNS = 'LOGIN NOSUPERUSER CREATEDB CREATEROLE BYPASSRLS';
const SERVES = 'LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE NOBYPASSRLS';

async function connected(config, work) {
  const { default: driver } = await import('pg');
  const client = new driver.Client(config);
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

const literal = (text) => `'${text.replaceAll("'", "''")}'`;
const REFUSED = ['28P01', '28000'];

/** In a folder of before, the owner of the tables was the superuser that came first: it gets the name of what it is. */
async function rename(at, password) {
  await connected({ ...at, user: OWNER, password }, async (c) => {
    await c.query(`DROP ROLE IF EXISTS ${PASSING}`);
    await c.query(`CREATE ROLE ${PASSING} LOGIN SUPERUSER PASSWORD ${literal(password)}`);
  });
  await connected({ ...at, user: PASSING, password }, (c) => c.query(`ALTER ROLE ${OWNER} RENAME TO ${CLUSTER}`));
}

/** All that a role owns in a database, and the database itself, to the owner of tables. */
const HAND_OVER = `
DO $$
DECLARE r record;
BEGIN
  FOR r IN SELECT nspname AS n FROM pg_namespace WHERE nspowner = '${CLUSTER}'::regrole AND nspname !~ '^pg_' AND nspname <> 'information_schema' LOOP
    EXECUTE format('ALTER SCHEMA %I OWNER TO ${OWNER}', r.n);
  END LOOP;
  FOR r IN SELECT c.oid::regclass AS n FROM pg_class c JOIN pg_namespace s ON s.oid = c.relnamespace
    WHERE c.relowner = '${CLUSTER}'::regrole AND c.relkind IN ('r', 'p', 'v', 'm') AND s.nspname !~ '^pg_' AND s.nspname <> 'information_schema' LOOP
    EXECUTE format('ALTER TABLE %s OWNER TO ${OWNER}', r.n);
  END LOOP;
  FOR r IN SELECT c.oid::regclass AS n FROM pg_class c JOIN pg_namespace s ON s.oid = c.relnamespace
    WHERE c.relowner = '${CLUSTER}'::regrole AND c.relkind = 'S' AND s.nspname !~ '^pg_' LOOP
    EXECUTE format('ALTER SEQUENCE %s OWNER TO ${OWNER}', r.n);
  END LOOP;
  FOR r IN SELECT p.oid::regprocedure AS n FROM pg_proc p JOIN pg_namespace s ON s.oid = p.pronamespace
    WHERE p.proowner = '${CLUSTER}'::regrole AND s.nspname !~ '^pg_' AND s.nspname <> 'information_schema' LOOP
    EXECUTE format('ALTER FUNCTION %s OWNER TO ${OWNER}', r.n);
  END LOOP;
  FOR r IN SELECT t.oid::regtype AS n FROM pg_type t JOIN pg_namespace s ON s.oid = t.typnamespace
    WHERE t.typowner = '${CLUSTER}'::regrole AND t.typtype = 'e' AND s.nspname !~ '^pg_' AND s.nspname <> 'information_schema' LOOP
    EXECUTE format('ALTER TYPE %s OWNER TO ${OWNER}', r.n);
  END LOOP;
END $$`;

async function handOver(at, password) {
  const asCluster = { ...at, user: CLUSTER, password };
  const names = await connected(asCluster, async (c) => {
    const { rows } = await c.query(`SELECT datname AS name FROM pg_database WHERE datdba = '${CLUSTER}'::regrole AND datname NOT IN ('postgres', 'template0', 'template1')`);
    return rows.map((r) => r.name);
  });
  for (const database of names) {
    await connected({ ...asCluster, database }, (c) => c.query(HAND_OVER));
    await connected(asCluster, (c) => c.query(`ALTER DATABASE "${database}" OWNER TO ${OWNER}`));
  }
}

/** Sees to it that each role may what it should and no more, whatever was there before. */
export async function keepRoles(port, { clusterPassword, ownerPassword, appPassword }) {
  const at = { host: '127.0.0.1', port, database: 'postgres' };
  const asCluster = { ...at, user: CLUSTER, password: clusterPassword };
  await connected(asCluster, () => undefined).catch(async (error) => {
    if (!REFUSED.includes(error.code)) throw error;
    await rename(at, clusterPassword);
  });
  await connected(asCluster, async (c) => {
    await c.query(`DROP ROLE IF EXISTS ${PASSING}`);
    const { rows } = await c.query('SELECT rolname AS name FROM pg_roles');
    for (const [role, may, password] of [
      [OWNER, OWNS, ownerPassword],
      [APP, SERVES, appPassword],
    ])
      await c.query(`${rows.some((r) => r.name === role) ? 'ALTER' : 'CREATE'} ROLE ${role} ${may} PASSWORD ${literal(password)}`);
    // Where a role is kept by who made it alone, the owner is let to set the application's password.
    await c.query(`GRANT ${APP} TO ${OWNER} WITH ADMIN OPTION`);
  });
  await handOver(at, clusterPassword);
}

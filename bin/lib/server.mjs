import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { freePort } from './ports.mjs';
import { ROOT, runQuiet } from './run.mjs';
import { giveUp } from './say.mjs';

const MAIN = join(ROOT, 'server/dist/main.js');

/** Creates the database when it is not there. */
async function ensureDatabase(pg, database) {
  const { default: driver } = await import('pg');
  const client = new driver.Client({ connectionString: pg.ownerUrl('postgres') });
  await client.connect();
  const there = await client.query('select 1 from pg_database where datname = $1', [database]);
  if (there.rowCount === 0) await client.query(`create database ${database}`);
  await client.end();
}

/** Database made, tables up to date, demo loaded. */
export const prepare = (pg, database = 'meridex') => migrate(pg, database, { demo: process.env.MERIDEX_DEMO !== 'off' });

/** The same, with or without the demo. */
export async function migrate(pg, database, { demo }) {
  await ensureDatabase(pg, database);
  const done = runQuiet(process.execPath, [join(ROOT, 'server/dist/prepare.js')], {
    env: { ...process.env, MERIDEX_DEMO: demo ? 'on' : 'off', MERIDEX_OWNER_URL: pg.ownerUrl(database), MERIDEX_APP_PASSWORD: pg.appPassword },
  });
  if (done.code !== 0) giveUp(`the database could not be brought up to date:\n${done.out}`);
}

/** Ends a server that an earlier, killed start left behind, and waits until its port is free again. */
async function endLeftOver(pidFile) {
  if (!existsSync(pidFile)) return;
  const pid = Number(readFileSync(pidFile, 'utf8'));
  const commandLine = `/proc/${pid}/cmdline`;
  const isOurs = () => existsSync(commandLine) && readFileSync(commandLine, 'utf8').includes(MAIN);
  if (pid > 1 && isOurs()) process.kill(pid, 'SIGKILL');
  for (let i = 0; i < 40 && isOurs(); i++) await new Promise((resolve) => setTimeout(resolve, 50));
  rmSync(pidFile, { force: true });
}

/** Starts Meridex's server and waits until it answers. */
export async function startServer(pg, { name, wishedPort, database = 'meridex' }) {
  mkdirSync(join(ROOT, '.data'), { recursive: true });
  const pidFile = join(ROOT, '.data', `${name}.pid`);
  await endLeftOver(pidFile);
  const port = await freePort(wishedPort);
  const child = spawn(process.execPath, [MAIN], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, MERIDEX_DATABASE_URL: pg.url('meridex_app', database), MERIDEX_PORT: String(port), MERIDEX_WEB: join(ROOT, 'web/dist/browser') },
  });
  writeFileSync(pidFile, String(child.pid));
  let started = false;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  await Promise.race([
    new Promise((resolve) => child.stdout.on('data', (data) => String(data).includes('listening') && resolve())),
    ended.then(() => started || giveUp('the server ended while starting; its words are above')),
  ]);
  started = true;
  return {
    address: `http://127.0.0.1:${port}`,
    pid: child.pid,
    ended,
    stop: async () => {
      child.kill('SIGTERM');
      await Promise.race([ended, new Promise((r) => setTimeout(r, 5000).unref())]);
      child.kill('SIGKILL');
      rmSync(pidFile, { force: true });
    },
  };
}

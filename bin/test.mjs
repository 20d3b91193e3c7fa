import { rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from './build.mjs';
import { backUp, restore, sumsOf } from './lib/backup.mjs';
import { needChromium, needModules, needNgspice } from './lib/packages.mjs';
import { startPostgres } from './lib/postgres.mjs';
import { ROOT, runKept } from './lib/run.mjs';
import { say } from './lib/say.mjs';
import { migrate, prepare, startServer } from './lib/server.mjs';

// Every check and every suite, with one count at the end. `npm test -- core web` runs only those named.
needModules();
needChromium();
needNgspice();
build();

const node = process.execPath;
const npx = (args, options) => runKept('npx', ['--no-install', ...args], options);
/** A check passes or fails as one. */
const asOne = (run) => async () => {
  const { code } = await run();
  return { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
};
const last = (text, pattern) => [...text.matchAll(pattern)].at(-1);

/** Counts of a suite by its own closing words; a suite that ran nothing, or died, has failed. */
function counted({ code, out }, passed, failed) {
  const bad = failed === 0 && (code !== 0 || passed === 0) ? 1 : failed;
  if (bad && !failed) say(`the suite ended with code ${code} after ${passed} tests:\n${out.slice(-400)}`);
  return { passed, failed: bad };
}

async function nodeSuite() {
  const pg = await startPostgres({ name: 'test-postgres', wishedPort: 54510, throwaway: true });
  try {
    const env = { ...process.env, MERIDEX_TEST_OWNER_URL: pg.ownerUrl('postgres'), MERIDEX_TEST_APP_PASSWORD: pg.appPassword, NODE_NO_WARNINGS: '1' };
    const done = await runKept(node, ['--import', 'tsx', 'node_modules/jasmine/bin/jasmine.js', '--config=jasmine.config.mjs'], { env });
    const m = last(done.out, /(\d+) specs?, (\d+) failures?/g);
    const [all, failed] = m ? [Number(m[1]), Number(m[2])] : [0, 0];
    return counted(done, all - failed, failed);
  } finally {
    pg.stop();
  }
}

async function webSuite() {
  const done = await npx(['ng', 'test'], { cwd: join(ROOT, 'web'), env: { ...process.env, NG_CLI_ANALYTICS: 'false' } });
  const m = last(done.out, /Executed (\d+) of (\d+)(?: \((\d+) FAILED\))?/g);
  const [ran, all, failed] = m ? [Number(m[1]), Number(m[2]), Number(m[3] ?? 0)] : [0, 0, 0];
  return counted(done, ran === all ? ran - failed : 0, failed);
}

/** Benches on which paths run at once, each with a database and a server of its own, so that none sees what another changes. */
const BENCHES = 1;

async function pathSuite() {
  const pg = await startPostgres({ name: 'test-postgres', wishedPort: 54510, throwaway: true });
  const servers = [];
  const databases = [];
  try {
    for (let n = 0; n < BENCHES; n++) {
      const database = `paths_${process.pid}_${n}`;
      await prepare(pg, database);
      // Some paths kill and restart a server of their own to see that nothing is lost.
      databases.push(pg.url('meridex_app', database));
      servers.push(await startServer(pg, { name: `test-server-${n}`, wishedPort: 4310 + n, database }));
    }
    const env = { ...process.env, MERIDEX_ADDRESSES: servers.map((s) => s.address).join(' '), MERIDEX_TEST_DATABASES: databases.join(' ') };
    const done = await npx(['playwright', 'test'], { cwd: join(ROOT, 'e2e'), env });
    const number = (word) => Number(last(done.out, new RegExp(`(\\d+) ${word}`, 'g'))?.[1] ?? 0);
    return counted(done, number('passed'), number('failed'));
  } finally {
    for (const server of servers) await server.stop();
    pg.stop();
  }
}

/** A backup read back into an empty installation holds what was backed up, bit by bit; one with a workshop is not written over. */
async function backupSuite() {
  const pg = await startPostgres({ name: 'test-postgres', wishedPort: 54510, throwaway: true });
  const [from, to] = [`backup_${process.pid}`, `restored_${process.pid}`];
  const file = join(tmpdir(), `meridex-${process.pid}.backup`);
  try {
    await migrate(pg, from, { demo: true });
    backUp(pg, from, file);
    await restore(pg, to, file);
    const [before, after] = [await sumsOf(pg, from), await sumsOf(pg, to)];
    const other = Object.keys({ ...before, ...after }).filter((table) => before[table] !== after[table]);
    for (const table of other) say(`${table}: ${before[table]} backed up, ${after[table]} read back`);
    const said = await restore(pg, from, file).catch((error) => error.message);
    const kept = String(said).includes('not written over') && JSON.stringify(await sumsOf(pg, from)) === JSON.stringify(before);
    if (!kept) say(`a workshop that was there: ${said}`);
    const passed = (Object.keys(before).length > 10 && !other.length ? 1 : 0) + (kept ? 1 : 0);
    return { passed, failed: 2 - passed };
  } finally {
    rmSync(file, { force: true });
    pg.stop();
  }
}

const suites = [
  ['format', asOne(() => npx(['prettier', '--check', '.', '--log-level', 'warn']))],
  ['lint', asOne(() => npx(['eslint', '.']))],
  ['types of the specs', asOne(() => npx(['tsc', '-p', 'tsconfig.specs.json']))],
  ['layers', asOne(() => npx(['depcruise', '--config', '.dependency-cruiser.cjs', 'core/src', 'contract/src', 'server/src', 'cli/src', 'web/src/app']))],
  ['unused', asOne(() => npx(['knip', '--no-config-hints']))],
  ['core, server and command line', nodeSuite],
  ['backup and restore', backupSuite],
  ['killed under work', asOne(() => runKept(node, ['bin/torture.mjs', '0', '2']))],
  ['web', webSuite],
  ['paths', pathSuite],
];

const wanted = process.argv.slice(2);
let [passed, failed] = [0, 0];
const rows = [];
for (const [name, run] of suites) {
  if (wanted.length && !wanted.some((w) => name.includes(w))) continue;
  say(`\n── ${name}`);
  const began = Date.now();
  const result = await run();
  const seconds = Math.round((Date.now() - began) / 1000);
  passed += result.passed;
  failed += result.failed;
  rows.push(`${String(result.passed).padStart(6)} passed ${String(result.failed).padStart(4)} failed ${String(seconds).padStart(5)} s   ${name}`);
}
say(`\n${rows.join('\n')}\n`);
say(`${passed} passed, ${failed} failed`);
process.exit(failed > 0 || passed === 0 ? 1 : 0);

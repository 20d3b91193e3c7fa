import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { build } from './build.mjs';
import { needModules } from './lib/packages.mjs';
import { startPostgres } from './lib/postgres.mjs';
import { runShown } from './lib/run.mjs';
import { say } from './lib/say.mjs';
import { prepare, startServer } from './lib/server.mjs';

// What no day of a workshop does to it, done on purpose, with the figures of it: npm run torture -- SECONDS TURNS
// With no seconds things are killed and nothing else. It works on a database of its own and touches nothing of the workshop's.
const [seconds, turns] = [Number(process.argv[2] ?? 60), Number(process.argv[3] ?? 20)];
const [CLIENTS_IN_ONE, CLIENTS_APART] = [50, 200];
const failures = [];
const hold = (what, is) => {
  say(`${is ? '  holds ' : '  FAILS '} ${what}`);
  if (!is) failures.push(what);
};

needModules();
build();
const database = `torture_${process.pid}`;
let pg = await startPostgres({ name: 'torture-postgres', wishedPort: 54520 });
await prepare(pg, database);
let server = await startServer(pg, { name: 'torture-server', wishedPort: 4350, database });

const at = (path) => `${server.address}${path}`;
const signed = await fetch(at('/api/session'), { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ email: 'owner@tallowgum.example', password: 'wirrabel' }) });
const cookie = signed.headers.getSetCookie()[0].split(';')[0];
const ask = async (method, path, body) => {
  const r = await fetch(at(path), { method, headers: { cookie, ...(body ? { 'content-type': 'application/json' } : {}) }, ...(body ? { body: JSON.stringify(body) } : {}) });
  const text = await r.text();
  return { status: r.status, body: r.headers.get('content-type')?.includes('json') ? JSON.parse(text) : text };
};
const newJob = async () => (await ask('POST', '/api/jobs', { customer: 'Torture', promisedOn: null })).body.id;
const middle = (all) => all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0;
const memoryMb = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))[1]) / 1024;

/** Edits of one client, one after the other as a person types, each remembered when the server said that it has it. */
async function client(job, me, until, pauseMs) {
  const seen = { ms: [], kept: 0, last: null, refused: [] };
  let base = 1;
  for (let n = 0; Date.now() < until; n++) {
    const began = performance.now();
    // Each has a note of its own: an acceptance by its own name, which others leave alone.
    const value = { by: 'owner', reason: `${me} ${n}`, at: '2026-12-02' };
    const r = await ask('POST', `/api/jobs/${job}/revisions`, { base, clientId: randomUUID(), patch: [{ op: seen.kept ? 'replace' : 'add', path: `/accepted/${me}`, value }] }).catch((error) => ({
      status: 0,
      body: { message: error.message },
    }));
    if (r.status === 200) {
      seen.ms.push(performance.now() - began);
      [base, seen.last] = [r.body.number, value.reason];
      seen.kept++;
    } else seen.refused.push(`${r.status} ${r.body.message ?? ''}`);
    await wait(pauseMs);
  }
  return seen;
}

async function lostOf(work) {
  const lost = [];
  for (const [job, all] of work) {
    const { design } = (await ask('GET', `/api/jobs/${job}/design`)).body;
    for (const [me, seen] of all) if (seen.last !== null && design.accepted[me]?.reason !== seen.last) lost.push(me);
  }
  return lost;
}

async function load(title, jobs, clientsEach, pauseMs) {
  say(`\n${title}, ${seconds} s`);
  const ids = await Promise.all(Array.from({ length: jobs }, newJob));
  const before = memoryMb();
  const until = Date.now() + seconds * 1000;
  const work = await Promise.all(
    ids.map(async (job) => [job, await Promise.all(Array.from({ length: clientsEach }, async (_, i) => [`client${i}`, await client(job, `client${i}`, until, pauseMs)]))]),
  );
  const all = work.flatMap(([, clients]) => clients.map(([, seen]) => seen));
  const lost = await lostOf(work);
  say(
    `  ${all.reduce((n, s) => n + s.kept, 0)} saves, median ${middle(all.flatMap((s) => s.ms)).toFixed(0)} ms (wanted 50), slowest ${Math.max(...all.flatMap((s) => s.ms)).toFixed(0)} ms; memory ${before.toFixed(0)} → ${memoryMb().toFixed(0)} MB`,
  );
  hold('no save that was confirmed is lost', lost.length === 0);
  hold(
    `nothing is refused${all.flatMap((s) => s.refused)[0] ? `: ${all.flatMap((s) => s.refused)[0]}` : ''}`,
    all.every((s) => s.refused.length === 0),
  );
}

/** What a postmaster’s own note says that it is. */
const postmaster = () => Number(readFileSync(`${pg.data}/postmaster.pid`, 'utf8').split('\n')[0]);
const answers = async (withinMs) => {
  for (const until = Date.now() + withinMs; Date.now() < until; await wait(200))
    if (
      await fetch(at('/api/health')).then(
        (r) => r.ok,
        () => false,
      )
    )
      return true;
  return false;
};

async function databaseKilled() {
  say('\nPostgreSQL killed under work, and back, three times');
  const job = await newJob();
  let [lost, back] = [0, 0];
  for (let n = 0; n < 3; n++) {
    const work = client(job, `killed${n}`, Date.now() + 6000, 5);
    await wait(2000);
    process.kill(postmaster(), 'SIGKILL');
    await wait(500);
    pg = await startPostgres({ name: 'torture-postgres', wishedPort: 54520 });
    if (await answers(20_000)) back++;
    const seen = await work;
    const { design } = (await ask('GET', `/api/jobs/${job}/design`)).body;
    const has = design.accepted[`killed${n}`]?.reason;
    // What was confirmed is there, or one that came after it whose answer was cut off.
    const number = (reason) => Number(String(reason).split(' ')[1]);
    if (seen.last !== null && !(number(has) >= number(seen.last))) lost++;
  }
  hold('the server answers again by itself', back === 3);
  hold('no save that was confirmed is lost', lost === 0);
}

async function allKilled() {
  say(`\nEverything killed and started again, ${turns} times`);
  let came = 0;
  for (let n = 0; n < turns; n++) {
    process.kill(server.pid, 'SIGKILL');
    process.kill(postmaster(), 'SIGKILL');
    pg = await startPostgres({ name: 'torture-postgres', wishedPort: 54520 });
    await prepare(pg, database);
    server = await startServer(pg, { name: 'torture-server', wishedPort: 4350, database });
    if (await answers(10_000)) came++;
  }
  hold(`it starts again: ${came} of ${turns}`, came === turns);
}

async function health() {
  say('\nHealth while forty packs and diagrams are asked for at once');
  const { lines } = (await ask('GET', '/api/jobs')).body;
  const papers = (n) => Promise.all(Array.from({ length: n }, (_, i) => ask('GET', `/api/jobs/${lines[i % 6].id}/${i % 2 ? 'pack.pdf' : 'diagram.pdf'}`)));
  // A server that has just started opens its connections first.
  await papers(12);
  const heavy = papers(40);
  const ms = [];
  let done = false;
  void heavy.then(() => (done = true));
  while (!done) {
    const began = performance.now();
    await fetch(at('/api/health'));
    ms.push(performance.now() - began);
    await wait(20);
  }
  const statuses = (await heavy).map((r) => r.status);
  say(`  median ${middle(ms).toFixed(0)} ms, slowest ${Math.max(...ms).toFixed(0)} ms of ${ms.length} (wanted 200)`);
  hold('health is answered under 200 ms', Math.max(...ms) < 200);
  hold(
    'every paper comes',
    statuses.every((s) => s === 200),
  );
}

function hostile() {
  say('\nEvery route, 1,000 hostile bodies');
  const env = { ...process.env, MERIDEX_HOSTILE: '1000', MERIDEX_TEST_OWNER_URL: pg.ownerUrl('postgres'), MERIDEX_TEST_APP_PASSWORD: pg.appPassword, NODE_NO_WARNINGS: '1' };
  const code = runShown(process.execPath, ['--import', 'tsx', 'node_modules/jasmine/bin/jasmine.js', '--config=jasmine.config.mjs', 'server/src/hostile.spec.ts'], { env });
  hold('no answer is a failure, and no view breaks', code === 0);
}

try {
  if (seconds > 0) {
    await health();
    await load(`${CLIENTS_IN_ONE} clients in one job`, 1, CLIENTS_IN_ONE, 1000);
    await load(`${CLIENTS_APART} clients, each in a job of its own`, CLIENTS_APART, 1, 1000);
  }
  await databaseKilled();
  await allKilled();
  if (seconds > 0) hostile();
} finally {
  await server.stop();
  pg.stop();
  pg.remove();
}
say(failures.length ? `\n${failures.length} do not hold` : '\nall of it holds');
process.exit(failures.length ? 1 : 0);

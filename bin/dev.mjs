import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { build } from './build.mjs';
import { needModules } from './lib/packages.mjs';
import { freePort } from './lib/ports.mjs';
import { startPostgres } from './lib/postgres.mjs';
import { ROOT } from './lib/run.mjs';
import { say } from './lib/say.mjs';
import { prepare } from './lib/server.mjs';

// For the hours of work: core, server and command line compiled as they are saved, the server started anew behind them,
// the web application reloaded by Angular's own server, which passes /api on. The database is that of `npm start`.
needModules();
build({ web: false });
const pg = await startPostgres({ name: 'postgres', wishedPort: 54410 });
await prepare(pg);
const [api, page] = [await freePort(4300), await freePort(4201)];
const children = [];

function run(command, args, options = {}) {
  const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  children.push(child);
  return child;
}

run('npx', ['--no-install', 'tsc', '-b', 'core', 'contract', 'server', 'cli', '--watch', '--preserveWatchOutput']);
const env = { ...process.env, MERIDEX_DATABASE_URL: pg.url('meridex_app', 'meridex'), MERIDEX_PORT: String(api), MERIDEX_WEB: join(ROOT, 'web/dist/browser') };
run(process.execPath, ['--watch-path=server/dist', '--watch-path=core/dist', '--watch-path=contract/dist', '--watch-preserve-output', 'server/dist/main.js'], { env });
run('npx', ['--no-install', 'ng', 'serve', '--port', String(page), '--proxy-config', 'proxy.cjs'], {
  cwd: join(ROOT, 'web'),
  env: { ...process.env, NG_CLI_ANALYTICS: 'false', MERIDEX_API: `http://127.0.0.1:${api}` },
});
say(`
  Meridex reloads at  http://127.0.0.1:${page}
  Ctrl-C stops all of it.
`);

function stop() {
  for (const child of children) child.kill('SIGTERM');
  pg.stop();
  process.exit(0);
}
process.on('SIGINT', stop);
process.on('SIGTERM', stop);

import { build } from './build.mjs';
import { needModules } from './lib/packages.mjs';
import { startPostgres } from './lib/postgres.mjs';
import { say } from './lib/say.mjs';
import { prepare, startServer } from './lib/server.mjs';

// From an empty Debian machine to a running Meridex. Run again it is quick, and loses nothing.
// Without the demo the first visitor makes the workshop; `npm start -- --no-demo`, or MERIDEX_DEMO=off.
if (process.argv.includes('--no-demo')) process.env.MERIDEX_DEMO = 'off';
const demo = process.env.MERIDEX_DEMO !== 'off';
needModules();
build();
const pg = await startPostgres({ name: 'postgres', wishedPort: 54410 });
await prepare(pg);
const server = await startServer(pg, { name: 'server', wishedPort: Number(process.env.PORT) || 4200 });

say(`
  Meridex is at  ${server.address}

${
  demo
    ? `  Demo workshop: Tallowgum Auto Electrics, Wirrabel (made up)
  sign in with   owner@tallowgum.example
  password       wirrabel`
    : '  No demo: in an empty installation the first visitor makes the workshop;\n  where the demo was loaded before, its account does not sign in now.'
}

  Ctrl-C stops the server and its PostgreSQL.
`);

let stopping = false;
async function stop() {
  if (stopping) return;
  stopping = true;
  await server.stop();
  pg.stop();
  process.exit(0);
}
process.on('SIGINT', () => void stop());
process.on('SIGTERM', () => void stop());
server.ended.then((code) => {
  if (stopping) return;
  say(`the server ended by itself (code ${code})`);
  pg.stop();
  process.exit(1);
});

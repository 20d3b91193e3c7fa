import { build } from './build.mjs';
import { restore } from './lib/backup.mjs';
import { needModules } from './lib/packages.mjs';
import { startPostgres } from './lib/postgres.mjs';
import { giveUp, say } from './lib/say.mjs';

// A backup into an installation that holds nothing yet: npm run restore -- FILE
const [file] = process.argv.slice(2);
if (!file) giveUp('Say which: npm run restore -- meridex-2026-12-01.backup');
needModules();
build();
const pg = await startPostgres({ name: 'postgres', wishedPort: 54410 });
if (pg.found) giveUp('Meridex runs in this folder: stop it first.');
let trouble = null;
try {
  await restore(pg, 'meridex', file);
  say(`${file} is read back. npm start serves it.`);
} catch (error) {
  trouble = error.message;
} finally {
  pg.stop();
}
if (trouble) giveUp(trouble);

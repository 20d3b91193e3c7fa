import { backUp } from './lib/backup.mjs';
import { needModules } from './lib/packages.mjs';
import { startPostgres } from './lib/postgres.mjs';
import { giveUp, say } from './lib/say.mjs';

// The whole installation as one file, while Meridex runs or not: npm run backup -- FILE
const [file] = process.argv.slice(2);
if (!file) giveUp('Say where to: npm run backup -- meridex-2026-12-01.backup');
needModules();
const pg = await startPostgres({ name: 'postgres', wishedPort: 54410 });
let trouble = null;
try {
  const bytes = backUp(pg, 'meridex', file);
  say(`${file}: ${(bytes / 1e6).toFixed(1)} MB. It holds all that the workshop has: keep it where only the workshop reads it.`);
} catch (error) {
  trouble = error.message;
} finally {
  if (!pg.found) pg.stop();
}
if (trouble) giveUp(trouble);

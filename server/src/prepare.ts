import { migrateDatabase } from './db/migrate.js';
import { loadDemo } from './demo/load.js';

// Brings a database up to date and loads the demo into an empty one, unless MERIDEX_DEMO is off: run before the server starts.
const { MERIDEX_OWNER_URL: ownerUrl, MERIDEX_APP_PASSWORD: appPassword } = process.env;
if (!ownerUrl || !appPassword) throw new Error('MERIDEX_OWNER_URL and MERIDEX_APP_PASSWORD: both are needed');
await migrateDatabase(ownerUrl, appPassword);
const loaded = process.env['MERIDEX_DEMO'] !== 'off' && (await loadDemo(ownerUrl));
process.stdout.write(loaded ? 'demo workshop loaded\n' : 'no demo loaded\n');

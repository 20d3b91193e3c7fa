import { buildApp } from './app.js';
import { readConfig } from './config.js';
import { openDatabase } from './db/client.js';
import { openQueue } from './queue/queue.js';
import { runTripsWork } from './trips/work.js';

const config = readConfig(process.env);
const db = openDatabase(config.databaseUrl);
const queue = await openQueue(config.databaseUrl, (error) => process.stderr.write(`queue: ${error.message}\n`));
await queue.listen('trips', (work) => runTripsWork(db, work));
const app = await buildApp({ db, queue, webRoot: config.webRoot, demo: config.demo, proxy: config.proxy, log: true });

async function stop(): Promise<void> {
  await app.close();
  await queue.close();
  await db.close();
}
process.once('SIGINT', () => void stop());
process.once('SIGTERM', () => void stop());

const address = await app.listen({ host: config.host, port: config.port });
process.stdout.write(`meridex listening on ${address}\n`);

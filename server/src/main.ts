import { buildApp } from './app.js';
import { readConfig } from './config.js';
import { openDatabase } from './db/client.js';

const config = readConfig(process.env);
const db = openDatabase(config.databaseUrl);
const app = await buildApp({ db, webRoot: config.webRoot, log: true });

async function stop(): Promise<void> {
  await app.close();
  await db.close();
}
process.once('SIGINT', () => void stop());
process.once('SIGTERM', () => void stop());

const address = await app.listen({ host: config.host, port: config.port });
process.stdout.write(`meridex listening on ${address}\n`);

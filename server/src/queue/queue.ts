import PgBoss from 'pg-boss';

/** Where the queue keeps its tables, beside the application's. */
export const QUEUE_SCHEMA = 'queue';
/** Kinds of background work, by what is sent with each. */
export interface Work {
  readonly trips: { readonly workshopId: string; readonly runId: string };
}
const KINDS: readonly (keyof Work)[] = ['trips'];

/** Background work on the same PostgreSQL: any server that listens may take it. */
export interface Queue {
  send<K extends keyof Work>(kind: K, data: Work[K]): Promise<void>;
  listen<K extends keyof Work>(kind: K, work: (data: Work[K]) => Promise<void>): Promise<void>;
  close(): Promise<void>;
}

/** Makes the queue's tables as their owner, and lets the application's role use them. */
export async function prepareQueue(ownerUrl: string, role: string, query: (text: string) => Promise<unknown>): Promise<void> {
  const boss = new PgBoss({ connectionString: ownerUrl, schema: QUEUE_SCHEMA, supervise: false, schedule: false });
  boss.on('error', () => undefined);
  await boss.start();
  for (const kind of KINDS) if (!(await boss.getQueue(kind))) await boss.createQueue(kind, { name: kind, retryLimit: 2, expireInSeconds: 3600 });
  await boss.stop({ graceful: false, wait: true });
  await query(`GRANT USAGE ON SCHEMA ${QUEUE_SCHEMA} TO ${role}`);
  await query(`GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA ${QUEUE_SCHEMA} TO ${role}`);
  await query(`GRANT EXECUTE ON ALL FUNCTIONS IN SCHEMA ${QUEUE_SCHEMA} TO ${role}`);
}

/** The queue as the application's role sees it. `trouble` hears what goes wrong in the background. */
export async function openQueue(url: string, trouble: (error: Error) => void): Promise<Queue> {
  const boss = new PgBoss({ connectionString: url, schema: QUEUE_SCHEMA, migrate: false, max: 3 });
  boss.on('error', trouble);
  await boss.start();
  return {
    send: async (kind, data) => void (await boss.send(kind, data)),
    listen: async (kind, work) => {
      await boss.work<Work[typeof kind]>(kind, { pollingIntervalSeconds: 0.5, batchSize: 1 }, async (jobs) => {
        for (const job of jobs) await work(job.data);
      });
    },
    close: () => boss.stop({ graceful: true, wait: true, timeout: 2000 }),
  };
}

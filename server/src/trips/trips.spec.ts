import type { FastifyInstance } from 'fastify';
import { hashPassword } from '../accounts/password.js';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/load.js';
import { addWorkshop, freshDatabase, type TestDatabase } from '../testing/database.js';
import { signIn } from '../testing/sign-in.js';
import { runTripsWork } from './work.js';

interface Run {
  readonly id: string;
  readonly state: string;
  readonly done: number;
  readonly trips: number;
  readonly result: { readonly trips: number; readonly chanceOff: number; readonly p10: number[]; readonly p90: number[] } | null;
}

describe('many trips on the server', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let cookie: string;
  let other: string;
  let jobId: string;

  const post = (url: string, payload: object = {}, as = cookie) => app.inject({ method: 'POST', url, payload, headers: { cookie: as } });
  const look = async (id: string): Promise<Run> => (await app.inject({ url: `/api/trips/${id}`, headers: { cookie } })).json<Run>();
  const until = async (id: string, ended: (r: Run) => boolean): Promise<Run> => {
    for (let n = 0; n < 400; n++) {
      const run = await look(id);
      if (ended(run)) return run;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    throw new Error('it never came so far');
  };

  beforeAll(async () => {
    database = await freshDatabase(true);
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
    await database.queue.listen('trips', (work) => runTripsWork(database.db, work));
    await addWorkshop(database.ownerUrl, 'trips@shed.example', await hashPassword('other-secret'));
    cookie = await signIn(app, DEMO.email, DEMO.password);
    other = await signIn(app, 'trips@shed.example', 'other-secret');
    const jobs = (await app.inject({ url: '/api/jobs', headers: { cookie } })).json<{ lines: { id: string; customer: string }[] }>().lines;
    jobId = jobs.find((j) => j.customer.startsWith('Stonefly'))!.id;
  }, 60_000);

  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  it('go through the queue and come back with their chance and their band', async () => {
    const asked = await post(`/api/jobs/${jobId}/trips`, { trips: 300, oneByOne: false });
    expect([asked.statusCode, asked.json<Run>().state]).toEqual([202, 'waiting']);
    const run = await until(asked.json<Run>().id, (r) => r.state === 'done');
    expect([run.done, run.result!.trips, run.result!.p10.length]).toEqual([300, 300, 6 * 24 + 1]);
    run.result!.p10.forEach((p, h) => expect(p <= run.result!.p90[h]!).toBeTrue());
    const newest = await app.inject({ url: `/api/jobs/${jobId}/trips`, headers: { cookie } });
    expect(newest.json<Run>().id).toBe(run.id);
  }, 30_000);

  it('stop when told to, and stand for as many as were done', async () => {
    const { id } = (await post(`/api/jobs/${jobId}/trips`, { trips: 100_000, oneByOne: false })).json<Run>();
    await until(id, (r) => r.done >= 200);
    expect((await post(`/api/trips/${id}/stop`)).json<Run>().state).toBe('stopped');
    const run = await until(id, (r) => r.result !== null);
    expect(run.state).toBe('stopped');
    expect(run.result!.trips).toBe(run.done);
    expect(run.done).toBeLessThan(100_000);
  }, 30_000);

  it('are refused with what is accepted, and without a battery in words', async () => {
    const few = await post(`/api/jobs/${jobId}/trips`, { trips: 7, oneByOne: false });
    expect([few.statusCode, few.json<{ message: string }>().message]).toEqual([400, jasmine.stringContaining('from 100 to 100000 trips') as unknown as string]);
    const bare = (await post('/api/jobs', { customer: 'Spec without battery', promisedOn: null })).json<{ id: string }>().id;
    await post(`/api/jobs/${bare}/revisions`, { base: 1, patch: [{ op: 'replace', path: '/banks/house/batteries/house/part', value: null }], clientId: crypto.randomUUID() });
    const none = await post(`/api/jobs/${bare}/trips`, { trips: 100, oneByOne: false });
    expect([none.statusCode, none.json<{ message: string }>().message]).toEqual([422, jasmine.stringContaining('no house battery') as unknown as string]);
  });

  it('stay within their workshop', async () => {
    const { id } = (await post(`/api/jobs/${jobId}/trips`, { trips: 100, oneByOne: false })).json<Run>();
    expect((await app.inject({ url: `/api/trips/${id}`, headers: { cookie: other } })).statusCode).toBe(404);
    expect((await post(`/api/trips/${id}/stop`, {}, other)).statusCode).toBe(404);
    expect((await post(`/api/jobs/${jobId}/trips`, { trips: 100, oneByOne: false }, other)).statusCode).toBe(404);
    expect((await until(id, (r) => r.state === 'done')).done).toBe(100);
  }, 30_000);
});

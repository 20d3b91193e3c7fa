import { DEMO_JOBS } from '@meridex/core';
import type { FastifyInstance } from 'fastify';
import { hashPassword } from '../accounts/password.js';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/load.js';
import { addWorkshop, freshDatabase, type TestDatabase } from '../testing/database.js';
import { signIn } from '../testing/sign-in.js';

interface Kept {
  readonly part: { readonly id: string; readonly capacityAh?: number; readonly assumed?: readonly string[] };
  readonly retired: boolean;
  readonly author: string;
}

const ATTIC = { kind: 'battery', name: 'attic 135', chemistry: 'agm', capacityAh: 135 };

describe('a workshop’s own parts on the server', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let [cookie, other] = ['', ''];
  const listed = async (as = cookie): Promise<Kept[]> => (await app.inject({ url: '/api/parts', headers: { cookie: as } })).json<Kept[]>();
  const send = (method: 'POST' | 'DELETE', url: string, payload?: object, as = cookie) => app.inject({ method, url, headers: { cookie: as }, ...(payload ? { payload } : {}) });

  beforeAll(async () => {
    database = await freshDatabase(true);
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
    await addWorkshop(database.ownerUrl, 'other@shed.example', await hashPassword('other-secret'));
    [cookie, other] = [await signIn(app, DEMO.email, DEMO.password), await signIn(app, 'other@shed.example', 'other-secret')];
  }, 60_000);
  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  it('are kept with what they say and what is a default, and the newest of each is what it is now', async () => {
    expect((await send('POST', '/api/parts', ATTIC)).statusCode).toBe(201);
    await send('POST', '/api/parts', { ...ATTIC, capacityAh: 140 });
    const mine = (await listed()).filter((p) => p.part.id === 'own-attic-135');
    expect(mine.map((p) => [p.part.capacityAh, p.retired])).toEqual([[140, false]]);
    expect(mine[0]!.part.assumed).toContain('peakA');
    expect(mine[0]!.author.length).toBeGreaterThan(0);
  });
  it('are refused with the field, what came and what is accepted', async () => {
    const r = await send('POST', '/api/parts', { ...ATTIC, capacityAh: 0 });
    expect([r.statusCode, r.json<{ message: string }>().message]).toEqual([400, 'capacityAh: came 0; more than 0 Ah is accepted']);
  });
  it('come from a file whole or not at all', async () => {
    const before = (await listed()).length;
    const bad = await send('POST', '/api/parts/file', { text: 'kind,name,ratedA\nswitch,old one,200\nswitch,bad one,0' });
    expect([bad.statusCode, bad.json<{ message: string }>().message]).toEqual([400, 'part 2: ratedA: came 0; more than 0 A is accepted']);
    expect((await listed()).length).toBe(before);
    const good = await send('POST', '/api/parts/file', { text: 'kind,name,ratedA\nswitch,old one,200\nshunt,old shunt,300' });
    expect(good.json<Kept[]>().map((p) => p.part.id)).toEqual(['own-old-one', 'own-old-shunt']);
    expect((await listed()).length).toBe(before + 2);
  });
  it('and shipped ones say which jobs have them, in any vehicle, and no job that has not', async () => {
    const jobsOf = async (part: string, as = cookie) => (await app.inject({ url: `/api/parts/${part}/jobs`, headers: { cookie: as } })).json<{ customer: string; state: string }[]>();
    const wanted = DEMO_JOBS.filter((j) => JSON.stringify(j.design).includes('"part":"dcdc-40-dual"')).map((j) => j.design.brief.customer);
    expect(wanted.length).toBeGreaterThan(0);
    expect((await jobsOf('dcdc-40-dual')).map((j) => j.customer).sort()).toEqual(wanted.sort());
    expect([await jobsOf('dcdc-40'), await jobsOf('dcdc-40-dual', other)]).toEqual([[], []]);
  });
  it('are retired without being forgotten, and nobody retires what is not there', async () => {
    await send('POST', '/api/parts', ATTIC);
    expect((await send('DELETE', '/api/parts/own-attic-135')).json<Kept>().retired).toBeTrue();
    expect((await listed()).find((p) => p.part.id === 'own-attic-135')!.retired).toBeTrue();
    expect((await send('DELETE', '/api/parts/nothing')).statusCode).toBe(404);
  });
  it('stay in their workshop', async () => {
    await send('POST', '/api/parts', ATTIC);
    expect(await listed(other)).toEqual([]);
    expect((await send('DELETE', '/api/parts/own-attic-135', undefined, other)).statusCode).toBe(404);
    expect((await app.inject({ url: '/api/parts' })).statusCode).toBe(401);
  });
});

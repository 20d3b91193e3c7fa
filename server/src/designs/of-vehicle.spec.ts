import { blankDesign, doCommands, patchBetween, type Design } from '@meridex/core';
import type { FastifyInstance } from 'fastify';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/load.js';
import { freshDatabase, type TestDatabase } from '../testing/database.js';
import { signIn } from '../testing/sign-in.js';

describe('a job of two vehicles', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let cookie: string;
  let jobId: string;
  const get = (url: string) => app.inject({ url, headers: { cookie } });
  const post = (url: string, payload: object) => app.inject({ method: 'POST', url, payload, headers: { cookie } });

  beforeAll(async () => {
    database = await freshDatabase(true);
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
    cookie = await signIn(app, DEMO.email, DEMO.password);
    jobId = (await post('/api/jobs', { customer: 'Saltbush Choir', promisedOn: null })).json<{ id: string }>().id;
    const { design } = (await get(`/api/jobs/${jobId}/design`)).json<{ design: Design }>();
    const done = doCommands(blankDesign('Saltbush Choir'), [
      { do: 'addVehicle', with: { id: 'camper', vehicleKind: 'camper', name: 'choir camper' } },
      { do: 'couple', with: { from: 'own', to: 'camper' } },
    ]);
    if (!done.ok) throw new Error(done.message);
    const kept = await post(`/api/jobs/${jobId}/revisions`, { base: 1, patch: patchBetween(design, done.design), clientId: crypto.randomUUID() });
    expect(kept.statusCode).toBe(200);
  }, 60_000);

  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  it('stands on the bay sheet with both of them', async () => {
    const { lines } = (await get('/api/jobs')).json<{ lines: { id: string; vehicle: string }[] }>();
    expect(lines.find((l) => l.id === jobId)!.vehicle).toBe('dual-cab ute + choir camper');
  });

  it('has a pack and a diagram of each, and none of one that is not there', async () => {
    for (const paper of ['pack.pdf', 'diagram.svg']) {
      expect((await get(`/api/jobs/${jobId}/${paper}`)).statusCode).toBe(200);
      expect((await get(`/api/jobs/${jobId}/${paper}?vehicle=camper`)).statusCode).toBe(200);
      expect((await get(`/api/jobs/${jobId}/${paper}?vehicle=boat`)).statusCode).toBe(404);
    }
    const [ute, camper] = await Promise.all(['', '?vehicle=camper'].map(async (v) => (await get(`/api/jobs/${jobId}/diagram.svg${v}`)).body));
    expect(ute).not.toBe(camper);
    expect(camper).toMatch(/[0-9]+\sA plug/);
  }, 60_000);

  it('keeps many trips of each apart', async () => {
    const asked = await post(`/api/jobs/${jobId}/trips`, { trips: 100, oneByOne: false, vehicle: 'camper' });
    expect(asked.statusCode).toBe(202);
    expect((await get(`/api/jobs/${jobId}/trips`)).json()).toBeNull();
    expect((await get(`/api/jobs/${jobId}/trips?vehicle=camper`)).json<{ id: string }>().id).toBe(asked.json<{ id: string }>().id);
    expect((await post(`/api/jobs/${jobId}/trips`, { trips: 100, oneByOne: false, vehicle: 'boat' })).statusCode).toBe(404);
  });
});

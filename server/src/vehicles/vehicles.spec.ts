import { vehicleOf, DEMO_JOBS, type Vehicle } from '@meridex/core';
import type { FastifyInstance } from 'fastify';
import { hashPassword } from '../accounts/password.js';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/load.js';
import { addWorkshop, freshDatabase, type TestDatabase } from '../testing/database.js';
import { signIn } from '../testing/sign-in.js';

interface Line {
  readonly id: string;
  readonly name: string;
  readonly author: string;
}

describe('vehicles and drill templates on the server', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let [cookie, other] = ['', ''];
  const own: Vehicle = { ...structuredClone(vehicleOf(DEMO_JOBS[0]!.design)), name: 'spec vehicle' };
  const get = (url: string, as = cookie) => app.inject({ url, headers: { cookie: as } });
  const keep = (vehicle: unknown, as = cookie) => app.inject({ method: 'POST', url: '/api/vehicles', payload: vehicle as object, headers: { cookie: as } });
  const listed = async (as = cookie): Promise<Line[]> => (await get('/api/vehicles', as)).json<Line[]>();

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

  it('are kept, listed under their name and read back as they were', async () => {
    const r = await keep(own);
    expect(r.statusCode).toBe(201);
    const line = (await listed()).find((l) => l.name === own.name)!;
    expect(line.author.length).toBeGreaterThan(0);
    expect((await get(`/api/vehicles/${line.id}`)).json<Vehicle>()).toEqual(own);
  });
  it('list only the newest of a name; the older one is still there by its id', async () => {
    const first = (await keep(own)).json<Line>();
    const second = (await keep({ ...own, heightMm: own.heightMm + 10 })).json<Line>();
    expect((await listed()).filter((l) => l.name === own.name).map((l) => l.id)).toEqual([second.id]);
    expect((await get(`/api/vehicles/${first.id}`)).json<Vehicle>().heightMm).toBe(own.heightMm);
  });
  it('are refused with the field, when their data cannot be a vehicle', async () => {
    const r = await keep({ ...own, lengthMm: -4 });
    expect(r.statusCode).toBe(400);
    expect(r.json<{ message: string }>().message).toMatch(/lengthMm.*from 1 mm is accepted/);
  });
  it('stay in their workshop', async () => {
    const { id } = (await keep(own)).json<Line>();
    expect(await listed(other)).toEqual([]);
    expect((await get(`/api/vehicles/${id}`, other)).statusCode).toBe(404);
    expect((await app.inject({ url: '/api/vehicles' })).statusCode).toBe(401);
  });

  describe('drill templates', () => {
    const idOf = async (name: string): Promise<string> => {
      const { lines } = (await get('/api/jobs')).json<{ lines: { id: string; customer: string }[] }>();
      const { customer } = DEMO_JOBS.find((j) => j.key === name)!.design.brief;
      return lines.find((l) => l.customer === customer)!.id;
    };
    it('come as PDF and as DXF for a job that has a board', async () => {
      const id = await idOf('vet');
      const [pdf, dxf] = [await get(`/api/jobs/${id}/drill-template.pdf`), await get(`/api/jobs/${id}/drill-template.dxf`)];
      expect([pdf.statusCode, pdf.headers['content-type'], pdf.rawPayload.subarray(0, 5).toString()]).toEqual([200, 'application/pdf', '%PDF-']);
      expect([dxf.statusCode, dxf.headers['content-type']]).toEqual([200, 'application/dxf']);
      expect(dxf.headers['content-disposition']).toMatch(/attachment; filename="[a-z0-9-]+-drill-template\.dxf"/);
    });
    it('say what is missing for a job without a board, and nothing of another workshop’s job', async () => {
      const boardless = await idOf('bees');
      const r = await get(`/api/jobs/${boardless}/drill-template.pdf`);
      expect([r.statusCode, r.json<{ message: string }>().message]).toEqual([404, 'This job has no mounting board yet; draft one under Places.']);
      expect((await get(`/api/jobs/${await idOf('vet')}/drill-template.dxf`, other)).json<{ message: string }>().message).toBe('This job is not in your workshop.');
    });
  });
});

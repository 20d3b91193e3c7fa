import { doCommands, mainsSide, SIGNED_BEFORE, catalogueOf, patchBetween, type Design } from '@meridex/core';
import type { FastifyInstance } from 'fastify';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/load.js';
import { freshDatabase, type TestDatabase } from '../testing/database.js';
import { signIn } from '../testing/sign-in.js';

describe('the 230 V side of a job', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let owner: string;
  let licensed: string;
  let jobId: string;
  const call = (method: 'GET' | 'POST' | 'PATCH', url: string, cookie: string, payload?: object) => app.inject({ method, url, headers: { cookie }, ...(payload ? { payload } : {}) });
  const design = async (): Promise<{ number: number; design: Design }> => (await call('GET', `/api/jobs/${jobId}/design`, owner)).json();
  const change = async (cookie: string, by: (d: Design) => void) => {
    const { number, design: now } = await design();
    const next = structuredClone(now);
    by(next);
    return call('POST', `/api/jobs/${jobId}/revisions`, cookie, { base: number, patch: patchBetween(now, next), clientId: crypto.randomUUID() });
  };
  const leave = () => call('PATCH', `/api/jobs/${jobId}`, owner, { state: 'handed over' });
  const signed = { by: 'Mia', licence: '77', on: '2026-11-28', statement: 'tested' };

  beforeAll(async () => {
    database = await freshDatabase(true);
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
    owner = await signIn(app, DEMO.email, DEMO.password);
    const { token } = (await call('POST', '/api/people/invites', owner, { role: 'mains electrician' })).json<{ token: string }>();
    await call('POST', `/api/invites/${token}`, '', { name: 'Mia', email: 'mia@mains.example', password: 'a long enough word' });
    licensed = await signIn(app, 'mia@mains.example', 'a long enough word');
    jobId = (await call('POST', '/api/jobs', owner, { customer: 'Paperbark Players', promisedOn: null })).json<{ id: string }>().id;
    const { number, design: now } = await design();
    const done = doCommands(now, [
      { do: 'addConverter', with: { id: 'inverter', part: 'inv-600' } },
      { do: 'addVehicle', with: { id: 'camper', vehicleKind: 'camper', name: 'camper' } },
      { do: 'addConverter', with: { id: 'plugged', part: 'mc-15' }, in: 'camper' },
    ]);
    if (!done.ok) throw new Error(done.message);
    expect((await call('POST', `/api/jobs/${jobId}/revisions`, owner, { base: number, patch: patchBetween(now, done.design), clientId: crypto.randomUUID() })).statusCode).toBe(200);
  }, 60_000);

  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  it('is theirs alone: a licensed electrician answers and signs in every vehicle, and changes nothing else', async () => {
    expect((await change(licensed, (d) => (d.mains.answers['inverter.outlets'] = crypto.randomUUID()))).statusCode).toBe(200);
    expect((await change(licensed, (d) => (d.vehicles['camper']!.mains.answers['inlet.lead'] = crypto.randomUUID()))).statusCode).toBe(200);
    for (const other of [(d: Design) => (d.brief.notes = 'mine'), (d: Design) => ((d.brief.notes = 'mine'), (d.mains.signed = signed))]) {
      const refused = await change(licensed, other);
      expect([refused.statusCode, refused.json<{ message: string }>().message]).toEqual([403, 'A mains electrician may not change a plan; an owner, electrician or apprentice may.']);
    }
  });

  it('keeps what was signed as it was signed: an apprentice changes no answer under it, nor writes a signature in the old way', async () => {
    const { token } = (await call('POST', '/api/people/invites', owner, { role: 'apprentice' })).json<{ token: string }>();
    await call('POST', `/api/invites/${token}`, '', { name: 'Wren', email: 'wren@mains.example', password: 'a long enough word' });
    const apprentice = await signIn(app, 'wren@mains.example', 'a long enough word');
    const answer = (cookie: string) => change(cookie, (d) => (d.mains.answers['inverter.rcd'] = crypto.randomUUID()));
    // Whatever ran before it left it signed or not.
    if ((await design()).design.mains.signed) await change(owner, (d) => (d.mains.signed = null));
    expect((await answer(apprentice)).statusCode).toBe(200);
    expect((await change(licensed, (d) => (d.mains.signed = signed))).statusCode).toBe(200);
    const refused = await answer(apprentice);
    expect([refused.statusCode, refused.json<{ message: string }>().message]).toEqual([403, 'An apprentice may not sign for the 230 V side; an owner or mains electrician may.']);
    expect((await change(licensed, (d) => (d.mains.signed = null))).statusCode).toBe(200);
    expect((await change(apprentice, (d) => (d.accepted[SIGNED_BEFORE] = { by: 'Wren', reason: 'done', at: '2026-11-28' }))).statusCode).toBe(403);
  });

  it('is open again in a job out of a file, where who opens it may not sign', async () => {
    const { token } = (await call('POST', '/api/people/invites', owner, { role: 'electrician' })).json<{ token: string }>();
    await call('POST', `/api/invites/${token}`, '', { name: 'Finn', email: 'finn@mains.example', password: 'a long enough word' });
    const electrician = await signIn(app, 'finn@mains.example', 'a long enough word');
    const file = structuredClone((await design()).design);
    file.mains.signed = signed;
    for (const [cookie, stays] of [
      [electrician, null],
      [owner, signed],
    ] as const) {
      const { id } = (await call('POST', '/api/jobs', cookie, { customer: 'Out of a file', promisedOn: null, design: file })).json<{ id: string }>();
      expect((await call('GET', `/api/jobs/${id}/design`, cookie)).json<{ design: Design }>().design.mains.signed).toEqual(stays);
    }
  });

  it('keeps the job in the workshop until each vehicle’s is signed or none of the job, and says which is open', async () => {
    const refused = await leave();
    expect(refused.statusCode).toBe(409);
    expect(refused.json<{ message: string }>().message).toMatch(/^State: handed over is not accepted yet, dual-cab ute: the 230 V side is not signed .*; camper: the 230 V side is not signed/);
    expect((await call('PATCH', `/api/jobs/${jobId}`, owner, { state: 'sign-off' })).statusCode).toBe(204);
    const answered = await change(licensed, (d) => {
      for (const q of mainsSide(d, catalogueOf(d)).questions) d.mains.answers[q.id] ??= q.choices?.[0] ?? 'as drawn';
      d.mains.signed = signed;
    });
    expect(answered.statusCode).toBe(200);
    expect((await leave()).json<{ message: string }>().message).toMatch(/yet, camper: the 230 V side is not signed/);
    expect((await change(owner, (d) => (d.vehicles['camper']!.mains.notOurs = { by: 'Owner', reason: 'another firm', on: '2026-11-28' }))).statusCode).toBe(200);
    expect((await leave()).statusCode).toBe(204);
  });
});

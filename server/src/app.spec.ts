import { assess, careCalendar, careTasks, careTick, catalogueOf, dayInWords, type Design, READING_UNITS } from '@meridex/core';
import type { FastifyInstance } from 'fastify';
import { readFileSync } from 'node:fs';
import pg from 'pg';
import { hashPassword } from './accounts/password.js';
import { buildApp } from './app.js';
import { DEMO, loadDemo } from './demo/load.js';
import { addWorkshop, freshDatabase, type TestDatabase } from './testing/database.js';
import { signIn } from './testing/sign-in.js';

interface Line {
  readonly id: string;
  readonly customer: string;
}

describe('the server on a real PostgreSQL', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let cookie: string;
  let otherCookie: string;
  let jobs: Line[];

  const get = (url: string, as = cookie) => app.inject({ url, headers: { cookie: as } });
  const post = (url: string, payload: object, as = cookie) => app.inject({ method: 'POST', url, payload, headers: { cookie: as } });
  const patchOf = (path: string, value: unknown) => [{ op: 'replace', path, value }];
  const save = (jobId: string, base: number, patch: object[], clientId: string = crypto.randomUUID(), as = cookie) => post(`/api/jobs/${jobId}/revisions`, { base, patch, clientId }, as);
  const newJob = async (): Promise<string> => (await post('/api/jobs', { customer: `Spec ${crypto.randomUUID()}`, promisedOn: null })).json<{ id: string }>().id;

  beforeAll(async () => {
    database = await freshDatabase(true);
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
    await addWorkshop(database.ownerUrl, 'other@shed.example', await hashPassword('other-secret'));
    cookie = await signIn(app, DEMO.email, DEMO.password);
    otherCookie = await signIn(app, 'other@shed.example', 'other-secret');
    jobs = (await get('/api/jobs')).json<{ lines: Line[] }>().lines;
  }, 60_000);

  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  describe('a job', () => {
    const lineOf = async (id: string): Promise<{ state: string; promisedOn: string | null; note: string; next: { say: string } }> =>
      (await get('/api/jobs')).json<{ lines: (Line & { state: string; promisedOn: string | null; note: string; next: { say: string } })[] }>().lines.find((l) => l.id === id)!;
    const settle = (id: string, change: object, as = cookie) => app.inject({ method: 'PATCH', url: `/api/jobs/${id}`, payload: change, headers: { cookie: as } });

    it('is given a state, a day and a note, each alone, and a day is taken back', async () => {
      const id = await newJob();
      await settle(id, { state: 'parts ordered', promisedOn: '2027-02-03', note: 'gland from the coast' });
      expect(await lineOf(id)).toEqual(jasmine.objectContaining({ state: 'parts ordered', promisedOn: '2027-02-03', note: 'gland from the coast' }));
      expect((await settle(id, { promisedOn: null })).statusCode).toBe(204);
      expect(await lineOf(id)).toEqual(jasmine.objectContaining({ state: 'parts ordered', promisedOn: null, note: 'gland from the coast' }));
      expect((await settle(id, {})).statusCode).toBe(204);
    });
    it('that is out says what it wants done next and when, and once that is ticked the turn after', async () => {
      type Care = { id: string; on: string | null; what: string };
      const careOf = async (): Promise<Care[]> => (await get('/api/jobs')).json<{ care: Care[] }>().care;
      const [first, ...others] = await careOf();
      expect(first!.what).toMatch(/^[A-Z].{8}/);
      expect([first, ...others].map((c) => c!.on ?? '9')).toEqual([first, ...others].map((c) => c!.on ?? '9').sort());
      const out = [first!, ...others].find((c) => c.id === jobs.find((j) => j.customer === 'Cinderbush Orchard Bees')!.id)!;
      expect((await lineOf(out.id)).next.say).toBe(`${out.what}, due ${dayInWords(out.on!)}`);
      const { design } = (await get(`/api/jobs/${first!.id}/design`)).json<{ design: Design }>();
      const ticks = careCalendar(careTasks(design, catalogueOf(design), assess(design, catalogueOf(design))), design.brief.careFrom!, 24).filter((t) => t.on === first!.on);
      for (const { task, turn } of ticks) await post(`/api/jobs/${first!.id}/ticks`, { id: crypto.randomUUID(), stepId: careTick(task.id, turn), done: true });
      const after = (await careOf()).find((c) => c.id === first!.id)!;
      expect(after.on! > first!.on!).toBeTrue();
    });
    it('is deleted and taken back, and loses nothing', async () => {
      const id = await newJob();
      const all = async () => (await get('/api/jobs')).json<{ lines: Line[]; deleted: Line[] }>();
      expect((await settle(id, { deleted: true })).statusCode).toBe(204);
      const without = await all();
      expect([without.lines.some((l) => l.id === id), without.deleted[0]!.id]).toEqual([false, id]);
      expect((await save(id, 1, patchOf('/brief/plate', 'STILL'))).statusCode).toBe(200);
      await settle(id, { deleted: false });
      const back = await all();
      expect([back.lines.find((l) => l.id === id) !== undefined, back.deleted.some((l) => l.id === id)]).toEqual([true, false]);
    });
    it('is copied for another customer, without what belonged to the one vehicle', async () => {
      const from = jobs.find((l) => l.customer === 'Bellbird Ranges Mobile Vet')!.id;
      const made = await post('/api/jobs', { customer: 'Spinifex Track Care', promisedOn: null, from });
      const { design } = (await get(`/api/jobs/${made.json<{ id: string }>().id}/design`)).json<{ design: Design }>();
      expect([design.brief.customer, design.brief.plate, Object.keys(design.accepted).length, Object.keys(design.loads).length > 3]).toEqual(['Spinifex Track Care', '', 0, true]);
      expect((await post('/api/jobs', { customer: 'x', promisedOn: null, from }, otherCookie)).statusCode).toBe(404);
    });
    it('is opened from a job file of any version, and a file that is none is refused with the field', async () => {
      const file = JSON.parse(readFileSync(new URL('../../core/src/design/version-1.json', import.meta.url), 'utf8')) as object;
      const made = await post('/api/jobs', { customer: 'From a file', promisedOn: null, design: file });
      expect((await get(`/api/jobs/${made.json<{ id: string }>().id}/design`)).json<{ design: Design }>().design.schemaVersion).toBe(6);
      const bad = await post('/api/jobs', { customer: 'x', promisedOn: null, design: { ...file, brief: 7 } });
      expect([bad.statusCode, bad.json<{ message: string }>().message]).toEqual([422, jasmine.stringContaining('design › brief')]);
    });
    it('whose document this program cannot read stands on its own line, and takes no other down', async () => {
      const id = await newJob();
      const client = new pg.Client({ connectionString: database.ownerUrl });
      await client.connect();
      await client.query(`update design_revisions set document = jsonb_set(document, '{schemaVersion}', '99') where job_id = $1`, [id]);
      await client.end();
      const bay = await get('/api/jobs');
      const line = bay.json<{ lines: (Line & { hold: { mark: string; say: string } })[] }>().lines.find((l) => l.id === id)!;
      expect([bay.statusCode, line.hold.mark, line.hold.say]).toEqual([200, 'stop', jasmine.stringContaining('cannot be read')]);
      expect((await get(`/api/jobs/${id}/design`)).statusCode).toBe(422);
    });
    it('is worked out for the lists once, and again when something of it changed', async () => {
      const id = await newJob();
      const kept = async (): Promise<{ of: string; plate: string }> => {
        await get('/api/jobs');
        const client = new pg.Client({ connectionString: database.ownerUrl });
        await client.connect();
        const { rows } = await client.query<{ of: string; plate: string }>(`select "of", summary ->> 'plate' as plate from job_summaries where job_id = $1`, [id]);
        await client.end();
        return rows[0]!;
      };
      const first = await kept();
      expect(await kept()).toEqual(first);
      await save(id, 1, patchOf('/brief/plate', 'NEW 1'));
      const second = await kept();
      expect([second.of === first.of, second.plate]).toEqual([false, 'NEW 1']);
      await post(`/api/jobs/${id}/ticks`, { id: crypto.randomUUID(), stepId: 'safe-negative', done: true });
      expect((await kept()).of).not.toBe(second.of);
    });
    it('says what is still to be bought of it, and what is late', async () => {
      const from = jobs.find((l) => l.customer === 'Bellbird Ranges Mobile Vet')!.id;
      const id = (await post('/api/jobs', { customer: 'Spinifex Fencing', promisedOn: new Date(Date.now() + 86_400_000).toISOString().slice(0, 10), from })).json<{ id: string }>().id;
      await settle(id, { state: 'accepted' });
      const { design } = (await get(`/api/jobs/${id}/design`)).json<{ design: Design }>();
      const { order, open } = assess(design, catalogueOf(design));
      const accepted = Object.fromEntries(open.map((f) => [f.key, { by: 'Spec', reason: 'looked at', at: '2026-12-01' }]));
      const all = Object.fromEntries(order.lines.map((l) => [l.key, { what: l.what, unit: l.unit, count: l.quantity, here: 0, from: '', due: '2020-01-02' }]));
      const { [order.lines[0]!.key]: left, ...rest } = all;
      expect((await save(id, 1, [{ op: 'replace', path: '/accepted', value: accepted }, ...patchOf('/bought', rest)])).statusCode).toBe(200);
      expect((await lineOf(id)).next.say).toMatch(/^Ask where \d+ lines of the parts are: late/);
      // What is late is found by the day that passes, without an edit.
      await get('/api/jobs');
      const client = new pg.Client({ connectionString: database.ownerUrl });
      await client.connect();
      const kept = async (): Promise<string> => (await client.query<{ of: string }>(`select "of" from job_summaries where job_id = $1`, [id])).rows[0]!.of;
      expect((await kept()).endsWith(`|${new Date().toISOString().slice(0, 10)}`)).toBeTrue();
      await client.query(`update job_summaries set "of" = replace("of", $2, '2026-01-02'), summary = jsonb_set(summary, '{next,say}', '"as it was"') where job_id = $1`, [
        id,
        new Date().toISOString().slice(0, 10),
      ]);
      expect((await lineOf(id)).next.say).toMatch(/: late/);
      await client.end();
      await save(id, 2, patchOf('/bought', Object.fromEntries(Object.entries(rest).map(([k, b]) => [k, { ...b, due: null }]))));
      expect((await lineOf(id)).next.say).toBe('Order the rest: 1 line');
      await save(id, 3, patchOf('/bought', Object.fromEntries(Object.entries({ ...rest, [order.lines[0]!.key]: left! }).map(([k, b]) => [k, { ...b, here: b.count, due: null }]))));
      expect((await lineOf(id)).next.say).toBe('Fit it: all parts are here');
      expect((await save(id, 4, patchOf('/bought/odd', 7))).statusCode).toBe(422);
      await settle(id, { deleted: true });
    });
    it('that is a template stands on no list of parts or care, and other jobs begin from it', async () => {
      const from = jobs.find((l) => l.customer === 'Bellbird Ranges Mobile Vet')!.id;
      const before = (await get('/api/jobs')).json<{ buy: unknown }>().buy;
      const id = (await post('/api/jobs', { customer: 'Usual canopy', promisedOn: new Date().toISOString().slice(0, 10), from })).json<{ id: string }>().id;
      await settle(id, { state: 'template' });
      expect([(await get('/api/jobs')).json<{ buy: unknown }>().buy, (await lineOf(id)).state]).toEqual([before, 'template']);
      expect((await post('/api/jobs', { customer: 'Saltbush Fencing', promisedOn: null, from: id })).statusCode).toBe(201);
      await settle(id, { deleted: true });
    });
    it('refuses a state that is none, and another workshop’s job', async () => {
      const id = await newJob();
      const odd = await settle(id, { state: 'lost' });
      expect([odd.statusCode, odd.json<{ message: string }>().message]).toEqual([400, jasmine.stringContaining('state')]);
      expect((await settle(id, { state: 'closed' }, otherCookie)).statusCode).toBe(404);
    });
  });

  describe('signing in', () => {
    it('turns away a wrong password and an unknown address alike', async () => {
      for (const email of [DEMO.email, 'nobody@nowhere.example']) {
        const r = await app.inject({ method: 'POST', url: '/api/session', payload: { email, password: 'wrong' } });
        expect([r.statusCode, r.json<{ message: string }>().message]).toEqual([401, 'Address and password do not belong together.']);
      }
    });
    it('keeps the cookie from scripts and from other sites', async () => {
      const r = await app.inject({ method: 'POST', url: '/api/session', payload: { email: DEMO.email, password: DEMO.password } });
      expect(r.headers['set-cookie']!.toString()).toMatch(/HttpOnly.*SameSite=Strict/);
    });
    it('is needed for everything else', async () => {
      for (const url of ['/api/jobs', `/api/jobs/${jobs[0]!.id}/design`, `/api/jobs/${jobs[0]!.id}/pack.pdf`]) expect((await app.inject({ url })).statusCode).toBe(401);
    });
    it('ends with signing out', async () => {
      const mine = await signIn(app, DEMO.email, DEMO.password);
      expect((await app.inject({ method: 'DELETE', url: '/api/session', headers: { cookie: mine } })).statusCode).toBe(204);
      expect((await get('/api/jobs', mine)).statusCode).toBe(401);
    });
    it('keeps no password as it was typed', async () => {
      const client = new pg.Client({ connectionString: database.ownerUrl });
      await client.connect();
      const { rows } = await client.query<{ password_hash: string }>('select password_hash from accounts');
      await client.end();
      for (const r of rows) expect(r.password_hash).toMatch(/^\$argon2id\$/);
    });
  });

  describe('the bay sheet', () => {
    it('has the six demo jobs by promised day, each with twelve stages', () => {
      expect(jobs.length).toBe(6);
      const lines = jobs as unknown as { promisedOn: string; stages: string[] }[];
      expect([...lines].sort((a, b) => a.promisedOn.localeCompare(b.promisedOn))).toEqual(lines);
      for (const l of lines) expect(l.stages.length).toBe(12);
    });
    it('says what to buy for the jobs of the week, and which come back for care', async () => {
      const sheet = (await get('/api/jobs')).json<{ buy: { what: string; quantity: number }[]; care: { customer: string }[] }>();
      expect(sheet.buy.length).toBe(6);
      for (const b of sheet.buy) expect(b.quantity).toBeGreaterThan(0);
      expect(sheet.care.map((c) => c.customer).sort()).toEqual(['Cinderbush Orchard Bees', 'Gumnut Travelling Playgroup']);
    });
    it('is loaded once', async () => expect(await loadDemo(database.ownerUrl)).toBeFalse());
    it('refuses a job without a customer, and names the field', async () => {
      const r = await post('/api/jobs', { customer: '  ', promisedOn: null });
      expect([r.statusCode, r.json<{ message: string }>().message.startsWith('customer')]).toEqual([400, true]);
    });
    it('refuses a day that is none', async () => expect((await post('/api/jobs', { customer: 'x', promisedOn: 'soon' })).statusCode).toBe(400));
  });

  describe('a write', () => {
    const from = (origin: string | undefined) =>
      app.inject({ method: 'POST', url: '/api/jobs', payload: { customer: 'Asked from a page', promisedOn: null }, headers: { cookie, host: 'bench.example:4200', ...(origin ? { origin } : {}) } });
    it('is taken from the bench’s own pages and from callers that are no page', async () => {
      for (const origin of ['http://bench.example:4200', undefined]) expect((await from(origin)).statusCode).toBe(201);
    });
    it('is refused to a page of another address, with the cookie or without', async () => {
      for (const origin of ['https://elsewhere.example', 'http://bench.example:9999', 'null']) {
        const r = await from(origin);
        expect([r.statusCode, r.json<{ message: string }>().message]).toEqual([403, 'A page of another address may not write here.']);
      }
      expect((await app.inject({ url: '/api/jobs', headers: { cookie, origin: 'https://elsewhere.example' } })).statusCode).toBe(200);
    });
  });

  describe('workshop walls', () => {
    it('hide jobs, designs, ticks and packs of one workshop from another', async () => {
      expect((await get('/api/jobs', otherCookie)).json()).toEqual({ lines: [], buy: [], care: [], deleted: [], pending: 0 });
      const id = jobs[0]!.id;
      for (const url of [`/api/jobs/${id}/design`, `/api/jobs/${id}/pack.pdf`]) expect((await get(url, otherCookie)).statusCode).toBe(404);
      expect((await get(`/api/jobs/${id}/ticks`, otherCookie)).json()).toEqual([]);
      expect((await save(id, 1, patchOf('/brief/plate', 'STOLEN'), crypto.randomUUID(), otherCookie)).statusCode).toBe(404);
      expect((await post(`/api/jobs/${id}/ticks`, { id: crypto.randomUUID(), stepId: 'x', done: true }, otherCookie)).statusCode).toBe(404);
    });
    it('stand in the database itself: the application’s role sees nothing without a workshop, and cannot switch the walls off', async () => {
      const client = new pg.Client({ connectionString: database.appUrl });
      await client.connect();
      for (const table of ['workshops', 'accounts', 'sessions', 'jobs', 'customers', 'vehicles', 'design_revisions', 'ticks', 'readings']) {
        expect((await client.query(`select * from ${table}`)).rowCount)
          .withContext(table)
          .toBe(0);
      }
      for (const text of ['alter table jobs disable row level security', 'set row_security = off; select * from jobs', "insert into workshops (name) values ('mine')"])
        await expectAsync(client.query(text)).withContext(text).toBeRejected();
      await client.end();
    });
    it('let nobody change or delete what was kept', async () => {
      const client = new pg.Client({ connectionString: database.appUrl });
      await client.connect();
      for (const table of ['design_revisions', 'ticks', 'readings']) {
        await expectAsync(client.query(`delete from ${table}`))
          .withContext(table)
          .toBeRejected();
        await expectAsync(client.query(`update ${table} set created_at = now()`))
          .withContext(table)
          .toBeRejected();
      }
      await client.end();
    });
  });

  describe('a save', () => {
    it('makes the next revision and keeps the one before', async () => {
      const id = await newJob();
      const r = await save(id, 1, patchOf('/brief/plate', 'ABC 1'));
      expect([r.statusCode, r.json<{ number: number }>().number]).toEqual([200, 2]);
      const history = (await get(`/api/jobs/${id}/history`)).json<{ number: number; paths: string[] }[]>();
      expect(history.map((h) => [h.number, h.paths])).toEqual([
        [2, ['/brief/plate']],
        [1, []],
      ]);
    });
    it('sent twice is kept once', async () => {
      const id = await newJob();
      const clientId = crypto.randomUUID();
      for (let i = 0; i < 2; i++) expect((await save(id, 1, patchOf('/brief/plate', 'TWICE'), clientId)).json<{ number: number }>().number).toBe(2);
      expect((await get(`/api/jobs/${id}/history`)).json<unknown[]>().length).toBe(2);
    });
    it('merges with an edit of something else', async () => {
      const id = await newJob();
      await save(id, 1, patchOf('/brief/plate', 'MINE'));
      const r = await save(id, 1, patchOf('/brief/notes', 'theirs'));
      const merged = r.json<{ number: number; merged: boolean; design: Design }>();
      expect([merged.number, merged.merged, merged.design.brief.plate, merged.design.brief.notes]).toEqual([3, true, 'MINE', 'theirs']);
    });
    it('of the same thing comes back with both values and changes nothing', async () => {
      const id = await newJob();
      await save(id, 1, patchOf('/brief/plate', 'FIRST'));
      const r = await save(id, 1, patchOf('/brief/plate', 'SECOND'));
      expect(r.statusCode).toBe(409);
      expect(r.json<{ clashes: unknown[] }>().clashes).toEqual([{ path: '/brief/plate', mine: 'SECOND', theirs: 'FIRST' }]);
      expect((await get(`/api/jobs/${id}/design`)).json<{ number: number }>().number).toBe(2);
    });
    it('on one’s own that was just saved is no clash, and on a colleague’s is one', async () => {
      const id = await newJob();
      const [first, second] = [crypto.randomUUID(), crypto.randomUUID()];
      const edit = (clientId: string, value: string, on: readonly string[]) =>
        post(`/api/jobs/${id}/revisions`, { base: 1, on, patch: patchOf('/brief/plate', value), clientId, label: `plate ${value}` });
      expect((await edit(first, 'ONE', [])).json<{ number: number }>().number).toBe(2);
      expect((await edit(second, 'TWO', [first])).json<{ number: number; merged: boolean }>()).toEqual(jasmine.objectContaining({ number: 3, merged: false }));
      await save(id, 3, patchOf('/brief/plate', 'THEIRS'));
      const clash = await edit(crypto.randomUUID(), 'THREE', [first, second]);
      expect([clash.statusCode, clash.json<{ clashes: unknown[] }>().clashes]).toEqual([409, [{ path: '/brief/plate', mine: 'THREE', theirs: 'THEIRS' }]]);
      expect((await get(`/api/jobs/${id}/history`)).json<{ label: string }[]>().map((h) => h.label)).toEqual(['', 'plate TWO', 'plate ONE', 'job opened']);
      expect((await get(`/api/jobs/${id}/revisions/2`)).json<{ design: Design }>().design.brief.plate).toBe('ONE');
      expect((await get(`/api/jobs/${id}/revisions/9`)).statusCode).toBe(404);
    });
    it('with characters that no database keeps is refused with the field, and kept out of ticks too', async () => {
      const id = await newJob();
      for (const [text, said] of [
        ['a\0b', 'NUL'],
        ['half \ud83d', 'surrogate'],
      ] as const) {
        const r = await save(id, 1, patchOf('/brief/notes', text));
        expect([r.statusCode, r.json<{ message: string }>().message]).toEqual([422, jasmine.stringMatching(`patch › 0 › value.*${said}`)]);
      }
      expect((await save(id, 1, patchOf('/brief/notes', 'whole 😀'))).statusCode).toBe(200);
      expect((await post(`/api/jobs/${id}/ticks`, { id: crypto.randomUUID(), stepId: 'a\0', done: true })).statusCode).toBe(422);
    });
    it('of ten at once keeps all ten', async () => {
      const id = await newJob();
      const loads = Array.from({ length: 10 }, (_, i) => ({ op: 'add', path: `/runs/load-${i}`, value: { outM: i + 1 } }));
      const codes = await Promise.all(loads.map(async (p) => (await save(id, 1, [p])).statusCode));
      expect(codes).toEqual(Array<number>(10).fill(200));
      expect(Object.keys((await get(`/api/jobs/${id}/design`)).json<{ design: Design }>().design.runs).length).toBe(10);
    });
    it('against the schema is refused with the field', async () => {
      const id = await newJob();
      const r = await save(id, 1, patchOf('/brief/alternator/ratedA', -5));
      expect([r.statusCode, r.json<{ message: string }>().message.includes('alternator')]).toEqual([422, true]);
    });
    it('based on a revision to come, or with an empty patch, is refused', async () => {
      const id = await newJob();
      expect((await save(id, 9, patchOf('/brief/plate', 'x'))).statusCode).toBe(422);
      expect((await save(id, 1, [])).statusCode).toBe(400);
    });
    it('keeps the register of customers and vehicles in step', async () => {
      const id = await newJob();
      await save(id, 1, [...patchOf('/brief/plate', 'REG 1'), ...patchOf('/brief/customer', 'Wirrabel Show Society')]);
      const client = new pg.Client({ connectionString: database.ownerUrl });
      await client.connect();
      const { rows } = await client.query('select c.name, v.plate from jobs j join customers c on c.id = j.customer_id join vehicles v on v.id = j.vehicle_id where j.id = $1', [id]);
      await client.end();
      expect(rows).toEqual([{ name: 'Wirrabel Show Society', plate: 'REG 1' }]);
    });
  });

  describe('ticks and readings', () => {
    it('are added, and sent twice kept once', async () => {
      const id = await newJob();
      const tick = { id: crypto.randomUUID(), stepId: 'safe-negative', done: true };
      for (let i = 0; i < 2; i++) expect((await post(`/api/jobs/${id}/ticks`, tick)).statusCode).toBe(204);
      await post(`/api/jobs/${id}/ticks`, { ...tick, id: crypto.randomUUID(), done: false });
      expect((await get(`/api/jobs/${id}/ticks`)).json<{ done: boolean }[]>().map((t) => t.done)).toEqual([true, false]);
      const reading = { id: crypto.randomUUID(), rowId: 'house-rest', value: 13.26, unit: 'V', revision: 1 };
      for (let i = 0; i < 2; i++) expect((await post(`/api/jobs/${id}/readings`, reading)).statusCode).toBe(204);
      expect((await get(`/api/jobs/${id}/readings`)).json<{ value: number }[]>().map((r) => r.value)).toEqual([13.26]);
    });
    it('are kept in every unit that a plan asks for, and in no other', async () => {
      const id = await newJob();
      const send = async (unit: string): Promise<number> => (await post(`/api/jobs/${id}/readings`, { id: crypto.randomUUID(), rowId: `in-${unit.length}`, value: 12, unit, revision: 1 })).statusCode;
      for (const unit of [...READING_UNITS, '%', 'W/m²'])
        expect(await send(unit))
          .withContext(unit)
          .toBe(204);
      expect(await send('furlong')).toBe(400);
    });
    it('refuse what is no number', async () => {
      const bad = { id: crypto.randomUUID(), rowId: 'x', value: 'much', unit: 'V', revision: 1 };
      expect((await post(`/api/jobs/${jobs[0]!.id}/readings`, bad)).statusCode).toBe(400);
    });
  });

  describe('the pack', () => {
    it('is a PDF for every demo job', async () => {
      for (const { id } of jobs) {
        const r = await get(`/api/jobs/${id}/pack.pdf`);
        expect([r.statusCode, r.headers['content-type'], r.rawPayload.subarray(0, 5).toString()]).toEqual([200, 'application/pdf', '%PDF-']);
        expect(r.rawPayload.length).toBeGreaterThan(10_000);
      }
    }, 30_000);
  });

  it('names an unknown address, and hides the inside of trouble', async () => {
    expect((await get('/api/nothing')).statusCode).toBe(404);
    expect((await get('/api/jobs/not-a-uuid/design')).statusCode).toBe(400);
  });
});

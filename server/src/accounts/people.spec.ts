import { DEEDS, may, ROLES, type Deed, type Role } from '@meridex/contract';
import type { FastifyInstance } from 'fastify';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/account.js';
import { loadDemo } from '../demo/load.js';
import { freshDatabase, type TestDatabase } from '../testing/database.js';
import { signIn } from '../testing/sign-in.js';
import { jpegs } from '../testing/jpeg.js';

const MIA = { name: 'Mia', email: 'mia@shed.example', password: 'a long enough one' };
const cookieOf = (reply: { headers: Record<string, unknown> }): string => String(reply.headers['set-cookie']).split(';')[0]!;

describe('an installation without the demo', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  const call = (method: 'GET' | 'POST' | 'PATCH' | 'PUT' | 'DELETE', url: string, cookie = '', payload?: object) => app.inject({ method, url, headers: { cookie }, ...(payload ? { payload } : {}) });
  const said = (r: { json: () => unknown }): string => (r.json() as { message: string }).message;

  type Reply = Awaited<ReturnType<typeof call>>;
  let first: { readonly standing: unknown; readonly short: Reply; readonly made: readonly Reply[] };
  let owner: string;

  beforeAll(async () => {
    database = await freshDatabase(false);
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
    const standing = (await call('GET', '/api/standing')).json<unknown>();
    const short = await call('POST', '/api/standing', '', { workshop: 'The Shed', ...MIA, password: 'short' });
    const made = await Promise.all([1, 2, 3].map((n) => call('POST', '/api/standing', '', { workshop: `Shed ${n}`, ...MIA, email: `owner${n}@shed.example` })));
    first = { standing, short, made };
    owner = cookieOf(made.find((r) => r.statusCode === 201)!);
  }, 60_000);
  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  it('says that it is empty, and what is wrong with what the first visitor typed', () => {
    expect(first.standing).toEqual({ empty: true, demo: null });
    expect(first.short.statusCode).toBe(400);
    expect(said(first.short)).toContain('password');
    expect(said(first.short)).toContain('10 letters or more');
  });

  it('is made a workshop by its first visitor, and by nobody a second time, not even at once', async () => {
    expect(first.made.map((r) => r.statusCode).sort()).toEqual([201, 409, 409]);
    expect((await call('GET', '/api/session', owner)).json()).toEqual(jasmine.objectContaining({ name: 'Mia', role: 'owner' }));
    expect((await call('GET', '/api/standing')).json()).toEqual({ empty: false, demo: null });
    expect(await loadDemo(database.ownerUrl)).toBeFalse();
  });

  describe('with its owner', () => {
    const invited = async (role: Role): Promise<string> => (await call('POST', '/api/people/invites', owner, { role })).json<{ token: string }>().token;
    const joins = async (role: Role, name: string): Promise<{ readonly cookie: string; readonly id: string }> => {
      const joined = await call('POST', `/api/invites/${await invited(role)}`, '', { ...MIA, name, email: `${name}@shed.example` });
      const all = (await call('GET', '/api/people', owner)).json<{ id: string; name: string }[]>();
      return { cookie: cookieOf(joined), id: all.find((p) => p.name === name)!.id };
    };

    it('lets somebody join by a link, once, in the role that the link says', async () => {
      const token = await invited('apprentice');
      expect((await call('GET', `/api/invites/${token}`)).json()).toEqual(jasmine.objectContaining({ role: 'apprentice', by: 'Mia' }));
      const both = await Promise.all(['tom', 'tim'].map((n) => call('POST', `/api/invites/${token}`, '', { ...MIA, name: n, email: `${n}@shed.example` })));
      expect(both.map((r) => r.statusCode).sort()).toEqual([201, 404]);
      expect((await call('GET', '/api/session', cookieOf(both.find((r) => r.statusCode === 201)!))).json()).toEqual(jasmine.objectContaining({ role: 'apprentice' }));
      expect((await call('GET', `/api/invites/${token}`)).statusCode).toBe(404);
      expect((await call('GET', `/api/invites/${'x'.repeat(40)}`)).statusCode).toBe(404);
    });
    it('says that an address is taken, and the link still holds', async () => {
      const token = await invited('viewer');
      const { email } = (await call('GET', '/api/session', owner)).json<{ email: string }>();
      const taken = await call('POST', `/api/invites/${token}`, '', { ...MIA, email });
      expect([taken.statusCode, said(taken)]).toEqual([409, jasmine.stringMatching(/^email: this address has an account/)]);
      expect((await call('GET', `/api/invites/${token}`)).statusCode).toBe(200);
    });

    it('keeps everybody to what their role may, and says who may', async () => {
      const jobId = (await call('POST', '/api/jobs', owner, { customer: 'Ironbark Choir', promisedOn: null })).json<{ id: string }>().id;
      const patch = (path: string): object => ({
        base: 1,
        clientId: crypto.randomUUID(),
        patch: [{ op: 'add', path, value: path.includes('accepted') ? { by: 'Mia', reason: 'seen', at: '2026-11-28' } : 'a note' }],
      });
      const asks: Record<Exclude<Deed, 'people'>, (cookie: string) => Promise<number>> = {
        plan: async (c) => (await call('POST', `/api/jobs/${jobId}/revisions`, c, patch('/brief/notes'))).statusCode,
        accept: async (c) => (await call('POST', `/api/jobs/${jobId}/revisions`, c, patch(`/accepted/${crypto.randomUUID()}`))).statusCode,
        'sign mains': async (c) =>
          (
            await call('POST', `/api/jobs/${jobId}/revisions`, c, {
              base: (await call('GET', `/api/jobs/${jobId}/design`, c)).json<{ number: number }>().number,
              clientId: crypto.randomUUID(),
              patch: [{ op: 'replace', path: '/mains/signed', value: { by: 'Mia', licence: '1', on: '2026-11-28', statement: crypto.randomUUID() } }],
            })
          ).statusCode,
        tick: async (c) => (await call('POST', `/api/jobs/${jobId}/ticks`, c, { id: crypto.randomUUID(), stepId: 's', done: true })).statusCode,
        read: async (c) => (await call('POST', `/api/jobs/${jobId}/readings`, c, { id: crypto.randomUUID(), rowId: 'r', value: 12, unit: 'V', revision: 1 })).statusCode,
        'settle jobs': async (c) => (await call('PATCH', `/api/jobs/${jobId}`, c, { state: 'quoted', note: 'asked by mail' })).statusCode,
        'open jobs': async (c) => (await call('POST', '/api/jobs', c, { customer: 'Another', promisedOn: null })).statusCode,
        photo: async (c) => (await call('PATCH', `/api/photos/${await aPhoto(jobId)}`, c, { takenAway: true })).statusCode,
        comment: async (c) => (await call('POST', `/api/jobs/${jobId}/comments`, c, { id: crypto.randomUUID(), about: '', text: 'is that the new fuse?' })).statusCode,
        review: async (c) => (await call('POST', `/api/jobs/${jobId}/reviews`, c, { id: crypto.randomUUID(), revision: 1, note: '' })).statusCode,
        // That no such quote is there is said only to who may send any.
        quote: async (c) => ((await call('POST', `/api/quotes/${crypto.randomUUID()}/link`, c, {})).statusCode === 403 ? 403 : 200),
        'reach customers': async (c) => (await call('GET', '/api/customers', c)).statusCode,
        workshop: async (c) => (await call('PUT', '/api/workshop', c, { name: 'Shed', address: '', phone: '', licence: '', rules: null })).statusCode,
        'keep parts': async (c) => (await call('POST', '/api/parts', c, { kind: 'battery', name: 'attic', chemistry: 'agm', capacityAh: 100 })).statusCode,
      };
      const aPhoto = async (of: string): Promise<string> => {
        const id = crypto.randomUUID();
        await call('POST', `/api/jobs/${of}/photos`, owner, { id, about: '', caption: '', ...jpegs() });
        return id;
      };
      for (const role of ROLES) {
        const { cookie } = await joins(role, `r${role.replace(' ', '')}`);
        for (const deed of DEEDS) {
          const status = deed === 'people' ? (await call('POST', '/api/people/invites', cookie, { role: 'viewer' })).statusCode : await asks[deed](cookie);
          // Two who note the same thing on one revision are told of one another: that is no refusal.
          expect(may(role, deed) ? [200, 201, 204, 409] : [403])
            .withContext(`${role}: ${deed}`)
            .toContain(status);
        }
        expect((await call('GET', '/api/jobs', cookie)).statusCode).toBe(200);
      }
      const { cookie } = await joins('viewer', 'vic');
      expect(said(await call('POST', '/api/jobs', cookie, { customer: 'x', promisedOn: null }))).toBe('A viewer may not open a job; an owner or electrician may.');
    });

    it('lets nobody accept by another way round: a copy, or a vehicle that brings its acceptances', async () => {
      const jobId = (await call('POST', '/api/jobs', owner, { customer: 'Ironbark Choir', promisedOn: null })).json<{ id: string }>().id;
      const save = (cookie: string, base: number, patch: object[]) => call('POST', `/api/jobs/${jobId}/revisions`, cookie, { base, clientId: crypto.randomUUID(), patch });
      const accepted = { by: 'Mia', reason: 'seen', at: '2026-11-28' };
      expect((await save(owner, 1, [{ op: 'add', path: '/accepted/one', value: accepted }])).statusCode).toBe(200);
      const { cookie } = await joins('apprentice', 'kit');
      for (const patch of [
        [{ op: 'copy', from: '/accepted/one', path: '/accepted/two' }],
        [{ op: 'replace', path: '/accepted', value: { one: accepted, two: accepted } }],
        [{ op: 'replace', path: '/accepted/one/reason', value: 'not by me' }],
      ]) {
        const r = await save(cookie, 2, patch);
        expect([r.statusCode, said(r)]).toEqual([403, 'An apprentice may not accept a finding; an owner or electrician may.']);
      }
      expect((await save(cookie, 2, [{ op: 'remove', path: '/accepted/one' }])).statusCode).toBe(200);
    });

    it('changes a role at once, ends access everywhere, and keeps one owner', async () => {
      const { cookie, id } = await joins('electrician', 'ned');
      expect((await call('PATCH', `/api/people/${id}`, owner, { role: 'viewer' })).statusCode).toBe(204);
      expect((await call('POST', '/api/jobs', cookie, { customer: 'x', promisedOn: null })).statusCode).toBe(403);
      expect((await call('PATCH', `/api/people/${id}`, owner, { ended: true })).statusCode).toBe(204);
      expect((await call('GET', '/api/jobs', cookie)).statusCode).toBe(401);
      expect((await call('POST', '/api/session', '', { email: 'ned@shed.example', password: MIA.password })).statusCode).toBe(401);
      const owners = (await call('GET', '/api/people', owner)).json<{ id: string; role: string; you: boolean }[]>();
      for (const other of owners.filter((p) => p.role === 'owner' && !p.you)) await call('PATCH', `/api/people/${other.id}`, owner, { role: 'viewer' });
      const self = owners.find((p) => p.you)!;
      const last = await call('PATCH', `/api/people/${self.id}`, owner, { ended: true });
      expect([last.statusCode, said(last)]).toEqual([422, 'A workshop keeps one owner at least: make somebody else one first.']);
    });

    it('gives a new password, and signs out whoever came in by the old one', async () => {
      const { cookie, id } = await joins('electrician', 'ola');
      const wrong = await call('PUT', '/api/session/password', cookie, { old: 'not this one', password: 'another long one' });
      expect([wrong.statusCode, said(wrong)]).toEqual([422, 'old: this is not the password that you sign in with.']);
      const elsewhere = await signIn(app, 'ola@shed.example', MIA.password);
      expect((await call('PUT', '/api/session/password', cookie, { old: MIA.password, password: 'another long one' })).statusCode).toBe(204);
      expect((await call('GET', '/api/people', elsewhere)).statusCode).toBe(401);
      expect((await call('GET', '/api/people', cookie)).statusCode).toBe(200);
      expect((await call('PUT', `/api/people/${id}/password`, owner, { password: 'one from the owner' })).statusCode).toBe(204);
      expect((await call('GET', '/api/people', cookie)).statusCode).toBe(401);
      expect((await call('POST', '/api/session', '', { email: 'ola@shed.example', password: 'one from the owner' })).statusCode).toBe(200);
    });
  });
});

describe('the demo', () => {
  it('is marked, and can be switched off', async () => {
    const database = await freshDatabase(true);
    const [on, off] = await Promise.all([true, false].map((demo) => buildApp({ db: database.db, queue: database.queue, webRoot: null, demo })));
    const standing = async (app: FastifyInstance): Promise<unknown> => (await app.inject({ url: '/api/standing' })).json();
    expect(await standing(on!)).toEqual({ empty: false, demo: DEMO.email });
    expect(await standing(off!)).toEqual({ empty: false, demo: null });
    const enter = (app: FastifyInstance) => app.inject({ method: 'POST', url: '/api/session', payload: { email: DEMO.email, password: DEMO.password } });
    expect([(await enter(on!)).statusCode, (await enter(off!)).statusCode]).toEqual([200, 401]);
    await Promise.all([on!.close(), off!.close()]);
    await database.drop();
  }, 60_000);
  it('keeps its cookie to TLS where a proxy says that it came so, and believes nobody else', async () => {
    const database = await freshDatabase(true);
    const [behind, alone] = await Promise.all([true, false].map((proxy) => buildApp({ db: database.db, queue: database.queue, webRoot: null, proxy })));
    const cookie = async (app: FastifyInstance): Promise<string> =>
      String((await app.inject({ method: 'POST', url: '/api/session', payload: { email: DEMO.email, password: DEMO.password }, headers: { 'x-forwarded-proto': 'https' } })).headers['set-cookie']);
    expect(await cookie(behind!)).toContain('Secure');
    expect(await cookie(alone!)).not.toContain('Secure');
    await Promise.all([behind!.close(), alone!.close()]);
    await database.drop();
  }, 60_000);
});

import type { Comment } from '@meridex/contract';
import type { FastifyInstance } from 'fastify';
import { hashPassword } from '../accounts/password.js';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/load.js';
import { addWorkshop, freshDatabase, type TestDatabase } from '../testing/database.js';
import { signIn } from '../testing/sign-in.js';

describe('comments', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let [cookie, other, job] = ['', '', ''];
  const call = (method: 'GET' | 'POST' | 'PATCH', url: string, payload?: object, as = cookie) => app.inject({ method, url, headers: { cookie: as }, ...(payload ? { payload } : {}) });
  const say = (text: string, id: string = crypto.randomUUID(), as = cookie) => call('POST', `/api/jobs/${job}/comments`, { id, about: 'start-charger', text }, as);
  const listed = async (as = cookie): Promise<Comment[]> => (await call('GET', `/api/jobs/${job}/comments`, undefined, as)).json<Comment[]>();

  beforeAll(async () => {
    database = await freshDatabase(true);
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
    await addWorkshop(database.ownerUrl, 'other@shed.example', await hashPassword('other-secret'));
    [cookie, other] = [await signIn(app, DEMO.email, DEMO.password), await signIn(app, 'other@shed.example', 'other-secret')];
    job = (await call('GET', '/api/jobs')).json<{ lines: { id: string }[] }>().lines[0]!.id;
  }, 60_000);
  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  it('are kept once, with who said it, and settled and unsettled by name', async () => {
    const id = crypto.randomUUID();
    for (let i = 0; i < 2; i++) expect((await say('is that fuse in reach?', id)).statusCode).toBe(204);
    const mine = async (): Promise<Comment[]> => (await listed()).filter((c) => c.id === id);
    expect((await mine()).map((c) => [c.about, c.text, c.author, c.settledBy])).toEqual([['start-charger', 'is that fuse in reach?', DEMO.name, null]]);
    await call('PATCH', `/api/comments/${id}`, { settled: true });
    expect((await mine())[0]!.settledBy).toBe(DEMO.name);
    await call('PATCH', `/api/comments/${id}`, { settled: false });
    expect((await mine())[0]!.settledBy).toBeNull();
  });

  it('are refused empty or endless, with the field', async () => {
    expect((await say('  ')).json<{ message: string }>().message).toBe('text: what is to be said is accepted');
    expect((await say('x'.repeat(2001))).json<{ message: string }>().message).toBe('text: up to 2000 letters are accepted');
  });

  it('are nobody’s of another workshop', async () => {
    const id = crypto.randomUUID();
    await say('ours', id);
    expect((await say('theirs', crypto.randomUUID(), other)).statusCode).toBe(404);
    expect((await call('PATCH', `/api/comments/${id}`, { settled: true }, other)).statusCode).toBe(404);
    expect(await listed(other)).toEqual([]);
  });
});

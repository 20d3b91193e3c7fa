import type { SignedIn } from '@meridex/contract';
import type { FastifyInstance } from 'fastify';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/load.js';
import { freshDatabase, type TestDatabase } from '../testing/database.js';
import { signIn } from '../testing/sign-in.js';
import { waitS } from './slow-down.js';

describe('signing in', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  const tries = (email: string, password: string, headers: Record<string, string> = {}) => app.inject({ method: 'POST', url: '/api/session', headers, payload: { email, password } });
  const listed = async (cookie: string): Promise<SignedIn[]> => (await app.inject({ url: '/api/session/all', headers: { cookie } })).json<SignedIn[]>();

  beforeAll(async () => {
    database = await freshDatabase(true);
  }, 60_000);
  beforeEach(async () => {
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
  });
  afterEach(() => app?.close());
  afterAll(() => database?.drop());

  it('waits longer after each failed try, up to five minutes', () => {
    expect([0, 4, 5, 6, 9, 40].map(waitS)).toEqual([0, 0, 1, 2, 16, 300]);
  });

  it('is slowed down by the typed address, known or not, and by that alone', async () => {
    for (const email of [DEMO.email, 'nobody@shed.example']) {
      for (let i = 0; i < 7; i++) await tries(email, 'wrong-guess');
      const held = await tries(email, email === DEMO.email ? DEMO.password : 'wrong-guess');
      expect(held.statusCode).toBe(429);
      expect(held.json<{ message: string }>().message).toMatch(/^Too many tries for this address failed: the next is looked at in [1-9] s\.$/);
    }
    expect((await tries('somebody@else.example', 'wrong-guess')).statusCode).toBe(401);
    await database.db.outside((tx) => tx.execute("update failed_sign_ins set last_at = now() - interval '10 minutes'"));
    expect((await tries(DEMO.email, DEMO.password)).statusCode).toBe(200);
    // The one that fitted has wiped the slate.
    expect((await tries(DEMO.email, 'wrong-guess')).statusCode).toBe(401);
    expect((await tries(DEMO.email, DEMO.password)).statusCode).toBe(200);
  });

  it('is listed browser by browser, and each can be ended alone', async () => {
    const here = await signIn(app, DEMO.email, DEMO.password);
    const phone = (await tries(DEMO.email, DEMO.password, { 'sec-ch-ua-mobile': '?1' })).headers['set-cookie']!.toString().split(';')[0]!;
    const all = await listed(here);
    expect(all.filter((s) => s.here).length).toBe(1);
    const there = all.find((s) => s.browser === 'phone or tablet')!;
    const end = () => app.inject({ method: 'DELETE', url: `/api/session/all/${there.id}`, headers: { cookie: here } });
    expect((await end()).statusCode).toBe(204);
    expect((await app.inject({ url: '/api/jobs', headers: { cookie: phone } })).statusCode).toBe(401);
    expect((await listed(here)).length).toBe(all.length - 1);
    expect((await end()).statusCode).toBe(404);
  });
});

import fc from 'fast-check';
import type { FastifyInstance, RouteOptions } from 'fastify';
import type { z } from 'zod';
import { hashPassword } from './accounts/password.js';
import { buildApp } from './app.js';
import { addWorkshop, freshDatabase, type TestDatabase } from './testing/database.js';
import { hostileBodies, NASTY } from './testing/hostile.js';
import { signIn } from './testing/sign-in.js';

/** Bodies for each route; more of them where time is no matter. */
const BODIES = Number(process.env['MERIDEX_HOSTILE'] ?? 30);
const HALF_AN_HOUR = 1_800_000;

interface Route {
  readonly method: string;
  readonly url: string;
  readonly body: z.ZodType | null;
}

describe('every route', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let other: string;
  let cookie: string;
  let job: string;
  const routes: Route[] = [];
  const me = { email: 'owner@tallowgum.example', password: 'wirrabel' };

  beforeAll(async () => {
    database = await freshDatabase(true);
    const eachRoute = ({ method, url, schema }: RouteOptions): void => {
      for (const m of [method].flat()) if (m !== 'HEAD' && m !== 'OPTIONS') routes.push({ method: m, url, body: (schema?.body as z.ZodType | undefined) ?? null });
    };
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null, eachRoute });
    await addWorkshop(database.ownerUrl, 'other@shed.example', await hashPassword('other-secret'));
    other = await signIn(app, 'other@shed.example', 'other-secret');
    // Once: what is hostile uses up how often one may try.
    cookie = await signIn(app, me.email, me.password);
    job = (await app.inject({ method: 'GET', url: '/api/jobs', headers: { cookie } })).json<{ lines: { id: string }[] }>().lines[0]!.id;
  });
  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  it(
    'answers what is hostile with words, never with a failure, and shows all there was afterwards',
    async () => {
      const before = (await app.inject({ method: 'GET', url: '/api/jobs', headers: { cookie: other } })).body;
      const failed: string[] = [];
      let asked = 0;
      const ask = async ({ method, url }: Route, params: readonly string[], payload: unknown): Promise<void> => {
        let n = 0;
        const at = url.replace(/:\w+/g, () => encodeURIComponent(params[n++ % params.length]!));
        const r = await app.inject({
          method: method as 'POST',
          url: at,
          headers: { cookie, ...(payload === undefined ? {} : { 'content-type': 'application/json' }) },
          ...(payload === undefined ? {} : { payload: JSON.stringify(payload) }),
        });
        asked++;
        if (r.statusCode >= 500) failed.push(`${method} ${at} ${JSON.stringify(payload)?.slice(0, 300)}: ${r.statusCode} ${r.body.slice(0, 200)}`);
        if (r.statusCode === 401 && url !== '/api/session') failed.push(`${method} ${at}: signed out`);
      };
      const params = fc.array(
        fc.oneof({ weight: 5, arbitrary: fc.constant('JOB') }, { weight: 2, arbitrary: fc.uuid() }, fc.constantFrom('own', '1', '-1', '%00', '..', 'x'.repeat(300), '\u202e', "'")),
        {
          minLength: 2,
          maxLength: 2,
        },
      );
      const open = routes.filter((r) => r.url.startsWith('/api/') && !r.url.endsWith('/live') && !(r.url === '/api/session' && r.method === 'DELETE'));
      expect(open.length).toBeGreaterThan(60);
      for (const route of open) {
        const bodies = route.body ? hostileBodies(route.body, [job]) : fc.constant(undefined);
        // Views of a job are asked for at the end, after all that was sent.
        const runs = route.body ? BODIES : route.method === 'GET' ? 3 : Math.min(BODIES, 10);
        for (const [of, body] of fc.sample(fc.tuple(params, bodies), { numRuns: runs, seed: 42 }))
          await ask(
            route,
            of.map((p) => (p === 'JOB' ? job : p)),
            body,
          );
      }
      for (const route of open.filter((r) => r.method === 'GET')) await ask(route, [job, 'own'], undefined);
      expect(failed).toEqual([]);
      expect(asked).toBeGreaterThan(BODIES * 25);
      expect((await app.inject({ method: 'GET', url: '/api/jobs', headers: { cookie: other } })).body).toBe(before);
      expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
    },
    HALF_AN_HOUR,
  );

  it(
    'keeps no edit of a plan that a view of it then fails at',
    async () => {
      const get = (url: string) => app.inject({ method: 'GET', url, headers: { cookie } });
      const opened = await app.inject({ method: 'POST', url: '/api/jobs', headers: { cookie }, payload: { customer: 'Saltbush Relay', promisedOn: null, from: job } });
      const { id } = opened.json<{ id: string }>();
      const { design } = (await get(`/api/jobs/${id}/design`)).json<{ design: object }>();
      const pathsIn = (value: unknown, at: string): string[] =>
        typeof value === 'object' && value !== null ? [at, ...Object.entries(value).flatMap(([key, v]) => pathsIn(v, `${at}/${key.replaceAll('~', '~0').replaceAll('/', '~1')}`))] : [at];
      const paths = pathsIn(design, '').filter((p) => p !== '');
      const one = fc.tuple(
        fc.constantFrom('replace', 'add', 'remove', 'copy', 'move'),
        fc.constantFrom(...paths),
        fc.constantFrom(...paths),
        fc.oneof(NASTY, fc.integer({ min: 0, max: 9 }), fc.double()),
      );
      let base = 1;
      let kept = 0;
      const failed: string[] = [];
      for (const ops of fc.sample(fc.array(one, { minLength: 1, maxLength: 2 }), { numRuns: BODIES * 10, seed: 7 })) {
        const patch = ops.map(([op, path, from, value]) => (op === 'remove' ? { op, path } : op === 'copy' || op === 'move' ? { op, path, from } : { op, path, value }));
        const r = await app.inject({ method: 'POST', url: `/api/jobs/${id}/revisions`, headers: { cookie }, payload: { base, clientId: crypto.randomUUID(), patch } });
        if (r.statusCode >= 500) failed.push(`${JSON.stringify(patch).slice(0, 300)}: ${r.statusCode}`);
        if (r.statusCode !== 200) continue;
        kept++;
        base = r.json<{ number: number }>().number;
        if (kept % 3) continue;
        for (const view of ['', '/pack.pdf', '/diagram.svg', '/labels.pdf', '/drill-template.pdf']) {
          const seen = await get(view ? `/api/jobs/${id}${view}` : '/api/jobs');
          if (seen.statusCode >= 500) failed.push(`${view} after ${JSON.stringify(patch).slice(0, 300)}: ${seen.statusCode} ${seen.body.slice(0, 200)}`);
        }
      }
      expect(failed).toEqual([]);
      expect(kept).toBeGreaterThan(BODIES / 10);
    },
    HALF_AN_HOUR,
  );
});

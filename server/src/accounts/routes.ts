import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { personSchema } from '@meridex/contract';
import type { Database } from '../db/client.js';
import { DEMO } from '../demo/account.js';
import { browserOf, COOKIE, giveSession, personOf, signedIn } from '../http/guard.js';
import { slowDown } from './slow-down.js';
import { personByToken, signIn, signOut, type Person } from './store.js';

const message = z.object({ message: z.string() });
const shown = ({ name, email, role, workshop }: Person): z.infer<typeof personSchema> => ({ name, email, role, workshop });

export const accountRoutes =
  (db: Database, demo: boolean): FastifyPluginAsyncZod =>
  async (app) => {
    const slow = slowDown(db);
    app.post(
      '/api/session',
      {
        config: { rateLimit: { max: 20, timeWindow: '1 minute' } },
        schema: { body: z.object({ email: z.string().max(200), password: z.string().max(200) }), response: { 200: personSchema, 401: message, 429: message } },
      },
      async (request, reply) => {
        const address = request.body.email.trim().toLowerCase();
        const waitS = await slow.leftS(address);
        if (waitS > 0) return reply.code(429).send({ message: `Too many tries for this address failed: the next is looked at in ${waitS} s.` });
        const off = !demo && address === DEMO.email;
        const done = off ? null : await signIn(db, { ...request.body, browser: browserOf(request) });
        if (!done) {
          await slow.failed(address);
          return reply.code(401).send({ message: 'Address and password do not belong together.' });
        }
        await slow.fits(address);
        giveSession(reply, done.token);
        return shown(done.person);
      },
    );
    // Asked by every page that opens: nobody signed in is an answer, not an error.
    app.get('/api/session', { schema: { response: { 200: personSchema, 204: z.null() } } }, async (request, reply) => {
      const token = request.cookies[COOKIE];
      const person = token ? await personByToken(db, token) : null;
      return person ? shown(person) : reply.code(204).send(null);
    });
    app.delete('/api/session', { preHandler: signedIn(db), schema: { response: { 204: z.null(), 401: message } } }, async (request, reply) => {
      await signOut(db, personOf(request), request.cookies[COOKIE]!);
      return reply.clearCookie(COOKIE, { path: '/' }).code(204).send(null);
    });
  };

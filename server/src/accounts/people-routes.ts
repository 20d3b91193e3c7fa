import { changePersonSchema, colleagueSchema, joinSchema, mayNot, newPasswordSchema, resetSchema, roleSchema, setUpSchema, signedInSchema, standingSchema } from '@meridex/contract';
import type { FastifyReply } from 'fastify';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { DEMO } from '../demo/account.js';
import { allowed, browserOf, COOKIE, giveSession, personOf, signedIn } from '../http/guard.js';
import { changePassword, changePerson, colleagues, endSession, endSessions, hasAccount, invitation, invite, isEmpty, join, ownSessions, resetPassword, setUp, type Done } from './people.js';

const message = z.object({ message: z.string() });
const nothing = z.null();
const REFUSALS = { 403: message, 404: message, 409: message, 422: message };
const LIMIT = { rateLimit: { max: 20, timeWindow: '1 minute' } };
const params = z.object({ id: z.uuid() });
const byToken = z.object({ token: z.string().min(20).max(100) });

const refuse = (reply: FastifyReply, r: Extract<Done<unknown>, { ok: false }>): FastifyReply => reply.code(r.status).send({ message: r.message });

/** Before anybody is signed in: how the installation stands, the first workshop, invitations. */
export const openRoutes =
  (db: Database, demo: boolean): FastifyPluginAsyncZod =>
  async (app) => {
    app.get('/api/standing', { schema: { response: { 200: standingSchema } } }, async () => ({ empty: await isEmpty(db), demo: demo && (await hasAccount(db, DEMO.email)) ? DEMO.email : null }));
    app.post('/api/standing', { config: LIMIT, schema: { body: setUpSchema, response: { 201: nothing, ...REFUSALS } } }, async (request, reply) => {
      const made = await setUp(db, { ...request.body, browser: browserOf(request) });
      return made.ok ? giveSession(reply, made.value).code(201).send(null) : refuse(reply, made);
    });
    app.get(
      '/api/invites/:token',
      { config: LIMIT, schema: { params: byToken, response: { 200: z.object({ workshop: z.string(), role: z.string(), by: z.string() }), ...REFUSALS } } },
      async (request, reply) => {
        const found = await invitation(db, request.params.token);
        return found.ok ? found.value : refuse(reply, found);
      },
    );
    app.post('/api/invites/:token', { config: LIMIT, schema: { params: byToken, body: joinSchema, response: { 201: nothing, ...REFUSALS } } }, async (request, reply) => {
      const joined = await join(db, request.params.token, { ...request.body, browser: browserOf(request) });
      return joined.ok ? giveSession(reply, joined.value).code(201).send(null) : refuse(reply, joined);
    });
  };

/** The people of the workshop, and one's own password. */
export const peopleRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    const only = { preHandler: allowed('people') };
    app.get('/api/people', { schema: { response: { 200: z.array(colleagueSchema) } } }, (request) => db.inWorkshop(personOf(request).workshopId, (tx) => colleagues(tx, personOf(request))));
    app.post(
      '/api/people/invites',
      { ...only, schema: { body: z.object({ role: roleSchema }), response: { 201: z.object({ token: z.string(), expiresAt: z.string() }), ...REFUSALS } } },
      async (request, reply) => {
        const made = await db.inWorkshop(personOf(request).workshopId, (tx) => invite(tx, personOf(request), request.body.role));
        return reply.code(201).send(made);
      },
    );
    app.patch('/api/people/:id', { ...only, schema: { params, body: changePersonSchema, response: { 204: nothing, ...REFUSALS } } }, async (request, reply) => {
      const r = await db.inWorkshop(personOf(request).workshopId, (tx) => changePerson(tx, request.params.id, request.body));
      return r.ok ? reply.code(204).send(null) : refuse(reply, r);
    });
    app.put('/api/people/:id/password', { ...only, config: LIMIT, schema: { params, body: resetSchema, response: { 204: nothing, ...REFUSALS } } }, async (request, reply) => {
      const r = await db.inWorkshop(personOf(request).workshopId, (tx) => resetPassword(tx, request.params.id, request.body.password));
      return r.ok ? reply.code(204).send(null) : refuse(reply, r);
    });
    app.put('/api/session/password', { config: LIMIT, schema: { body: newPasswordSchema, response: { 204: nothing, ...REFUSALS } } }, async (request, reply) => {
      const person = personOf(request);
      const r = await db.inWorkshop(person.workshopId, (tx) => changePassword(tx, person, request.cookies[COOKIE]!, request.body));
      return r.ok ? reply.code(204).send(null) : refuse(reply, r);
    });
    app.get('/api/session/all', { schema: { response: { 200: z.array(signedInSchema) } } }, (request) =>
      db.inWorkshop(personOf(request).workshopId, (tx) => ownSessions(tx, personOf(request), request.cookies[COOKIE]!)),
    );
    app.delete('/api/session/all/:id', { schema: { params: z.object({ id: z.string().max(40) }), response: { 204: nothing, ...REFUSALS } } }, async (request, reply) => {
      const r = await db.inWorkshop(personOf(request).workshopId, (tx) => endSession(tx, personOf(request), request.params.id));
      return r.ok ? reply.code(204).send(null) : refuse(reply, r);
    });
    app.delete('/api/people/:id/sessions', { schema: { params, response: { 204: nothing, ...REFUSALS } } }, async (request, reply) => {
      const person = personOf(request);
      const words = request.params.id === person.accountId ? null : mayNot(person.role, 'people');
      if (words !== null) return reply.code(403).send({ message: words });
      await db.inWorkshop(person.workshopId, (tx) => endSessions(tx, request.params.id, request.cookies[COOKIE]!));
      return reply.code(204).send(null);
    });
  };

import { historyEntrySchema, may, mayNot, saveRevisionSchema } from '@meridex/contract';
import { patchSchema, type Patch } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { personOf, signedIn } from '../http/guard.js';
import { history, newestRevision, revisionOf, saveRevision } from './store.js';

const params = z.object({ jobId: z.uuid() });
const message = z.object({ message: z.string() });
const revision = z.object({ number: z.number(), design: z.unknown(), author: z.string(), at: z.string() });
const clash = z.object({ path: z.string(), mine: z.unknown(), theirs: z.unknown() });
const refused = message.extend({ clashes: z.array(clash).optional(), newest: revision.optional() });

/** True of an edit of nothing but the 230 V side of vehicles. */
const ofMains = (patch: Patch): boolean => patch.every((o) => !('from' in o) && /^\/(vehicles\/[^/]+\/)?mains(\/|$)/.test(o.path));

export const designRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));

    app.get('/api/jobs/:jobId/design', { schema: { params, response: { 200: revision, 404: message } } }, async (request, reply) => {
      const found = await db.inWorkshop(personOf(request).workshopId, (tx) => newestRevision(tx, request.params.jobId));
      return found ?? reply.code(404).send({ message: 'This job is not in your workshop.' });
    });

    app.post(
      '/api/jobs/:jobId/revisions',
      {
        schema: {
          params,
          body: saveRevisionSchema.extend({ patch: patchSchema }),
          response: { 200: z.object({ number: z.number(), at: z.string(), merged: z.boolean(), design: z.unknown() }), 403: refused, 404: refused, 409: refused, 422: refused },
        },
      },
      async (request, reply) => {
        const person = personOf(request);
        const { patch, ...save } = request.body;
        const why = may(person.role, 'sign mains') && ofMains(patch as Patch) ? null : mayNot(person.role, 'plan');
        if (why !== null) return reply.code(403).send({ message: why });
        const saved = await db.inWorkshop(person.workshopId, (tx) =>
          saveRevision(tx, person.workshopId, request.params.jobId, {
            ...save,
            patch: patch as Patch,
            author: person.name,
            mayNotAccept: mayNot(person.role, 'accept'),
            mayNotSign: mayNot(person.role, 'sign mains'),
          }),
        );
        if (!saved.ok) return reply.code(saved.status).send({ message: saved.message, clashes: saved.clashes ? [...saved.clashes] : undefined, newest: saved.newest });
        return { number: saved.revision.number, at: saved.revision.at, merged: saved.merged, design: saved.revision.design };
      },
    );

    app.get(
      '/api/jobs/:jobId/history',
      { schema: { params, querystring: z.object({ before: z.coerce.number().int().min(1).optional() }), response: { 200: z.array(historyEntrySchema) } } },
      async (request) => {
        const rows = await db.inWorkshop(personOf(request).workshopId, (tx) => history(tx, request.params.jobId, request.query.before));
        return rows;
      },
    );

    app.get(
      '/api/jobs/:jobId/revisions/:number',
      { schema: { params: params.extend({ number: z.coerce.number().int().min(1) }), response: { 200: revision, 404: message } } },
      async (request, reply) => {
        const { jobId, number } = request.params;
        const found = await db.inWorkshop(personOf(request).workshopId, (tx) => revisionOf(tx, jobId, number));
        return found ?? reply.code(404).send({ message: `This job has no revision ${number} in your workshop.` });
      },
    );
  };

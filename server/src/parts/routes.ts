import { partSchema, readOwnPart, readPartsFile } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { keepPart, keptParts } from './store.js';
import { usedIn, usedInSchema } from './used.js';

const kept = z.object({ part: partSchema, retired: z.boolean(), author: z.string(), at: z.string() });
const message = z.object({ message: z.string() });

/** The workshop's own parts: listed, kept from a data sheet or a file of many, retired. */
export const partRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/parts', { schema: { response: { 200: z.array(kept) } } }, (request) => db.inWorkshop(personOf(request).workshopId, keptParts));
    app.get('/api/parts/:partId/jobs', { schema: { params: z.object({ partId: z.string().min(1).max(60) }), response: { 200: z.array(usedInSchema) } } }, (request) =>
      db.inWorkshop(personOf(request).workshopId, (tx) => usedIn(tx, request.params.partId)),
    );
    app.post('/api/parts', { preHandler: allowed('keep parts'), schema: { body: z.unknown(), response: { 201: kept, 400: message, 403: message } } }, async (request, reply) => {
      const { workshopId, name: author } = personOf(request);
      const own = readOwnPart(request.body);
      if (!own.ok) return reply.code(400).send({ message: own.message });
      return reply.code(201).send(await db.inWorkshop(workshopId, (tx) => keepPart(tx, { workshopId, part: own.part, author, retired: false })));
    });
    app.post(
      '/api/parts/file',
      { preHandler: allowed('keep parts'), schema: { body: z.object({ text: z.string().max(500_000) }), response: { 201: z.array(kept), 400: message, 403: message } } },
      async (request, reply) => {
        const { workshopId, name: author } = personOf(request);
        const read = readPartsFile(request.body.text);
        if (!read.ok) return reply.code(400).send({ message: read.message });
        const all = await db.inWorkshop(workshopId, async (tx) => {
          const rows = [];
          for (const part of read.parts) rows.push(await keepPart(tx, { workshopId, part, author, retired: false }));
          return rows;
        });
        return reply.code(201).send(all);
      },
    );
    app.delete(
      '/api/parts/:partId',
      { preHandler: allowed('keep parts'), schema: { params: z.object({ partId: z.string().max(60) }), response: { 200: kept, 403: message, 404: message } } },
      async (request, reply) => {
        const { workshopId, name: author } = personOf(request);
        const done = await db.inWorkshop(workshopId, async (tx) => {
          const now = (await keptParts(tx)).find((p) => p.part.id === request.params.partId);
          return now ? keepPart(tx, { workshopId, part: now.part, author, retired: true }) : null;
        });
        return done ?? reply.code(404).send({ message: `${request.params.partId} is none of your workshop’s own parts.` });
      },
    );
  };

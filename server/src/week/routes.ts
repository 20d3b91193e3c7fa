import { weekRevisionSchema } from '@meridex/contract';
import { shopWeekSchema } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { keepWeek, keptWeek } from './store.js';

const message = z.object({ message: z.string() });

/** The bay's week: what is said of bays, people, days and jobs. Who stands where follows from it, and is not kept. */
export const weekRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/week', { schema: { response: { 200: z.object({ week: shopWeekSchema.nullable(), revision: z.number(), author: z.string() }) } } }, (request) =>
      db.inWorkshop(personOf(request).workshopId, keptWeek),
    );
    app.put(
      '/api/week',
      {
        preHandler: allowed('settle jobs'),
        schema: { body: z.object({ week: shopWeekSchema, revision: weekRevisionSchema }), response: { 200: z.object({ revision: z.number() }), 403: message, 409: message } },
      },
      async (request, reply) => {
        const { workshopId, name } = personOf(request);
        const { week, revision } = request.body;
        const kept = await db.inWorkshop(workshopId, (tx) => keepWeek(tx, workshopId, name, week, revision));
        return kept ? { revision: revision + 1 } : reply.code(409).send({ message: 'Somebody else changed the week meanwhile: it is shown as it is now, do yours once more.' });
      },
    );
  };

import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { READING_UNITS } from '@meridex/core';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { jobExists } from '../jobs/store.js';
import { tell } from '../live/tell.js';
import { keepReading, readingsOf } from './store.js';

const params = z.object({ jobId: z.uuid() });
const message = z.object({ message: z.string() });
const reading = z.object({
  id: z.uuid(),
  rowId: z.string().min(1).max(120),
  value: z.number().min(-100000).max(100000),
  unit: z.enum([...READING_UNITS, '%', 'W/m²']),
  revision: z.number().int().min(1),
});

export const readingRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/jobs/:jobId/readings', { schema: { params, response: { 200: z.array(reading.extend({ unit: z.string(), author: z.string(), at: z.string() })) } } }, (request) =>
      db.inWorkshop(personOf(request).workshopId, (tx) => readingsOf(tx, request.params.jobId)),
    );
    app.post('/api/jobs/:jobId/readings', { preHandler: allowed('read'), schema: { params, body: reading, response: { 204: z.null(), 403: message, 404: message } } }, async (request, reply) => {
      const person = personOf(request);
      const kept = await db.inWorkshop(person.workshopId, async (tx) => {
        if (!(await jobExists(tx, request.params.jobId))) return false;
        await keepReading(tx, person.workshopId, request.params.jobId, { ...request.body, author: person.name });
        tell(tx, request.params.jobId, { what: 'reading' });
        return true;
      });
      return kept ? reply.code(204).send(null) : reply.code(404).send({ message: 'This job is not in your workshop.' });
    });
  };

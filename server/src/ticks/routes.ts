import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { jobExists } from '../jobs/store.js';
import { tell } from '../live/tell.js';
import { keepTick, ticksOf } from './store.js';

const params = z.object({ jobId: z.uuid() });
const message = z.object({ message: z.string() });
const tick = z.object({ id: z.uuid(), stepId: z.string().min(1).max(120), done: z.boolean() });

export const tickRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/jobs/:jobId/ticks', { schema: { params, response: { 200: z.array(tick.extend({ author: z.string(), at: z.string() })) } } }, (request) =>
      db.inWorkshop(personOf(request).workshopId, (tx) => ticksOf(tx, request.params.jobId)),
    );
    app.post('/api/jobs/:jobId/ticks', { preHandler: allowed('tick'), schema: { params, body: tick, response: { 204: z.null(), 403: message, 404: message } } }, async (request, reply) => {
      const person = personOf(request);
      const kept = await db.inWorkshop(person.workshopId, async (tx) => {
        if (!(await jobExists(tx, request.params.jobId))) return false;
        await keepTick(tx, person.workshopId, request.params.jobId, { ...request.body, author: person.name });
        tell(tx, request.params.jobId, { what: 'tick' });
        return true;
      });
      return kept ? reply.code(204).send(null) : reply.code(404).send({ message: 'This job is not in your workshop.' });
    });
  };

import { newReviewSchema, reviewSchema } from '@meridex/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { newestRevision } from '../designs/store.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { tell } from '../live/tell.js';
import { keepReview, reviewsOf } from './store.js';

const ofJob = z.object({ jobId: z.uuid() });
const message = z.object({ message: z.string() });

/** Who looked a plan through, as it was at which revision. */
export const reviewRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/jobs/:jobId/reviews', { schema: { params: ofJob, response: { 200: z.array(reviewSchema) } } }, (request) =>
      db.inWorkshop(personOf(request).workshopId, (tx) => reviewsOf(tx, request.params.jobId)),
    );
    app.post(
      '/api/jobs/:jobId/reviews',
      { preHandler: allowed('review'), schema: { params: ofJob, body: newReviewSchema, response: { 204: z.null(), 403: message, 404: message, 422: message } } },
      async (request, reply) => {
        const { workshopId, name: author } = personOf(request);
        const { jobId } = request.params;
        const newest = await db.inWorkshop(workshopId, async (tx) => {
          const found = await newestRevision(tx, jobId);
          if (!found || request.body.revision > found.number) return found?.number ?? null;
          await keepReview(tx, { workshopId, jobId, author }, request.body);
          tell(tx, jobId, { what: 'review' });
          return found.number;
        });
        if (newest === null) return reply.code(404).send({ message: 'This job is not in your workshop.' });
        if (request.body.revision > newest) return reply.code(422).send({ message: `revision: ${request.body.revision} is not there yet; up to ${newest} is accepted` });
        return reply.code(204).send(null);
      },
    );
  };

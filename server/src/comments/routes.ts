import { commentSchema, newCommentSchema } from '@meridex/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { jobExists } from '../jobs/store.js';
import { tell } from '../live/tell.js';
import { commentsOf, keepComment, settleComment } from './store.js';

const ofJob = z.object({ jobId: z.uuid() });
const message = z.object({ message: z.string() });

/** What people say of a job and of things in it. */
export const commentRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/jobs/:jobId/comments', { schema: { params: ofJob, response: { 200: z.array(commentSchema) } } }, (request) =>
      db.inWorkshop(personOf(request).workshopId, (tx) => commentsOf(tx, request.params.jobId)),
    );
    app.post(
      '/api/jobs/:jobId/comments',
      { preHandler: allowed('comment'), schema: { params: ofJob, body: newCommentSchema, response: { 204: z.null(), 403: message, 404: message } } },
      async (request, reply) => {
        const { workshopId, name: author } = personOf(request);
        const { jobId } = request.params;
        const kept = await db.inWorkshop(workshopId, async (tx) => {
          if (!(await jobExists(tx, jobId))) return false;
          await keepComment(tx, { workshopId, jobId, author }, request.body);
          tell(tx, jobId, { what: 'comment' });
          return true;
        });
        return kept ? reply.code(204).send(null) : reply.code(404).send({ message: 'This job is not in your workshop.' });
      },
    );
    app.patch(
      '/api/comments/:id',
      { preHandler: allowed('comment'), schema: { params: z.object({ id: z.uuid() }), body: z.object({ settled: z.boolean() }), response: { 204: z.null(), 403: message, 404: message } } },
      async (request, reply) => {
        const person = personOf(request);
        const done = await db.inWorkshop(person.workshopId, async (tx) => {
          const jobId = await settleComment(tx, request.params.id, request.body.settled ? person.name : null);
          if (jobId) tell(tx, jobId, { what: 'comment' });
          return jobId !== null;
        });
        return done ? reply.code(204).send(null) : reply.code(404).send({ message: 'This comment is not in your workshop.' });
      },
    );
  };

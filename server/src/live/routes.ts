import { placeSchema } from '@meridex/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { personByToken } from '../accounts/store.js';
import type { Database } from '../db/client.js';
import { COOKIE, personOf, signedIn } from '../http/guard.js';
import { jobExists } from '../jobs/store.js';
import { tell } from './tell.js';

const params = z.object({ jobId: z.uuid() });
const message = z.object({ message: z.string() });
const NOT_HERE = { message: 'This job is not in your workshop.' };
/** What happens in a job as it happens, and who is where in it. */
export const liveRoutes =
  (db: Database, lookMs: number): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));

    app.get('/api/jobs/:jobId/live', { sse: 'only', schema: { params, querystring: z.object({ tab: z.uuid() }) } }, async (request, reply) => {
      const { workshopId, accountId } = personOf(request);
      const { jobId } = request.params;
      const { tab } = request.query;
      const said = (what: 'came' | 'left') => db.inWorkshop(workshopId, async (tx) => tell(tx, jobId, { what, tab }));
      if (!(await db.inWorkshop(workshopId, (tx) => jobExists(tx, jobId)))) return reply.code(404).send(NOT_HERE);
      reply.sse.keepAlive();
      const off = await db.live.on(jobId, (event) => {
        if (reply.sse.isConnected) void reply.sse.send({ data: event }).catch(() => reply.sse.close());
      });
      // Whose access has ended hears nothing more.
      const look = setInterval(() => {
        void personByToken(db, request.cookies[COOKIE]!)
          .then((p) => p?.accountId === accountId || reply.sse.close())
          .catch(() => undefined);
      }, lookMs);
      const end = (): void => reply.sse.close();
      app.server.once('meridex closing', end);
      const left = (): void => {
        app.server.off('meridex closing', end);
        clearInterval(look);
        off();
        // With the database away nobody can be told, and nobody is listening.
        void said('left').catch(() => undefined);
      };
      // It may be gone already by now.
      if (!reply.sse.isConnected) return void left();
      reply.sse.onClose(left);
      reply.sse.sendHeaders();
      await said('came');
      return undefined;
    });
    app.addHook('preClose', () => void app.server.emit('meridex closing'));

    app.post('/api/jobs/:jobId/here', { schema: { params, body: placeSchema, response: { 204: z.null(), 404: message } } }, async (request, reply) => {
      const { workshopId, name } = personOf(request);
      const { jobId } = request.params;
      const there = await db.inWorkshop(workshopId, async (tx) => {
        const found = await jobExists(tx, jobId);
        if (found) tell(tx, jobId, { what: 'here', name, ...request.body });
        return found;
      });
      return there ? reply.code(204).send(null) : reply.code(404).send(NOT_HERE);
    });
  };

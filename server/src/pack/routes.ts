import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { aside } from '../aside/aside.js';
import type { Database } from '../db/client.js';
import { NO_VEHICLE, vehicleAsked } from '../designs/of-vehicle.js';
import { newestRevision } from '../designs/store.js';
import { personOf, signedIn } from '../http/guard.js';
import { picturesOf } from '../photos/store.js';
import { latest, readingsOf } from '../readings/store.js';
import { ticksOf } from '../ticks/store.js';
import { reviewsOf } from '../reviews/store.js';
import { ownWorkshop } from '../workshop/store.js';
import type { PackAsked, PackFile } from './work.js';

const packFile = aside<PackAsked, PackFile | null>(new URL('./work.js', import.meta.url));

/** Photos of a pack at most: it is to be printed and sent by mail. */
const MOST_PICTURES = 36;

export const packRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/jobs/:jobId/pack.pdf', { schema: { params: z.object({ jobId: z.uuid() }), querystring: vehicleAsked } }, async (request, reply) => {
      const person = personOf(request);
      const { jobId } = request.params;
      const found = await db.inWorkshop(person.workshopId, async (tx) => {
        const revision = await newestRevision(tx, jobId);
        return (
          revision && {
            revision,
            readings: latest(await readingsOf(tx, jobId)),
            ticks: await ticksOf(tx, jobId),
            workshop: await ownWorkshop(tx),
            photos: await picturesOf(tx, jobId, MOST_PICTURES),
            reviews: await reviewsOf(tx, jobId),
          }
        );
      });
      if (!found) return reply.code(404).send({ message: 'This job is not in your workshop.' });
      const made = await packFile({ ...found, vehicle: request.query.vehicle, today: new Date().toISOString().slice(0, 10) });
      if (!made) return reply.code(404).send(NO_VEHICLE);
      return reply.header('content-disposition', `inline; filename="${made.name}"`).type('application/pdf').send(made.pdf);
    });
  };

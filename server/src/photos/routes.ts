import { newPhotoSchema, PHOTO_PX, photoChangeSchema, photoSchema } from '@meridex/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { jobExists } from '../jobs/store.js';
import { tell } from '../live/tell.js';
import { refusedPhoto } from './jpeg.js';
import { changePhoto, keepPhoto, photoImage, photosOf } from './store.js';

const ofJob = z.object({ jobId: z.uuid() });
const one = z.object({ id: z.uuid() });
const message = z.object({ message: z.string() });
const NONE = { message: 'This photo is not in your workshop.' };

/** Photos of a job: kept as they came from the page, shown, taken away and back. */
export const photoRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));

    app.get('/api/jobs/:jobId/photos', { schema: { params: ofJob, response: { 200: z.array(photoSchema) } } }, (request) =>
      db.inWorkshop(personOf(request).workshopId, (tx) => photosOf(tx, request.params.jobId)),
    );

    app.post(
      '/api/jobs/:jobId/photos',
      { preHandler: allowed('photo'), schema: { params: ofJob, body: newPhotoSchema, response: { 204: z.null(), 403: message, 404: message, 422: message } } },
      async (request, reply) => {
        const { workshopId, name: author } = personOf(request);
        const { jobId } = request.params;
        const photo = request.body;
        for (const [field, side] of [
          ['image', PHOTO_PX.large],
          ['small', PHOTO_PX.small],
        ] as const) {
          const refused = refusedPhoto(Buffer.from(photo[field], 'base64'), side);
          if (refused) return reply.code(422).send({ message: `${field}: ${refused}` });
        }
        const kept = await db.inWorkshop(workshopId, async (tx) => {
          if (!(await jobExists(tx, jobId))) return false;
          await keepPhoto(tx, { workshopId, jobId, author }, photo);
          tell(tx, jobId, { what: 'photo' });
          return true;
        });
        return kept ? reply.code(204).send(null) : reply.code(404).send({ message: 'This job is not in your workshop.' });
      },
    );

    app.get('/api/photos/:id', { schema: { params: one } }, async (request, reply) => {
      const image = await db.inWorkshop(personOf(request).workshopId, (tx) => photoImage(tx, request.params.id));
      if (!image) return reply.code(404).send(NONE);
      // A picture and nothing else, whatever stands in its bytes; it never changes.
      return reply
        .headers({ 'content-disposition': 'inline; filename="photo.jpg"', 'content-security-policy': "default-src 'none'; sandbox", 'cache-control': 'private, max-age=31536000, immutable' })
        .type('image/jpeg')
        .send(image);
    });

    app.patch(
      '/api/photos/:id',
      {
        preHandler: allowed('photo'),
        schema: {
          params: one,
          body: photoChangeSchema.refine((c) => c.takenAway !== undefined || c.caption !== undefined, { message: 'takenAway or caption is accepted' }),
          response: { 204: z.null(), 403: message, 404: message },
        },
      },
      async (request, reply) => {
        const done = await db.inWorkshop(personOf(request).workshopId, async (tx) => {
          const jobId = await changePhoto(tx, request.params.id, request.body);
          if (jobId) tell(tx, jobId, { what: 'photo' });
          return jobId !== null;
        });
        return done ? reply.code(204).send(null) : reply.code(404).send(NONE);
      },
    );
  };

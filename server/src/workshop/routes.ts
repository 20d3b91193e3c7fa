import { workshopSchema } from '@meridex/contract';
import { settingsSchema } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { printed } from '../paper/fonts.js';
import { logoOnPaper } from '../paper/head.js';
import { keepWorkshop, ownWorkshop } from './store.js';

/** Whether a logo can be set on paper at all: one that cannot would keep every pack from being printed. */
const canBePrinted = (logo: string): Promise<boolean> =>
  printed({ content: [logoOnPaper(logo)] }).then(
    () => true,
    () => false,
  );

const message = z.object({ message: z.string() });
const own = z.object({ ...workshopSchema.shape, rules: settingsSchema.nullable() });

/** What the workshop says of itself, and the rules that a new job begins with. */
export const workshopRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/workshop', { schema: { response: { 200: own } } }, (request) => db.inWorkshop(personOf(request).workshopId, ownWorkshop));
    app.put('/api/workshop', { preHandler: allowed('workshop'), schema: { body: own, response: { 204: z.null(), 403: message, 422: message } } }, async (request, reply) => {
      const { workshopId } = personOf(request);
      if (request.body.logo && !(await canBePrinted(request.body.logo))) return reply.code(422).send({ message: 'logo: this cannot be printed; a PNG is accepted' });
      await db.inWorkshop(workshopId, (tx) => keepWorkshop(tx, workshopId, request.body));
      return reply.code(204).send(null);
    });
  };

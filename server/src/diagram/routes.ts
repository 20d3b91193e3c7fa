import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { aside } from '../aside/aside.js';
import type { Database } from '../db/client.js';
import { designOf, vehicleAsked } from '../designs/of-vehicle.js';
import { newestRevision } from '../designs/store.js';
import { personOf, signedIn } from '../http/guard.js';
import type { DiagramAsked } from './work.js';

const diagramFile = aside<DiagramAsked, Uint8Array | string>(new URL('./work.js', import.meta.url));

/** The line diagram of a job, on paper and as a drawing. */
export const diagramRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    const params = z.object({ jobId: z.uuid() });
    const NO_JOB = { message: 'This job is not in your workshop.' };

    async function find(workshopId: string, jobId: string, vehicle: string, as: DiagramAsked['as']) {
      const revision = await db.inWorkshop(workshopId, (tx) => newestRevision(tx, jobId));
      const design = revision && designOf(revision.design, vehicle);
      if (!design) return null;
      const { customer } = design.brief;
      const file = `${customer.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-line-diagram`;
      return { file, content: await diagramFile({ design, words: `${customer}, line diagram, revision ${revision.number}`, as }) };
    }

    app.get('/api/jobs/:jobId/diagram.pdf', { schema: { params, querystring: vehicleAsked } }, async (request, reply) => {
      const found = await find(personOf(request).workshopId, request.params.jobId, request.query.vehicle, 'pdf');
      if (!found) return reply.code(404).send(NO_JOB);
      return reply.header('content-disposition', `inline; filename="${found.file}.pdf"`).type('application/pdf').send(found.content);
    });
    app.get('/api/jobs/:jobId/diagram.svg', { schema: { params, querystring: vehicleAsked } }, async (request, reply) => {
      const found = await find(personOf(request).workshopId, request.params.jobId, request.query.vehicle, 'svg');
      if (!found) return reply.code(404).send(NO_JOB);
      return reply.header('content-disposition', `attachment; filename="${found.file}.svg"`).type('image/svg+xml').send(found.content);
    });
  };

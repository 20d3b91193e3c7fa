import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { aside } from '../aside/aside.js';
import type { Database } from '../db/client.js';
import { vehicleAsked } from '../designs/of-vehicle.js';
import { personOf, signedIn } from '../http/guard.js';
import { NO_JOB, paperAsked, toDraw } from './asked.js';
import type { DrillAsked } from './work.js';

const drillFile = aside<DrillAsked, Uint8Array | string | null>(new URL('./work.js', import.meta.url));

/** The drill template of a job's board, on paper and for a machine. */
export const drillRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    const params = z.object({ jobId: z.uuid() });
    const NO_BOARD = { message: 'This job has no mounting board yet; draft one under Places.' };

    async function find(workshopId: string, jobId: string, vehicle: string, as: DrillAsked['as']) {
      const draw = await toDraw(db, workshopId, jobId, vehicle);
      return draw && { content: await drillFile({ draw, as }), file: `${draw.file}-drill-template` };
    }

    app.get('/api/jobs/:jobId/drill-template.pdf', { schema: { params, querystring: paperAsked('A4') } }, async (request, reply) => {
      const found = await find(personOf(request).workshopId, request.params.jobId, request.query.vehicle, request.query.paper);
      if (!found?.content) return reply.code(404).send(found ? NO_BOARD : NO_JOB);
      return reply.header('content-disposition', `inline; filename="${found.file}.pdf"`).type('application/pdf').send(found.content);
    });
    app.get('/api/jobs/:jobId/drill-template.dxf', { schema: { params, querystring: vehicleAsked } }, async (request, reply) => {
      const found = await find(personOf(request).workshopId, request.params.jobId, request.query.vehicle, 'dxf');
      if (!found?.content) return reply.code(404).send(found ? NO_BOARD : NO_JOB);
      return reply.header('content-disposition', `attachment; filename="${found.file}.dxf"`).type('application/dxf').send(found.content);
    });
  };

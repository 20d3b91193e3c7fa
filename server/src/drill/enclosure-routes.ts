import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { aside } from '../aside/aside.js';
import type { Database } from '../db/client.js';
import { vehicleAsked } from '../designs/of-vehicle.js';
import { personOf, signedIn } from '../http/guard.js';
import { NO_JOB, paperAsked, toDraw } from './asked.js';
import type { SheetsAsked } from './enclosure-work.js';

const sheetsFile = aside<SheetsAsked, Uint8Array | string | null>(new URL('./enclosure-work.js', import.meta.url));

/** The sheets of a job's boxes, at 1:1 on paper and for a machine. */
export const enclosureRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    const params = z.object({ jobId: z.uuid(), zone: z.string().max(40) });
    const NO_BOX = { message: 'This job has no such box; build one round gear under Places.' };

    async function find(workshopId: string, { jobId, zone }: z.infer<typeof params>, vehicle: string, as: SheetsAsked['as']) {
      const draw = await toDraw(db, workshopId, jobId, vehicle);
      return draw && { content: await sheetsFile({ draw, zone, as }), file: `${draw.file}-${zone.replace(/[^a-z0-9]+/gi, '-')}` };
    }

    app.get('/api/jobs/:jobId/boxes/:zone/sheets.pdf', { schema: { params, querystring: paperAsked('A3') } }, async (request, reply) => {
      const found = await find(personOf(request).workshopId, request.params, request.query.vehicle, request.query.paper);
      if (!found?.content) return reply.code(404).send(found ? NO_BOX : NO_JOB);
      return reply.header('content-disposition', `inline; filename="${found.file}.pdf"`).type('application/pdf').send(found.content);
    });
    app.get('/api/jobs/:jobId/boxes/:zone/sheets.dxf', { schema: { params, querystring: vehicleAsked } }, async (request, reply) => {
      const found = await find(personOf(request).workshopId, request.params, request.query.vehicle, 'dxf');
      if (!found?.content) return reply.code(404).send(found ? NO_BOX : NO_JOB);
      return reply.header('content-disposition', `attachment; filename="${found.file}.dxf"`).type('application/dxf').send(found.content);
    });
  };

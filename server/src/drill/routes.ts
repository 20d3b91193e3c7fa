import { drillTemplate, glandSaws, type DrillTemplate } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { vehicleAsked } from '../designs/of-vehicle.js';
import { personOf, signedIn } from '../http/guard.js';
import { drawn, NO_JOB, paperAsked } from './asked.js';
import { drillDxf } from './dxf.js';
import { drillPdf } from './paper.js';

interface Found {
  readonly template: DrillTemplate | null;
  readonly words: string;
  readonly file: string;
}

/** The drill template of a job's board, on paper and for a machine. */
export const drillRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    const params = z.object({ jobId: z.uuid() });

    async function find(workshopId: string, jobId: string, vehicle: string): Promise<Found | null> {
      const of = await drawn(db, workshopId, jobId, vehicle);
      if (!of) return null;
      const { gear, runs } = of.assessment;
      const template = drillTemplate(of.design, gear, glandSaws(of.design.board, gear, runs));
      return { template, file: `${of.file}-drill-template`, words: `${of.of}, board ${template ? `${template.wMm} × ${template.hMm} mm` : ''}, ${of.revision}` };
    }
    const NO_BOARD = { message: 'This job has no mounting board yet; draft one under Places.' };

    app.get('/api/jobs/:jobId/drill-template.pdf', { schema: { params, querystring: paperAsked('A4') } }, async (request, reply) => {
      const found = await find(personOf(request).workshopId, request.params.jobId, request.query.vehicle);
      if (!found?.template) return reply.code(404).send(found ? NO_BOARD : NO_JOB);
      return reply
        .header('content-disposition', `inline; filename="${found.file}.pdf"`)
        .type('application/pdf')
        .send(await drillPdf(found.template, found.words, request.query.paper));
    });
    app.get('/api/jobs/:jobId/drill-template.dxf', { schema: { params, querystring: vehicleAsked } }, async (request, reply) => {
      const found = await find(personOf(request).workshopId, request.params.jobId, request.query.vehicle);
      if (!found?.template) return reply.code(404).send(found ? NO_BOARD : NO_JOB);
      return reply.header('content-disposition', `attachment; filename="${found.file}.dxf"`).type('application/dxf').send(drillDxf(found.template));
    });
  };

import { assess, drillTemplate, glandSaws, catalogueOf, vehicleOf, type DrillTemplate } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { designOf, vehicleAsked } from '../designs/of-vehicle.js';
import { newestRevision } from '../designs/store.js';
import { personOf, signedIn } from '../http/guard.js';
import { drillDxf } from './dxf.js';
import { drillPdf, PAPERS, type Paper } from './paper.js';

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
    const papers = Object.keys(PAPERS) as [Paper, ...Paper[]];
    const asked = vehicleAsked.extend({ paper: z.enum(papers, { message: `${papers.join(', ')} are accepted` }).default('A4') });

    async function find(workshopId: string, jobId: string, vehicle: string): Promise<Found | null> {
      const revision = await db.inWorkshop(workshopId, (tx) => newestRevision(tx, jobId));
      const design = revision && designOf(revision.design, vehicle);
      if (!design) return null;
      const { number } = revision;
      const a = assess(design, catalogueOf(design));
      const template = drillTemplate(design, a.gear, glandSaws(a.gear, a.runs));
      const file = `${design.brief.customer.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-drill-template`;
      return { template, file, words: `${design.brief.customer}, ${vehicleOf(design).name}, board ${template ? `${template.wMm} × ${template.hMm} mm` : ''}, revision ${number}` };
    }
    const NO_JOB = { message: 'This job is not in your workshop.' };
    const NO_BOARD = { message: 'This job has no mounting board yet; draft one under Places.' };

    app.get('/api/jobs/:jobId/drill-template.pdf', { schema: { params, querystring: asked } }, async (request, reply) => {
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

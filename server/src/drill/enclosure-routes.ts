import { assess, catalogueOf, sheetTemplate, vehicleOf, type Enclosure } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { designOf, vehicleAsked } from '../designs/of-vehicle.js';
import { newestRevision } from '../designs/store.js';
import { personOf, signedIn } from '../http/guard.js';
import { templatesDxf } from './dxf.js';
import { PAPERS, templatesPdf, type Paper } from './paper.js';

interface Found {
  readonly enclosure: Enclosure | null;
  readonly words: string;
  readonly file: string;
}

/** The sheets of a job's boxes, at 1:1 on paper and for a machine. */
export const enclosureRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    const params = z.object({ jobId: z.uuid(), zone: z.string().max(40) });
    const papers = Object.keys(PAPERS) as [Paper, ...Paper[]];
    const asked = vehicleAsked.extend({ paper: z.enum(papers, { message: `${papers.join(', ')} are accepted` }).default('A3') });

    async function find(workshopId: string, { jobId, zone }: z.infer<typeof params>, vehicle: string): Promise<Found | null> {
      const revision = await db.inWorkshop(workshopId, (tx) => newestRevision(tx, jobId));
      const design = revision && designOf(revision.design, vehicle);
      if (!design) return null;
      const enclosure = assess(design, catalogueOf(design)).enclosures.find((e) => e.zone === zone) ?? null;
      const file = `${design.brief.customer.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${zone}`;
      return { enclosure, file, words: `${design.brief.customer}, ${vehicleOf(design).name}, ${enclosure?.name ?? ''}, revision ${revision.number}` };
    }
    const NO_JOB = { message: 'This job is not in your workshop.' };
    const NO_BOX = { message: 'This job has no such box; build one round gear under Places.' };

    app.get('/api/jobs/:jobId/boxes/:zone/sheets.pdf', { schema: { params, querystring: asked } }, async (request, reply) => {
      const found = await find(personOf(request).workshopId, request.params, request.query.vehicle);
      if (!found?.enclosure) return reply.code(404).send(found ? NO_BOX : NO_JOB);
      const sheets = found.enclosure.sheets.map((s) => ({ template: sheetTemplate(s), words: `${found.words} · ${s.name}, ${s.wMm} × ${s.hMm} mm, seen from outside` }));
      return reply
        .header('content-disposition', `inline; filename="${found.file}.pdf"`)
        .type('application/pdf')
        .send(await templatesPdf(`${found.words}, sheets`, sheets, request.query.paper));
    });
    app.get('/api/jobs/:jobId/boxes/:zone/sheets.dxf', { schema: { params, querystring: vehicleAsked } }, async (request, reply) => {
      const found = await find(personOf(request).workshopId, request.params, request.query.vehicle);
      if (!found?.enclosure) return reply.code(404).send(found ? NO_BOX : NO_JOB);
      const sheets = found.enclosure.sheets.map((s) => ({ template: sheetTemplate(s), name: `${s.name}, ${s.wMm} x ${s.hMm}` }));
      return reply.header('content-disposition', `attachment; filename="${found.file}.dxf"`).type('application/dxf').send(templatesDxf(sheets));
    });
  };

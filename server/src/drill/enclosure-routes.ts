import { sheetTemplate, type Enclosure } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { vehicleAsked } from '../designs/of-vehicle.js';
import { personOf, signedIn } from '../http/guard.js';
import { drawn, NO_JOB, paperAsked } from './asked.js';
import { templatesDxf } from './dxf.js';
import { templatesPdf } from './paper.js';

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

    async function find(workshopId: string, { jobId, zone }: z.infer<typeof params>, vehicle: string): Promise<Found | null> {
      const of = await drawn(db, workshopId, jobId, vehicle);
      if (!of) return null;
      const enclosure = of.assessment.enclosures.find((e) => e.zone === zone) ?? null;
      return { enclosure, file: `${of.file}-${enclosure?.zone}`, words: `${of.of}, ${enclosure?.name}, ${of.revision}` };
    }
    const NO_BOX = { message: 'This job has no such box; build one round gear under Places.' };

    app.get('/api/jobs/:jobId/boxes/:zone/sheets.pdf', { schema: { params, querystring: paperAsked('A3') } }, async (request, reply) => {
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

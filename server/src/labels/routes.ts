import { catalogueOf, LABEL_SHEET_IDS, LABEL_SHEETS, labelLink, labelsOf, type LabelSheetId } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { vehicleAsked } from '../designs/of-vehicle.js';
import { drawn, NO_JOB } from '../drill/asked.js';
import { personOf, signedIn } from '../http/guard.js';
import { labelsPdf } from './paper.js';

/** Which sheet is in the printer, and the first label that is left on it. */
const sheetAsked = vehicleAsked.extend({
  sheet: z.enum(LABEL_SHEET_IDS as [LabelSheetId, ...LabelSheetId[]], { message: `${LABEL_SHEET_IDS.join(', ')} are accepted` }).default('large'),
  first: z.coerce
    .number({ message: 'a number is accepted' })
    .int({ message: 'a whole number is accepted' })
    .min(1, { message: 'from 1 is accepted' })
    .max(65, { message: 'up to 65 is accepted' })
    .default(1),
  /** Whether a code on each label opens its circuit. */
  codes: z.enum(['yes', 'no'], { message: 'yes and no are accepted' }).default('no'),
});

/** The labels of a vehicle for cables, fuses and switches, on sheets for a printer. */
export const labelRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/jobs/:jobId/labels.pdf', { schema: { params: z.object({ jobId: z.uuid() }), querystring: sheetAsked } }, async (request, reply) => {
      const { vehicle, sheet, first, codes } = request.query;
      const of = await drawn(db, personOf(request).workshopId, request.params.jobId, vehicle);
      if (!of) return reply.code(404).send(NO_JOB);
      const labels = labelsOf(of.design, catalogueOf(of.design), of.assessment);
      return reply
        .header('content-disposition', `inline; filename="${of.file}-labels.pdf"`)
        .type('application/pdf')
        .send(
          await labelsPdf(
            `Labels · ${of.of}, ${of.revision}`,
            labels,
            LABEL_SHEETS[sheet],
            first,
            codes === 'yes' ? labelLink(`${request.protocol}://${request.host}`, request.params.jobId, vehicle) : null,
          ),
        );
    });
  };

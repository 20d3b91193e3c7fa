import { LABEL_SHEET_IDS, type LabelSheetId } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { aside } from '../aside/aside.js';
import type { Database } from '../db/client.js';
import { vehicleAsked } from '../designs/of-vehicle.js';
import { NO_JOB, toDraw } from '../drill/asked.js';
import { personOf, signedIn } from '../http/guard.js';
import type { LabelsAsked } from './work.js';

const labelsFile = aside<LabelsAsked, Uint8Array>(new URL('./work.js', import.meta.url));

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
      const { jobId } = request.params;
      const draw = await toDraw(db, personOf(request).workshopId, jobId, vehicle);
      if (!draw) return reply.code(404).send(NO_JOB);
      return reply
        .header('content-disposition', `inline; filename="${draw.file}-labels.pdf"`)
        .type('application/pdf')
        .send(await labelsFile({ draw, sheet, first, codes: codes === 'yes' ? { origin: `${request.protocol}://${request.host}`, jobId, vehicle } : null }));
    });
  };

import { assessIn, catalogueOf, handOverPack, recordKey, recordsOf, testPlan, vehicleOf } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { designOf, NO_VEHICLE, vehicleAsked } from '../designs/of-vehicle.js';
import { newestRevision } from '../designs/store.js';
import { personOf, signedIn } from '../http/guard.js';
import { picturesOf } from '../photos/store.js';
import { latest, readingsOf } from '../readings/store.js';
import { ticksOf } from '../ticks/store.js';
import { reviewsOf } from '../reviews/store.js';
import { ownWorkshop } from '../workshop/store.js';
import { packPdf } from './paper.js';

/** Photos of a pack at most: it is to be printed and sent by mail. */
const MOST_PICTURES = 36;

export const packRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/jobs/:jobId/pack.pdf', { schema: { params: z.object({ jobId: z.uuid() }), querystring: vehicleAsked } }, async (request, reply) => {
      const person = personOf(request);
      const { jobId } = request.params;
      const found = await db.inWorkshop(person.workshopId, async (tx) => {
        const revision = await newestRevision(tx, jobId);
        return (
          revision && {
            revision,
            readings: latest(await readingsOf(tx, jobId)),
            ticks: await ticksOf(tx, jobId),
            workshop: await ownWorkshop(tx),
            photos: await picturesOf(tx, jobId, MOST_PICTURES),
            reviews: await reviewsOf(tx, jobId),
          }
        );
      });
      if (!found) return reply.code(404).send({ message: 'This job is not in your workshop.' });
      const { vehicle } = request.query;
      const { design: job, number } = found.revision;
      const design = designOf(job, vehicle);
      if (!design) return reply.code(404).send(NO_VEHICLE);
      const own = recordsOf(vehicle, found.readings);
      const values = Object.fromEntries(Object.entries(own).map(([row, r]) => [row, r.value]));
      const taken = Object.fromEntries(Object.entries(own).map(([row, r]) => [row, { value: r.value, at: r.at, by: r.author }]));
      const done = Object.fromEntries(found.ticks.map((t) => [t.stepId, t.done]));
      const ticked = new Set(Object.entries(recordsOf(vehicle, done)).flatMap(([step, is]) => (is ? [step] : [])));
      const left = { readings: taken, plan: testPlan(design, catalogueOf(job)), ticked, reviewed: found.reviews[0] ?? null };
      const assessment = assessIn(job, vehicle, catalogueOf(job), { readings: values });
      const pack = handOverPack(design, assessment, vehicleOf(design).name, left);
      // Those of the vehicle, each with the step or reading that it shows.
      const read = [...assessment.prove, ...(left.plan?.groups.flatMap((g) => g.rows) ?? [])];
      const about = new Map([...assessment.fit.map((s) => [s.id, s.text] as const), ...read.map((r) => [r.id, `Reading: ${r.where}`] as const)].map(([id, says]) => [recordKey(vehicle, id), says]));
      const mark = recordKey(vehicle, '');
      const shown = found.photos.flatMap((p) =>
        about.has(p.about) || p.about === mark ? [{ says: [about.get(p.about) ?? 'The job', p.caption, p.at.slice(0, 10)].filter(Boolean).join(', '), image: p.image }] : [],
      );
      const pdf = await packPdf(pack, found.workshop, number, new Date().toISOString().slice(0, 10), shown);
      const name = `${pack.title.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-pack.pdf`;
      return reply.header('content-disposition', `inline; filename="${name}"`).type('application/pdf').send(pdf);
    });
  };

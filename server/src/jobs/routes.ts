import { settleJobSchema } from '@meridex/contract';
import { STAGES } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { baySheet, createJob, settleJob } from './store.js';

const jobLine = z.object({
  id: z.string(),
  customer: z.string(),
  vehicle: z.string(),
  plate: z.string(),
  promisedOn: z.string().nullable(),
  state: z.string(),
  note: z.string(),
  stages: z.array(z.enum(['hollow', 'half', 'solid'])),
  hold: z.object({ mark: z.enum(['stop', 'look', 'holds', 'waits']), say: z.string() }),
  next: z.object({ stage: z.enum(STAGES), say: z.string() }),
});

const bay = z.object({
  lines: z.array(jobLine),
  buy: z.array(z.object({ what: z.string(), quantity: z.number(), unit: z.string() })),
  care: z.array(z.object({ id: z.string(), customer: z.string(), on: z.string().nullable(), joints: z.number() })),
});

const newJob = z.object({
  customer: z.string().trim().min(1, { message: 'the customer’s name is accepted, such as Bellbird Ranges Mobile Vet' }).max(120),
  promisedOn: z.iso.date({ message: 'a day such as 2026-12-03 is accepted' }).nullable(),
});

export const jobRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/jobs', { schema: { response: { 200: bay } } }, async (request) => {
      const { lines, buy, care } = await db.inWorkshop(personOf(request).workshopId, baySheet);
      return { lines: lines.map((l) => ({ ...l, stages: [...l.stages] })), buy: [...buy], care: [...care] };
    });
    app.post(
      '/api/jobs',
      { preHandler: allowed('open jobs'), schema: { body: newJob, response: { 201: z.object({ id: z.string() }), 403: z.object({ message: z.string() }) } } },
      async (request, reply) => {
        const person = personOf(request);
        const id = await db.inWorkshop(person.workshopId, (tx) => createJob(tx, person.workshopId, person.name, request.body));
        return reply.code(201).send({ id });
      },
    );
    const message = z.object({ message: z.string() });
    app.patch(
      '/api/jobs/:jobId',
      { preHandler: allowed('settle jobs'), schema: { params: z.object({ jobId: z.uuid() }), body: settleJobSchema, response: { 204: z.null(), 403: message, 404: message } } },
      async (request, reply) => {
        const there = await db.inWorkshop(personOf(request).workshopId, (tx) => settleJob(tx, request.params.jobId, request.body));
        return there ? reply.code(204).send(null) : reply.code(404).send({ message: 'This job is not in your workshop.' });
      },
    );
  };

import { STAGES } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { baySheet, createJob } from './store.js';

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
  };

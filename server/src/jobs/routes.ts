import { may, newJobSchema, settleJobSchema } from '@meridex/contract';
import { likeJob, readDesign, STAGES, unsigned } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { newestRevision } from '../designs/store.js';
import { baySheet } from './bay.js';
import { createJob, mayNotLeave, settleJob } from './store.js';

const jobLine = z.object({
  id: z.string(),
  customer: z.string(),
  vehicle: z.string(),
  plate: z.string(),
  promisedOn: z.string().nullable(),
  state: z.string(),
  note: z.string(),
  phone: z.string(),
  stages: z.array(z.enum(['hollow', 'half', 'solid'])),
  hold: z.object({ mark: z.enum(['stop', 'look', 'holds', 'waits']), say: z.string() }),
  next: z.object({ stage: z.enum(STAGES), say: z.string() }),
  minutes: z.number(),
  licensed: z.boolean(),
  partsBy: z.string().nullable(),
});

const bay = z.object({
  lines: z.array(jobLine),
  buy: z.array(z.object({ what: z.string(), quantity: z.number(), unit: z.string() })),
  care: z.array(z.object({ id: z.string(), customer: z.string(), on: z.string().nullable(), what: z.string() })),
  deleted: z.array(z.object({ id: z.string(), customer: z.string() })),
  pending: z.number(),
});

const message = z.object({ message: z.string() });

export const jobRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/jobs', { schema: { response: { 200: bay } } }, async (request) => {
      const { workshopId, role } = personOf(request);
      const { lines, buy, care, deleted, pending } = await db.inWorkshop(workshopId, baySheet);
      const reaches = may(role, 'reach customers');
      return { lines: lines.map((l) => ({ ...l, phone: reaches ? l.phone : '', stages: [...l.stages] })), buy: [...buy], care: [...care], deleted: [...deleted], pending };
    });
    app.post(
      '/api/jobs',
      { preHandler: allowed('open jobs'), schema: { body: newJobSchema, response: { 201: z.object({ id: z.string() }), 403: message, 404: message, 422: message } } },
      async (request, reply) => {
        const person = personOf(request);
        const { customer, promisedOn, from, design: sent } = request.body;
        const read = sent === undefined ? null : readDesign(sent);
        if (read && !read.ok) return reply.code(422).send({ message: `design › ${read.message}` });
        const id = await db.inWorkshop(person.workshopId, async (tx) => {
          const copied = from === undefined ? null : ((await newestRevision(tx, from))?.design ?? 'none');
          if (copied === 'none') return null;
          const sentIn = read?.ok ? (may(person.role, 'sign mains') ? read.design : unsigned(read.design)) : null;
          const like = sentIn ?? copied;
          return createJob(tx, person.workshopId, person.name, { customer, promisedOn, ...(like ? { design: likeJob(like, customer, copied !== null) } : {}) });
        });
        return id === null ? reply.code(404).send({ message: 'The job to copy is not in your workshop.' }) : reply.code(201).send({ id });
      },
    );
    app.patch(
      '/api/jobs/:jobId',
      { preHandler: allowed('settle jobs'), schema: { params: z.object({ jobId: z.uuid() }), body: settleJobSchema, response: { 204: z.null(), 403: message, 404: message, 409: message } } },
      async (request, reply) => {
        const { jobId } = request.params;
        const why = request.body.state === 'handed over' ? await db.inWorkshop(personOf(request).workshopId, (tx) => mayNotLeave(tx, jobId)) : null;
        if (why !== null) return reply.code(409).send({ message: why });
        const there = await db.inWorkshop(personOf(request).workshopId, (tx) => settleJob(tx, jobId, request.body));
        return there ? reply.code(204).send(null) : reply.code(404).send({ message: 'This job is not in your workshop.' });
      },
    );
  };

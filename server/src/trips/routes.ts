import { supplyOf } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { designOf, vehicleAsked } from '../designs/of-vehicle.js';
import { newestRevision } from '../designs/store.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import type { Queue } from '../queue/queue.js';
import { askForTrips, newestTripRun, stopTrips, tripRun, type TripRun } from './store.js';

const message = z.object({ message: z.string() });
const MOST = 100_000;
const share = z.number();
const run = z.object({
  id: z.uuid(),
  revision: z.number(),
  trips: z.number(),
  state: z.enum(['waiting', 'running', 'done', 'stopped', 'failed']),
  done: z.number(),
  result: z
    .object({
      trips: z.number(),
      chanceOff: share,
      off: z.object({ day: z.number(), hour: z.number(), cause: z.enum(['none', 'low volts', 'flat', 'more than the battery can give']), dullDays: z.number(), lockedH: z.number() }).nullable(),
      meanBelowReserveH: z.number(),
      lowestSoc: share,
      p10: z.array(share),
      p50: z.array(share),
      p90: z.array(share),
    })
    .nullable(),
});
const NOT_THERE = { message: 'This is not in your workshop.' };
const shown = (r: TripRun): z.infer<typeof run> => ({ id: r.id, revision: r.revision, trips: r.trips, state: r.state, done: r.done, result: r.result as z.infer<typeof run>['result'] });

/** Many trips on the server: asked for, looked at, stopped. */
export const tripRoutes =
  (db: Database, queue: Queue): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    const ofJob = z.object({ jobId: z.uuid() });
    const byId = z.object({ id: z.uuid() });
    const body = z.object({
      trips: z
        .number()
        .int()
        .min(100, { message: `from 100 to ${MOST} trips are accepted` })
        .max(MOST, { message: `from 100 to ${MOST} trips are accepted` }),
      oneByOne: z.boolean(),
      vehicle: vehicleAsked.shape.vehicle,
    });

    app.post('/api/jobs/:jobId/trips', { preHandler: allowed('plan'), schema: { params: ofJob, body, response: { 202: run, 403: message, 404: message, 422: message } } }, async (request, reply) => {
      const person = personOf(request);
      const { jobId } = request.params;
      const asked = await db.inWorkshop(person.workshopId, async (tx) => {
        const revision = await newestRevision(tx, jobId);
        const design = revision && designOf(revision.design, request.body.vehicle);
        if (!design) return null;
        if (!supplyOf(design).battery.part) return 'no battery' as const;
        return askForTrips(tx, { workshopId: person.workshopId, jobId, revision: revision.number, ...request.body, author: person.name });
      });
      if (!asked) return reply.code(404).send(NOT_THERE);
      if (asked === 'no battery') return reply.code(422).send({ message: 'Trips: this job has no house battery yet; choose one under Supply.' });
      await queue.send('trips', { workshopId: person.workshopId, runId: asked.id });
      return reply.code(202).send(shown(asked));
    });

    app.get('/api/jobs/:jobId/trips', { schema: { params: ofJob, querystring: vehicleAsked, response: { 200: run.nullable() } } }, async (request) => {
      const newest = await db.inWorkshop(personOf(request).workshopId, (tx) => newestTripRun(tx, request.params.jobId, request.query.vehicle));
      return newest && shown(newest);
    });

    app.get('/api/trips/:id', { schema: { params: byId, response: { 200: run, 404: message } } }, async (request, reply) => {
      const found = await db.inWorkshop(personOf(request).workshopId, (tx) => tripRun(tx, request.params.id));
      return found ? shown(found) : reply.code(404).send(NOT_THERE);
    });

    app.post('/api/trips/:id/stop', { preHandler: allowed('plan'), schema: { params: byId, response: { 200: run, 403: message, 404: message } } }, async (request, reply) => {
      const found = await db.inWorkshop(personOf(request).workshopId, async (tx) => {
        await stopTrips(tx, request.params.id);
        return tripRun(tx, request.params.id);
      });
      return found ? shown(found) : reply.code(404).send(NOT_THERE);
    });
  };

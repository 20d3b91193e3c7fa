import { vehicleSchema } from '@meridex/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { keepVehicle, keptVehicle, keptVehicles } from './store.js';

const listed = z.object({ id: z.uuid(), name: z.string(), author: z.string(), at: z.string() });
const message = z.object({ message: z.string() });

/** The workshop's own vehicles: kept, listed, opened. */
export const vehicleRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/vehicles', { schema: { response: { 200: z.array(listed) } } }, (request) => db.inWorkshop(personOf(request).workshopId, keptVehicles));
    app.get('/api/vehicles/:id', { schema: { params: z.object({ id: z.uuid() }), response: { 200: vehicleSchema, 404: message } } }, async (request, reply) => {
      const vehicle = await db.inWorkshop(personOf(request).workshopId, (tx) => keptVehicle(tx, request.params.id));
      return vehicle ?? reply.code(404).send({ message: 'This vehicle is not in your workshop.' });
    });
    app.post('/api/vehicles', { preHandler: allowed('keep parts'), schema: { body: vehicleSchema, response: { 201: listed, 403: z.object({ message: z.string() }) } } }, async (request, reply) => {
      const person = personOf(request);
      const kept = await db.inWorkshop(person.workshopId, (tx) => keepVehicle(tx, { workshopId: person.workshopId, vehicle: request.body, author: person.name }));
      return reply.code(201).send(kept);
    });
  };

import { askedSchema, choiceSchema, countSchema, newPriceListSchema, offersSchema, onShelfSchema, priceListSchema } from '@meridex/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { choose, keepList, listsOf, putAway } from './lists.js';
import { keepCount, onShelf } from './shelf.js';
import { offersOn, SIMULATED } from './supplier.js';

const message = z.object({ message: z.string() });
/** A list of 20,000 lines fits. */
const LIST_BYTES = 6 * 1024 * 1024;

/** What the workshop has on its shelf, what its suppliers ask, and the supplier to try it with. */
export const storesRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    const keeps = allowed('keep parts');
    app.get('/api/shelf', { schema: { querystring: z.object({ but: z.uuid().optional() }), response: { 200: z.array(onShelfSchema) } } }, (request) =>
      db.inWorkshop(personOf(request).workshopId, (tx) => onShelf(tx, request.query.but ?? null)),
    );
    app.put(
      '/api/shelf/:key',
      { preHandler: keeps, schema: { params: z.object({ key: z.string().min(1).max(160) }), body: countSchema, response: { 204: z.null(), 403: message } } },
      async (request, reply) => {
        const { workshopId, name: author } = personOf(request);
        await db.inWorkshop(workshopId, (tx) => keepCount(tx, { workshopId, author, key: request.params.key }, request.body));
        return reply.code(204).send(null);
      },
    );
    app.get('/api/price-lists', { schema: { response: { 200: z.array(priceListSchema) } } }, (request) => db.inWorkshop(personOf(request).workshopId, listsOf));
    app.post(
      '/api/price-lists',
      { bodyLimit: LIST_BYTES, preHandler: keeps, schema: { body: newPriceListSchema, response: { 204: z.null(), 403: message, 422: message } } },
      async (request, reply) => {
        const { workshopId, name: author } = personOf(request);
        if (request.body.supplier === SIMULATED) return reply.code(422).send({ message: `supplier: “${SIMULATED}” is the one that ships to try ordering with; another name is accepted` });
        await db.inWorkshop(workshopId, (tx) => keepList(tx, { workshopId, author }, request.body));
        return reply.code(204).send(null);
      },
    );
    app.delete(
      '/api/price-lists/:supplier',
      { preHandler: keeps, schema: { params: z.object({ supplier: z.string().max(80) }), response: { 204: z.null(), 403: message, 404: message } } },
      async (request, reply) => {
        const done = await db.inWorkshop(personOf(request).workshopId, (tx) => putAway(tx, request.params.supplier));
        return done ? reply.code(204).send(null) : reply.code(404).send({ message: `There is no list of ${request.params.supplier}.` });
      },
    );
    app.put('/api/price-choices', { preHandler: allowed('plan'), schema: { body: choiceSchema, response: { 204: z.null(), 403: message } } }, async (request, reply) => {
      const { workshopId, name: author } = personOf(request);
      await db.inWorkshop(workshopId, (tx) => choose(tx, { workshopId, author, ...request.body }));
      return reply.code(204).send(null);
    });
    app.post('/api/simulated-supplier', { schema: { body: askedSchema, response: { 200: offersSchema } } }, (request) => offersOn(new Date().toISOString().slice(0, 10), request.body.lines));
  };

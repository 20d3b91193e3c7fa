import { contactSchema, JOB_STATES } from '@meridex/contract';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { customersOf, keepContact } from './store.js';

const message = z.object({ message: z.string() });
const job = z.object({ id: z.string(), state: z.enum(JOB_STATES), promisedOn: z.string().nullable(), openedAt: z.string(), vehicleKind: z.string(), plate: z.string() });
const customer = z.object({ id: z.string(), name: z.string(), phone: z.string(), email: z.string(), address: z.string(), note: z.string(), jobs: z.array(job).readonly() });

/** Who the workshop works for: how each is reached, and their jobs over time. */
export const customerRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/customers', { preHandler: allowed('reach customers'), schema: { response: { 200: z.array(customer), 403: message } } }, (request) =>
      db.inWorkshop(personOf(request).workshopId, customersOf),
    );
    app.put(
      '/api/customers/:customerId',
      { preHandler: allowed('settle jobs'), schema: { params: z.object({ customerId: z.uuid() }), body: contactSchema, response: { 204: z.null(), 403: message, 404: message } } },
      async (request, reply) => {
        const { workshopId } = personOf(request);
        const kept = await db.inWorkshop(workshopId, (tx) => keepContact(tx, workshopId, request.params.customerId, request.body));
        return kept ? reply.code(204).send(null) : reply.code(404).send({ message: 'This customer is not in your workshop.' });
      },
    );
  };

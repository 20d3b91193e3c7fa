import type { FastifyError, FastifyInstance } from 'fastify';
import { TookTooLong } from '../aside/aside.js';
import { hasZodFastifySchemaValidationErrors } from 'fastify-type-provider-zod';

/** Answers bad input with the field and what is accepted, and hides the inside of a bug from the outside. */
export function sayErrors(app: FastifyInstance): void {
  app.setErrorHandler((error: FastifyError, request, reply) => {
    if (hasZodFastifySchemaValidationErrors(error)) {
      const first = error.validation[0];
      const field = first?.instancePath.replace(/^\//, '').replace(/\//g, ' › ') || 'the request';
      return reply.code(400).send({ message: `${field}: ${first?.message ?? 'not accepted'}` });
    }
    if (error instanceof TookTooLong || (error.statusCode && error.statusCode < 500)) return reply.code(error.statusCode ?? 500).send({ message: error.message });
    request.log.error(error);
    return reply.code(500).send({ message: 'Meridex failed at this; what you typed is kept on your side. The workshop’s log says more.' });
  });
}

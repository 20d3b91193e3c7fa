import type { FastifyInstance } from 'fastify';

const ONE_YEAR_S = 365 * 24 * 3600;

/** Tells browsers that reached the server by TLS to come by nothing else for a year; one on a plain address is not told, it has nothing else. */
export function stayOnTls(app: FastifyInstance): void {
  app.addHook('onRequest', async (request, reply) => {
    if (request.protocol === 'https') reply.header('strict-transport-security', `max-age=${ONE_YEAR_S}`);
  });
}

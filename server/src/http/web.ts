import fastifyStatic from '@fastify/static';
import type { FastifyInstance } from 'fastify';

/** Serves the built application; any other page address gets its first page, so that links into a job work. */
export async function serveWeb(app: FastifyInstance, root: string): Promise<void> {
  await app.register(fastifyStatic, { root, wildcard: false, cacheControl: true, maxAge: 0 });
  app.setNotFoundHandler((request, reply) => {
    const page = request.method === 'GET' && !request.url.startsWith('/api/') && (request.headers.accept ?? '').includes('text/html');
    return page ? reply.sendFile('index.html') : reply.code(404).send({ message: 'There is nothing at this address.' });
  });
}

import fastifyStatic from '@fastify/static';
import type { FastifyInstance } from 'fastify';

const HASHED = /(?:\/(?:chunk|main|styles|worker)-|\/media\/.+-)[\w-]{8}\.\w+$/;

/** Whether a built file's name changes with what is in it: fetched once, kept for good. @example isKeptForGood('/dist/chunk-Bh_oJa3D.js') // true */
export const isKeptForGood = (path: string): boolean => HASHED.test(path);

/** Serves the built application; any other page address gets its first page, so that links into a job work. */
export async function serveWeb(app: FastifyInstance, root: string): Promise<void> {
  await app.register(fastifyStatic, {
    root,
    wildcard: false,
    cacheControl: false,
    setHeaders: (reply, path) => void reply.header('cache-control', isKeptForGood(path) ? 'public, max-age=31536000, immutable' : 'no-cache'),
  });
  app.setNotFoundHandler((request, reply) => {
    const page = request.method === 'GET' && !request.url.startsWith('/api/') && (request.headers.accept ?? '').includes('text/html');
    return page ? reply.sendFile('index.html') : reply.code(404).send({ message: 'There is nothing at this address.' });
  });
}

import type { FastifyInstance } from 'fastify';

const READS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Whether a page of this address may ask this host to write; a caller that is no page (no `Origin`) has no cookies of a browser to misuse. @example fromHere('http://127.0.0.1:4200', '127.0.0.1:4200') // true */
export function fromHere(origin: string | undefined, host: string): boolean {
  if (origin === undefined) return true;
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

/** Refuses writes that a page of another address asks for, whatever cookies come along. */
export function refuseOtherPages(app: FastifyInstance): void {
  app.addHook('onRequest', async (request, reply) => {
    if (READS.has(request.method) || fromHere(request.headers.origin, request.host)) return;
    await reply.code(403).send({ message: 'A page of another address may not write here.' });
  });
}

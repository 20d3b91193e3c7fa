import type { FastifyReply, FastifyRequest } from 'fastify';
import { personByToken, type Person } from '../accounts/store.js';
import type { Database } from '../db/client.js';

export const COOKIE = 'meridex_session';

declare module 'fastify' {
  interface FastifyRequest {
    person: Person | null;
  }
}

/** Fills `request.person` from the session cookie, and turns away who is not signed in. */
export function signedIn(db: Database) {
  return async (request: FastifyRequest, reply: FastifyReply): Promise<void> => {
    const token = request.cookies[COOKIE];
    request.person = token ? await personByToken(db, token) : null;
    if (!request.person) await reply.code(401).send({ message: 'Sign in first.' });
  };
}

/** The person of a guarded route. */
export function personOf(request: FastifyRequest): Person {
  if (!request.person) throw new Error('route without guard');
  return request.person;
}

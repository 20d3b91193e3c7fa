import { type Deed, mayNot } from '@meridex/contract';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { personByToken, SESSION_DAYS, type Person } from '../accounts/store.js';
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

/** Turns away whose role may not do something, with who may. */
export const allowed =
  (deed: Deed) =>
  async (request: FastifyRequest, reply: FastifyReply): Promise<void> => {
    const words = mayNot(personOf(request).role, deed);
    if (words !== null) await reply.code(403).send({ message: words });
  };

/** What a request comes from, as far as a browser says it: a phone or tablet, else a desk. */
export const browserOf = ({ headers }: FastifyRequest): string => (headers['sec-ch-ua-mobile'] === '?1' || /Mobi/.test(headers['user-agent'] ?? '') ? 'phone or tablet' : 'desk');

/** Gives the browser its session: kept from scripts and other sites, over TLS from plain connections too. */
export function giveSession(reply: FastifyReply, token: string): FastifyReply {
  return reply.setCookie(COOKIE, token, { path: '/', httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: SESSION_DAYS * 86400 });
}

import type { FastifyInstance } from 'fastify';

const LONE_SURROGATE = /\p{Surrogate}/u;

/** Where in a value a text stands that no database keeps, and what is wrong with it; null: nowhere. */
export function unkeepable(value: unknown, at: readonly string[] = []): { readonly at: string; readonly what: string } | null {
  if (typeof value === 'string') {
    if (value.includes('\0')) return { at: at.join(' › '), what: 'a NUL character' };
    return LONE_SURROGATE.test(value) ? { at: at.join(' › '), what: 'half of a character (a lone surrogate)' } : null;
  }
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, inside] of Object.entries(value)) {
    const found = unkeepable(key, [...at, 'a name']) ?? unkeepable(inside, [...at, key]);
    if (found) return found;
  }
  return null;
}

/** Refuses a body with such a text in words, before it fails in the database as if the server were ill. */
export function refuseUnkeepable(app: FastifyInstance): void {
  app.addHook('preValidation', async (request, reply) => {
    const found = unkeepable(request.body);
    if (found) await reply.code(422).send({ message: `${found.at || 'the request'}: got ${found.what}; text of whole characters is accepted` });
  });
}

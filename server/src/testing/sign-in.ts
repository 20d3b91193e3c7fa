import type { FastifyInstance } from 'fastify';

/** Signs in and gives the cookie to send along. */
export async function signIn(app: FastifyInstance, email: string, password: string): Promise<string> {
  const reply = await app.inject({ method: 'POST', url: '/api/session', payload: { email, password } });
  return reply.headers['set-cookie']!.toString().split(';')[0]!;
}

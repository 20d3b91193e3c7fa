import type { FastifyInstance, LightMyRequestResponse } from 'fastify';
import { hashPassword } from '../accounts/password.js';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/load.js';
import { addWorkshop, freshDatabase, type TestDatabase } from './database.js';
import { signIn } from './sign-in.js';

/** A server with the demo workshop and another one, both signed in. */
export interface TwoWorkshops {
  readonly database: TestDatabase;
  readonly app: FastifyInstance;
  /** The demo’s owner, and somebody of the other workshop. */
  readonly cookie: string;
  readonly other: string;
  /** A job of the demo. */
  readonly job: string;
  /** Asks as the demo’s owner, or as somebody else. */
  call(method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE', url: string, payload?: object, as?: string): Promise<LightMyRequestResponse>;
  close(): Promise<void>;
}

export async function twoWorkshops(): Promise<TwoWorkshops> {
  const database = await freshDatabase(true);
  const app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
  await addWorkshop(database.ownerUrl, 'other@shed.example', await hashPassword('other-secret'));
  const [cookie, other] = [await signIn(app, DEMO.email, DEMO.password), await signIn(app, 'other@shed.example', 'other-secret')];
  const call: TwoWorkshops['call'] = (method, url, payload, as = cookie) => app.inject({ method, url, headers: { cookie: as }, ...(payload ? { payload } : {}) });
  const { lines } = (await call('GET', '/api/jobs')).json<{ lines: { id: string }[] }>();
  return {
    database,
    app,
    cookie,
    other,
    job: lines[0]!.id,
    call,
    close: async () => {
      await app.close();
      await database.drop();
    },
  };
}

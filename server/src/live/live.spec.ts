import type { LiveEvent } from '@meridex/contract';
import type { FastifyInstance } from 'fastify';
import pg from 'pg';
import { hashPassword } from '../accounts/password.js';
import { buildApp } from '../app.js';
import { openDatabase } from '../db/client.js';
import { DEMO } from '../demo/load.js';
import { addWorkshop, freshDatabase, type TestDatabase } from '../testing/database.js';
import { signIn } from '../testing/sign-in.js';

/** A stream as a browser has it: what was heard so far, and when the next that fits comes. */
class Ear {
  readonly heard: LiveEvent[] = [];
  ended = false;
  private readonly stop = new AbortController();

  async open(url: string, cookie: string): Promise<number> {
    const answer = await fetch(url, { headers: { cookie, accept: 'text/event-stream' }, signal: this.stop.signal });
    if (answer.ok) void this.listen(answer.body!.pipeThrough(new TextDecoderStream()));
    return answer.status;
  }

  close(): void {
    this.stop.abort();
  }

  async until(fits: () => boolean): Promise<void> {
    for (let i = 0; i < 400 && !fits(); i++) await new Promise((resolve) => setTimeout(resolve, 20));
    expect(fits()).withContext(JSON.stringify(this.heard)).toBeTrue();
  }

  private async listen(stream: ReadableStream<string>): Promise<void> {
    let text = '';
    try {
      const reader = stream.getReader();
      for (let part = await reader.read(); !part.done; part = await reader.read()) {
        text += part.value;
        const whole = text.split('\n\n');
        text = whole.pop()!;
        for (const message of whole) if (message.includes('data: ')) this.heard.push(JSON.parse(message.slice(message.indexOf('data: ') + 6)) as LiveEvent);
      }
    } catch {
      // Closed by the one who listens.
    }
    this.ended = true;
  }
}

describe('a job, live', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let [address, cookie, other, job] = ['', '', '', ''];
  const ears: Ear[] = [];
  const listen = async (as = cookie, tab = crypto.randomUUID(), at = address): Promise<{ ear: Ear; status: number; tab: string }> => {
    const ear = new Ear();
    ears.push(ear);
    const status = await ear.open(`${at}/api/jobs/${job}/live?tab=${tab}`, as);
    if (status === 200) await ear.until(() => ear.heard.some((e) => e.what === 'came' && e.tab === tab));
    return { ear, status, tab };
  };
  const post = (path: string, payload: object, as = cookie) => app.inject({ method: 'POST', url: `/api/jobs/${job}/${path}`, headers: { cookie: as }, payload });

  beforeAll(async () => {
    database = await freshDatabase(true);
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
    address = await app.listen({ port: 0 });
    await addWorkshop(database.ownerUrl, 'other@shed.example', await hashPassword('other-secret'));
    [cookie, other] = [await signIn(app, DEMO.email, DEMO.password), await signIn(app, 'other@shed.example', 'other-secret')];
    job = (await app.inject({ url: '/api/jobs', headers: { cookie } })).json<{ lines: { id: string }[] }>().lines[0]!.id;
  }, 60_000);
  afterEach(() => {
    for (const e of ears.splice(0)) e.close();
  });
  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  it('is heard: revisions by number, ticks, readings, once they are kept and not when they are refused', async () => {
    const { ear } = await listen();
    const patch = [{ op: 'replace', path: '/brief/notes', value: 'heard' }];
    expect((await post('revisions', { base: 1, clientId: crypto.randomUUID(), patch: [{ op: 'replace', path: '/brief/notes', value: 7 }] })).statusCode).toBe(422);
    const { number } = (await post('revisions', { base: 1, clientId: crypto.randomUUID(), patch })).json<{ number: number }>();
    await post('ticks', { id: crypto.randomUUID(), stepId: 's', done: true });
    await post('readings', { id: crypto.randomUUID(), rowId: 'r', value: 12.4, unit: 'V', revision: 1 });
    await ear.until(() => ear.heard.some((e) => e.what === 'reading'));
    expect(ear.heard.filter((e) => e.what !== 'came' && e.what !== 'left')).toEqual([{ what: 'revision', number }, { what: 'tick' }, { what: 'reading' }]);
  });

  it('tells who came, where each is, and who left', async () => {
    const first = await listen();
    const second = await listen();
    await first.ear.until(() => first.ear.heard.some((e) => e.what === 'came' && e.tab === second.tab));
    await post('here', { tab: second.tab, stage: 'runs', row: 'load-l1' });
    await first.ear.until(() => first.ear.heard.some((e) => e.what === 'here'));
    expect(first.ear.heard.at(-1)).toEqual({ what: 'here', name: DEMO.name, tab: second.tab, stage: 'runs', row: 'load-l1' });
    second.ear.close();
    await first.ear.until(() => first.ear.heard.some((e) => e.what === 'left' && e.tab === second.tab));
  });

  it('is nobody’s of another workshop, nor of who is not signed in', async () => {
    expect((await listen(other)).status).toBe(404);
    expect((await listen('')).status).toBe(401);
    expect((await post('here', { tab: crypto.randomUUID(), stage: 'runs', row: null }, other)).statusCode).toBe(404);
  });

  it('is heard through another server on the same database', async () => {
    const db = openDatabase(database.appUrl);
    const second = await buildApp({ db, queue: database.queue, webRoot: null });
    const { ear } = await listen(cookie, crypto.randomUUID(), await second.listen({ port: 0 }));
    await post('ticks', { id: crypto.randomUUID(), stepId: 't', done: true });
    await ear.until(() => ear.heard.some((e) => e.what === 'tick'));
    // A server that ends leaves nobody hanging.
    await second.close();
    await ear.until(() => ear.ended);
    await db.close();
  });

  it('asks to read all again when its connection to the database was cut', async () => {
    const { ear } = await listen();
    const client = new pg.Client({ connectionString: database.ownerUrl });
    await client.connect();
    await client.query("select pg_terminate_backend(pid) from pg_stat_activity where query ilike 'listen meridex_live%' and datname = current_database()");
    await client.end();
    await ear.until(() => ear.heard.some((e) => e.what === 'missed'));
    await post('ticks', { id: crypto.randomUUID(), stepId: 'u', done: true });
    await ear.until(() => ear.heard.some((e) => e.what === 'tick'));
  });

  it('ends for who is signed out meanwhile', async () => {
    const quick = await buildApp({ db: database.db, queue: database.queue, webRoot: null, lookMs: 50 });
    const phone = await signIn(quick, DEMO.email, DEMO.password);
    const { ear } = await listen(phone, crypto.randomUUID(), await quick.listen({ port: 0 }));
    await quick.inject({ method: 'DELETE', url: '/api/session', headers: { cookie: phone } });
    await ear.until(() => ear.ended);
    await quick.close();
  });
});

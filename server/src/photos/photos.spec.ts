import { PHOTO_BYTES, type Photo } from '@meridex/contract';
import type { FastifyInstance } from 'fastify';
import { hashPassword } from '../accounts/password.js';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/load.js';
import { addWorkshop, freshDatabase, type TestDatabase } from '../testing/database.js';
import { jpegOf, jpegs } from '../testing/jpeg.js';
import { signIn } from '../testing/sign-in.js';

describe('photos', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let [cookie, other, job] = ['', '', ''];
  const call = (method: 'GET' | 'POST' | 'PATCH', url: string, payload?: object, as = cookie) => app.inject({ method, url, headers: { cookie: as }, ...(payload ? { payload } : {}) });
  const send = (photo: object, as = cookie) => call('POST', `/api/jobs/${job}/photos`, { id: crypto.randomUUID(), about: 'step:pull-1', caption: '', ...jpegs(), ...photo }, as);
  const listed = async (): Promise<Photo[]> => (await call('GET', `/api/jobs/${job}/photos`)).json<Photo[]>();

  beforeAll(async () => {
    database = await freshDatabase(true);
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
    await addWorkshop(database.ownerUrl, 'other@shed.example', await hashPassword('other-secret'));
    [cookie, other] = [await signIn(app, DEMO.email, DEMO.password), await signIn(app, 'other@shed.example', 'other-secret')];
    job = (await call('GET', '/api/jobs')).json<{ lines: { id: string }[] }>().lines[0]!.id;
  }, 60_000);
  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  it('are kept once, listed with their small picture, and come back bit by bit as pictures and nothing else', async () => {
    const id = crypto.randomUUID();
    for (let i = 0; i < 2; i++) expect((await send({ id, caption: 'the gland' })).statusCode).toBe(204);
    const mine = (await listed()).filter((p) => p.id === id);
    expect(mine.map((p) => [p.about, p.caption, p.small, p.author])).toEqual([['step:pull-1', 'the gland', jpegs().small, DEMO.name]]);
    const picture = await call('GET', `/api/photos/${id}`);
    expect(picture.rawPayload.equals(jpegOf(1600, 1200))).toBeTrue();
    expect(picture.headers).toEqual(jasmine.objectContaining({ 'content-type': 'image/jpeg', 'x-content-type-options': 'nosniff', 'content-security-policy': "default-src 'none'; sandbox" }));
  });

  it('are taken off the list and back, and never lost', async () => {
    const id = crypto.randomUUID();
    await send({ id });
    const there = async (): Promise<boolean> => (await listed()).some((p) => p.id === id);
    await call('PATCH', `/api/photos/${id}`, { takenAway: true });
    expect(await there()).toBeFalse();
    await call('PATCH', `/api/photos/${id}`, { takenAway: false });
    expect(await there()).toBeTrue();
  });

  it('are printed in the pack', async () => {
    const pack = async (): Promise<number> => (await call('GET', `/api/jobs/${job}/pack.pdf`)).rawPayload.length;
    const plain = await pack();
    await send({ about: '' });
    expect(await pack()).toBeGreaterThan(plain + 200);
  }, 30_000);

  it('are refused with the field where they are none, too large, or too wide', async () => {
    const page = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>').toString('base64');
    for (const [photo, status, says] of [
      [{ image: page }, 422, 'image: a JPEG is accepted, as the page makes it of any photo'],
      [{ small: jpegs().image }, 422, 'small: got 1600 × 1200 px; up to 240 px a side are accepted'],
      [{ image: jpegOf(4000, 3000).toString('base64') }, 422, 'image: got 4000 × 3000 px; up to 1600 px a side are accepted'],
      [{ image: 'no picture!' }, 400, 'image: a JPEG in base64 is accepted'],
      [{ image: Buffer.alloc(PHOTO_BYTES.large + 4).toString('base64') }, 400, 'image: up to 1000 kB are accepted'],
    ] as const) {
      const r = await send(photo);
      expect([r.statusCode, r.json<{ message: string }>().message]).toEqual([status, says]);
    }
  });

  it('are nobody’s of another workshop', async () => {
    const id = crypto.randomUUID();
    await send({ id });
    expect((await send({}, other)).statusCode).toBe(404);
    expect((await call('GET', `/api/photos/${id}`, undefined, other)).statusCode).toBe(404);
    expect((await call('PATCH', `/api/photos/${id}`, { takenAway: true }, other)).statusCode).toBe(404);
    expect((await call('GET', `/api/jobs/${job}/photos`, undefined, other)).json()).toEqual([]);
  });
});

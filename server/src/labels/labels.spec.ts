import { assess, catalogueOf, labelsOf, LABEL_SHEETS, placesOn, type Design } from '@meridex/core';
import type { FastifyInstance } from 'fastify';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/load.js';
import { freshDatabase, type TestDatabase } from '../testing/database.js';
import { textsIn } from '../testing/pdf.js';
import { signIn } from '../testing/sign-in.js';

const A4_H_MM = 297;

describe('the labels of a job on paper', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let cookie: string;
  let job: string;
  let count: number;
  const get = (url: string) => app.inject({ url, headers: { cookie } });

  beforeAll(async () => {
    database = await freshDatabase(true);
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
    cookie = await signIn(app, DEMO.email, DEMO.password);
    const { lines } = (await get('/api/jobs')).json<{ lines: { id: string; customer: string }[] }>();
    job = lines.find((l) => l.customer === 'Bellbird Ranges Mobile Vet')!.id;
    const { design } = (await get(`/api/jobs/${job}/design`)).json<{ design: Design }>();
    count = labelsOf(design, catalogueOf(design), assess(design, catalogueOf(design))).length;
  }, 60_000);

  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  it('lie each in its own place on the sheet, on as many sheets as they take', async () => {
    for (const [id, sheet] of Object.entries(LABEL_SHEETS)) {
      const answer = await get(`/api/jobs/${job}/labels.pdf?sheet=${id}&first=5`);
      expect([answer.statusCode, answer.headers['content-type']]).toEqual([200, 'application/pdf']);
      const texts = textsIn(answer.rawPayload);
      const places = placesOn(sheet, count, 5);
      expect(Math.max(...texts.map((t) => t.sheet))).toBe(places.at(-1)!.page + 1);
      const within = places.map((p) => texts.filter((t) => t.sheet === p.page + 1 && t.x >= p.xMm && t.x < p.xMm + sheet.wMm && A4_H_MM - t.y >= p.yMm && A4_H_MM - t.y < p.yMm + sheet.hMm).length);
      // A mark and at least one line on every label, and nothing beside them.
      expect(Math.min(...within)).toBeGreaterThanOrEqual(2);
      expect(within.reduce((a, b) => a + b, 0)).toBe(texts.length);
    }
  });

  it('bear codes where that is asked for, which leave the words their place', async () => {
    const [plain, coded] = [await get(`/api/jobs/${job}/labels.pdf`), await get(`/api/jobs/${job}/labels.pdf?codes=yes`)];
    expect(textsIn(coded.rawPayload).length).toBe(textsIn(plain.rawPayload).length);
    expect(coded.rawPayload.length).toBeGreaterThan(1.5 * plain.rawPayload.length);
    const odd = await get(`/api/jobs/${job}/labels.pdf?codes=maybe`);
    expect([odd.statusCode, odd.json<{ message: string }>().message]).toEqual([400, jasmine.stringContaining('yes and no are accepted')] as never);
  });

  it('refuse a sheet that nobody sells, a first label that is none, and a job of others, in words', async () => {
    const odd = await get(`/api/jobs/${job}/labels.pdf?sheet=huge`);
    expect([odd.statusCode, odd.json<{ message: string }>().message]).toEqual([400, jasmine.stringContaining('large, middle, small are accepted')] as never);
    const none = await get(`/api/jobs/${job}/labels.pdf?first=0`);
    expect([none.statusCode, none.json<{ message: string }>().message]).toEqual([400, jasmine.stringContaining('from 1 is accepted')] as never);
    expect((await get(`/api/jobs/${crypto.randomUUID()}/labels.pdf`)).statusCode).toBe(404);
    expect((await app.inject({ url: `/api/jobs/${job}/labels.pdf` })).statusCode).toBe(401);
  });
});

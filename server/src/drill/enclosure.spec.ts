import { assess, boxGear, catalogueOf, patchBetween, type Design, type Enclosure } from '@meridex/core';
import type { FastifyInstance } from 'fastify';
import { buildApp } from '../app.js';
import { DEMO } from '../demo/load.js';
import { freshDatabase, type TestDatabase } from '../testing/database.js';
import { circlesIn, drawnIn, linesIn } from '../testing/pdf.js';
import { signIn } from '../testing/sign-in.js';

const [A3_H_MM, MARGIN_MM] = [420, 10];

describe('the sheets of a box', () => {
  let database: TestDatabase;
  let app: FastifyInstance;
  let cookie: string;
  let job: string;
  let box: Enclosure;
  const get = (url: string) => app.inject({ url, headers: { cookie } });

  beforeAll(async () => {
    database = await freshDatabase(true);
    app = await buildApp({ db: database.db, queue: database.queue, webRoot: null });
    cookie = await signIn(app, DEMO.email, DEMO.password);
    const { lines } = (await get('/api/jobs')).json<{ lines: { id: string; customer: string }[] }>();
    job = lines.find((l) => l.customer === 'Two Creeks Bookmobile')!.id;
    const { number, design } = (await get(`/api/jobs/${job}/design`)).json<{ number: number; design: Design }>();
    const boxed = boxGear(design, catalogueOf(design), ['house'], { name: 'battery box', weather: 'dry', airMm: 40, sealed: true });
    if (!boxed.ok) throw new Error(boxed.message);
    const kept = await app.inject({
      method: 'POST',
      url: `/api/jobs/${job}/revisions`,
      headers: { cookie },
      payload: { base: number, patch: patchBetween(design, boxed.design), clientId: crypto.randomUUID() },
    });
    expect(kept.statusCode).toBe(200);
    [box] = assess(boxed.design, catalogueOf(design)).enclosures as [Enclosure];
  }, 60_000);

  afterAll(async () => {
    await app?.close();
    await database?.drop();
  });

  it('are drawn at 1:1 on paper, each hole as wide and where it is to be, with a line to measure the print by', async () => {
    const answer = await get(`/api/jobs/${job}/boxes/${box.zone}/sheets.pdf?paper=A3`);
    expect([answer.statusCode, answer.headers['content-type']]).toEqual([200, 'application/pdf']);
    const drawn = drawnIn(answer.rawPayload);
    const circles = circlesIn(drawn).map((c) => ({ ...c, x: c.x - MARGIN_MM, up: c.y }));
    expect(linesIn(drawn).filter((l) => Math.abs(l.lengthMm - 100) < 0.05).length).toBeGreaterThanOrEqual(box.sheets.length);
    for (const s of box.sheets)
      for (const h of s.holes) {
        // Upper left tile: measured from the sheet's upper edge.
        const there = circles.some((c) => Math.abs(c.diameterMm - h.diameterMm) < 0.05 && Math.abs(A3_H_MM - MARGIN_MM - c.up - (s.hMm - h.y)) < 0.05 && Math.abs(c.x - h.x) < 0.05);
        expect(there || h.x > 250 || s.hMm - h.y > 360)
          .withContext(`${s.name}: ${h.name}`)
          .toBeTrue();
      }
  });

  it('stand side by side in one drawing for a machine, with every hole', async () => {
    const answer = await get(`/api/jobs/${job}/boxes/${box.zone}/sheets.dxf`);
    expect(answer.headers['content-disposition']).toMatch(/attachment; filename="two-creeks-bookmobile-[a-z0-9-]+\.dxf"/);
    const words = answer.body.split(/\r?\n/).map((l) => l.trim());
    expect(words.filter((w, i) => w === 'CIRCLE' && words[i - 1] === '0').length).toBe(box.sheets.flatMap((s) => s.holes).length);
    expect(words.filter((w) => w === 'LWPOLYLINE').length).toBe(box.sheets.length);
  });

  it('are refused in words where there is no such box, paper or job', async () => {
    const missing = await get(`/api/jobs/${job}/boxes/attic/sheets.pdf`);
    expect([missing.statusCode, missing.json<{ message: string }>().message]).toEqual([404, 'This job has no such box; build one round gear under Places.']);
    expect((await get(`/api/jobs/${job}/boxes/${box.zone}/sheets.pdf?paper=B5`)).statusCode).toBe(400);
    expect((await get(`/api/jobs/${crypto.randomUUID()}/boxes/attic/sheets.dxf`)).json<{ message: string }>().message).toBe('This job is not in your workshop.');
  });
});

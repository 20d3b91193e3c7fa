import { PHOTO_BYTES, type Photo } from '@meridex/contract';
import { DEMO } from '../demo/load.js';
import { jpegOf, jpegs } from '../testing/jpeg.js';
import { twoWorkshops, type TwoWorkshops } from '../testing/workshops.js';

describe('photos', () => {
  let shed: TwoWorkshops;
  const send = (photo: object, as = shed.cookie) => shed.call('POST', `/api/jobs/${shed.job}/photos`, { id: crypto.randomUUID(), about: 'step:pull-1', caption: '', ...jpegs(), ...photo }, as);
  const listed = async (): Promise<Photo[]> => (await shed.call('GET', `/api/jobs/${shed.job}/photos`)).json<Photo[]>();

  beforeAll(async () => {
    shed = await twoWorkshops();
  }, 60_000);
  afterAll(() => shed?.close());

  it('are kept once, listed with their small picture, and come back bit by bit as pictures and nothing else', async () => {
    const id = crypto.randomUUID();
    for (let i = 0; i < 2; i++) expect((await send({ id, caption: 'the gland' })).statusCode).toBe(204);
    const mine = (await listed()).filter((p) => p.id === id);
    expect(mine.map((p) => [p.about, p.caption, p.small, p.author])).toEqual([['step:pull-1', 'the gland', jpegs().small, DEMO.name]]);
    const picture = await shed.call('GET', `/api/photos/${id}`);
    expect(picture.rawPayload.equals(jpegOf(1600, 1200))).toBeTrue();
    expect(picture.headers).toEqual(jasmine.objectContaining({ 'content-type': 'image/jpeg', 'x-content-type-options': 'nosniff', 'content-security-policy': "default-src 'none'; sandbox" }));
  });

  it('are taken off the list and back, and never lost', async () => {
    const id = crypto.randomUUID();
    await send({ id });
    const there = async (): Promise<boolean> => (await listed()).some((p) => p.id === id);
    await shed.call('PATCH', `/api/photos/${id}`, { takenAway: true });
    expect(await there()).toBeFalse();
    await shed.call('PATCH', `/api/photos/${id}`, { takenAway: false });
    expect(await there()).toBeTrue();
  });

  it('are told anew what they show, whose words the pack prints', async () => {
    const id = crypto.randomUUID();
    await send({ id, about: '' });
    const caption = async (): Promise<string | undefined> => (await listed()).find((p) => p.id === id)?.caption;
    expect((await shed.call('PATCH', `/api/photos/${id}`, { caption: '  gland of the main lead ' })).statusCode).toBe(204);
    expect(await caption()).toBe('gland of the main lead');
    expect((await shed.call('PATCH', `/api/photos/${id}`, { takenAway: false })).statusCode).toBe(204);
    expect(await caption()).toBe('gland of the main lead');
    const long = await shed.call('PATCH', `/api/photos/${id}`, { caption: 'x'.repeat(161) });
    expect([long.statusCode, long.json<{ message: string }>().message]).toEqual([400, 'caption: up to 160 letters are accepted']);
    expect((await shed.call('PATCH', `/api/photos/${id}`, {})).statusCode).toBe(400);
    await shed.call('PATCH', `/api/photos/${id}`, { takenAway: true });
  });

  it('are printed in the pack: of the job, and of a reading', async () => {
    const pack = async (): Promise<number> => (await shed.call('GET', `/api/jobs/${shed.job}/pack.pdf`)).rawPayload.length;
    const plain = await pack();
    await send({ about: '' });
    const one = await pack();
    expect(one).toBeGreaterThan(plain + 200);
    await send({ about: 'house-rest' });
    expect(await pack()).toBeGreaterThan(one + 200);
    // What it shows is no longer of the plan.
    const two = await pack();
    await send({ about: 'step-that-is-gone' });
    expect(Math.abs((await pack()) - two)).toBeLessThan(200);
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
    expect((await send({}, shed.other)).statusCode).toBe(404);
    expect((await shed.call('GET', `/api/photos/${id}`, undefined, shed.other)).statusCode).toBe(404);
    expect((await shed.call('PATCH', `/api/photos/${id}`, { takenAway: true }, shed.other)).statusCode).toBe(404);
    expect((await shed.call('GET', `/api/jobs/${shed.job}/photos`, undefined, shed.other)).json()).toEqual([]);
  });
});

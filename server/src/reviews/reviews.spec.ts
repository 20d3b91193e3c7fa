import type { Review } from '@meridex/contract';
import { DEMO } from '../demo/load.js';
import { twoWorkshops, type TwoWorkshops } from '../testing/workshops.js';

describe('reviews', () => {
  let shed: TwoWorkshops;
  const give = (change: object = {}, as = shed.cookie) => shed.call('POST', `/api/jobs/${shed.job}/reviews`, { id: crypto.randomUUID(), revision: 1, note: 'sound', ...change }, as);
  const listed = async (as = shed.cookie): Promise<Review[]> => (await shed.call('GET', `/api/jobs/${shed.job}/reviews`, undefined, as)).json<Review[]>();

  beforeAll(async () => {
    shed = await twoWorkshops();
  }, 60_000);
  afterAll(() => shed?.close());

  it('are kept once, with who gave them and of which revision, the newest first', async () => {
    const id = crypto.randomUUID();
    for (let i = 0; i < 2; i++) expect((await give({ id, note: ' fuse of the fridge looked at ' })).statusCode).toBe(204);
    await give({ note: '' });
    expect((await listed()).map((r) => [r.revision, r.note, r.author])).toEqual([
      [1, '', DEMO.name],
      [1, 'fuse of the fridge looked at', DEMO.name],
    ]);
  });
  it('are of a revision that is there, and no essay', async () => {
    expect((await give({ revision: 9 })).json<{ message: string }>().message).toBe('revision: 9 is not there yet; up to 1 is accepted');
    expect((await give({ note: 'x'.repeat(1001) })).json<{ message: string }>().message).toBe('note: up to 1000 letters are accepted');
  });
  it('are nobody’s of another workshop', async () => {
    expect((await give({}, shed.other)).statusCode).toBe(404);
    expect(await listed(shed.other)).toEqual([]);
  });
});

import type { Comment } from '@meridex/contract';
import { DEMO } from '../demo/load.js';
import { twoWorkshops, type TwoWorkshops } from '../testing/workshops.js';

describe('comments', () => {
  let shed: TwoWorkshops;
  const say = (text: string, id: string = crypto.randomUUID(), as = shed.cookie) => shed.call('POST', `/api/jobs/${shed.job}/comments`, { id, about: 'start-charger', text }, as);
  const listed = async (as = shed.cookie): Promise<Comment[]> => (await shed.call('GET', `/api/jobs/${shed.job}/comments`, undefined, as)).json<Comment[]>();

  beforeAll(async () => {
    shed = await twoWorkshops();
  }, 60_000);
  afterAll(() => shed?.close());

  it('are kept once, with who said it, and settled and unsettled by name', async () => {
    const id = crypto.randomUUID();
    for (let i = 0; i < 2; i++) expect((await say('is that fuse in reach?', id)).statusCode).toBe(204);
    const mine = async (): Promise<Comment[]> => (await listed()).filter((c) => c.id === id);
    expect((await mine()).map((c) => [c.about, c.text, c.author, c.settledBy])).toEqual([['start-charger', 'is that fuse in reach?', DEMO.name, null]]);
    await shed.call('PATCH', `/api/comments/${id}`, { settled: true });
    expect((await mine())[0]!.settledBy).toBe(DEMO.name);
    await shed.call('PATCH', `/api/comments/${id}`, { settled: false });
    expect((await mine())[0]!.settledBy).toBeNull();
  });

  it('are refused empty or endless, with the field', async () => {
    expect((await say('  ')).json<{ message: string }>().message).toBe('text: what is to be said is accepted');
    expect((await say('x'.repeat(2001))).json<{ message: string }>().message).toBe('text: up to 2000 letters are accepted');
  });

  it('are nobody’s of another workshop', async () => {
    const id = crypto.randomUUID();
    await say('ours', id);
    expect((await say('theirs', crypto.randomUUID(), shed.other)).statusCode).toBe(404);
    expect((await shed.call('PATCH', `/api/comments/${id}`, { settled: true }, shed.other)).statusCode).toBe(404);
    expect(await listed(shed.other)).toEqual([]);
  });
});

import type { KeptWeek } from '@meridex/contract';
import { type ShopWeek, usualShop } from '@meridex/core';
import { DEMO } from '../demo/load.js';
import { twoWorkshops, type TwoWorkshops } from '../testing/workshops.js';

describe('the bay’s week', () => {
  let shed: TwoWorkshops;
  const read = async (as?: string): Promise<KeptWeek<ShopWeek>> => (await shed.call('GET', '/api/week', undefined, as)).json<KeptWeek<ShopWeek>>();
  const keep = (week: object, revision: number, as?: string) => shed.call('PUT', '/api/week', { week, revision }, as);
  const WEEK: ShopWeek = { ...usualShop('Kit'), bays: ['Left', 'Right'] };

  beforeEach(async () => {
    shed = await twoWorkshops();
  }, 60_000);
  afterEach(() => shed?.close());

  it('is kept for the workshop alone, with who changed it', async () => {
    const before = await read();
    expect((await keep(WEEK, before.revision)).json<{ revision: number }>().revision).toBe(before.revision + 1);
    expect(await read()).toEqual({ week: WEEK, revision: before.revision + 1, author: DEMO.name });
    expect((await read(shed.other)).week).toBeNull();
  });

  it('of two who change it at once tells the second, and keeps the first', async () => {
    const { revision } = await read();
    await keep(WEEK, revision);
    const second = await keep({ ...WEEK, bays: ['Yard'] }, revision);
    expect([second.statusCode, second.json<{ message: string }>().message]).toEqual([409, 'Somebody else changed the week meanwhile: it is shown as it is now, do yours once more.']);
    expect((await read()).week!.bays).toEqual(['Left', 'Right']);
  });

  it('is refused with the field where it is none', async () => {
    const says = async (week: object): Promise<string> => (await keep(week, 0)).json<{ message: string }>().message;
    expect(await says({ ...WEEK, bays: [] })).toContain('bays: one bay or more is accepted');
    expect(await says({ ...WEEK, licensedOn: ['Tuesday'] })).toContain('a day such as 2026-12-03 is accepted');
  });

  it('knows of each job what is left to do, and whether the licensed electrician is wanted', async () => {
    const { lines } = (await shed.call('GET', '/api/jobs')).json<{ lines: { state: string; minutes: number; licensed: boolean }[] }>();
    expect(lines.some((l) => l.minutes > 60)).toBeTrue();
    expect(lines.some((l) => l.licensed) && lines.some((l) => !l.licensed)).toBeTrue();
  });
});

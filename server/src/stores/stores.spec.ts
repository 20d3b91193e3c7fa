import type { Offers, OnShelf, PriceList } from '@meridex/contract';
import { assess, catalogueOf, DEMO_JOBS, matchesOf } from '@meridex/core';
import { DEMO } from '../demo/load.js';
import { twoWorkshops, type TwoWorkshops } from '../testing/workshops.js';
import { offersOn, SIMULATED } from './supplier.js';

const KEY = 'odd-fuse-15';
const line = { what: 'odd fuse 15 A' };
const SUPPLIER = 'Quandong Trade Counter';

describe('what the workshop has, and what its suppliers ask', () => {
  let shed: TwoWorkshops;
  let revision = 1;
  const shelf = async (as = shed.cookie): Promise<OnShelf[]> => (await shed.call('GET', '/api/shelf', undefined, as)).json<OnShelf[]>().filter((s) => s.key === KEY);
  const lists = async (as = shed.cookie): Promise<PriceList[]> => (await shed.call('GET', '/api/price-lists', undefined, as)).json<PriceList[]>().filter((l) => l.supplier === SUPPLIER);
  const count = (change: object) => shed.call('PUT', `/api/shelf/${KEY}`, { what: line.what, unit: 'pc', count: 20, ...change });
  const list = (change: object = {}) => ({ id: crypto.randomUUID(), supplier: SUPPLIER, on: '2026-11-30', items: [{ code: 'F15', what: 'BLADE FUSE 15A', each: 0.85 }], ...change });
  /** A job that has got so many off the shelf. */
  const took = async (n: number): Promise<void> => {
    const saved = await shed.call('POST', `/api/jobs/${shed.job}/revisions`, {
      base: revision,
      clientId: crypto.randomUUID(),
      patch: [{ op: 'add', path: `/bought/${KEY}`, value: { what: line.what, unit: 'pc', count: 9, here: 9, from: 'the shelf', due: null, shelf: n } }],
    });
    expect(saved.statusCode).toBe(200);
    revision += 1;
  };

  beforeAll(async () => {
    shed = await twoWorkshops();
  }, 60_000);
  afterAll(() => shed?.close());

  it('are on the shelf what was counted less what jobs took since, and what an undone job gives back', async () => {
    await took(2);
    expect((await count({})).statusCode).toBe(204);
    expect((await shelf()).map((s) => [s.key, s.count, s.author])).toEqual([[KEY, 20, DEMO.name]]);
    await took(5);
    expect((await shelf())[0]!.count).toBe(17);
    expect((await shed.call('GET', `/api/shelf?but=${shed.job}`)).json<OnShelf[]>().find((s) => s.key === KEY)!.count).toBe(22);
    await took(0);
    expect((await shelf())[0]!.count).toBe(22);
  });
  it('names the field of a count that cannot be', async () => {
    expect((await count({ count: -1 })).json<{ message: string }>().message).toBe('count: from 0 is accepted');
    expect((await count({ what: ' ' })).json<{ message: string }>().message).toBe('what: a name is accepted');
  });
  it('has the newest list of a supplier, with what was chosen of it, until it is put away', async () => {
    const first = list();
    for (let i = 0; i < 2; i++) expect((await shed.call('POST', '/api/price-lists', first)).statusCode).toBe(204);
    await shed.call('POST', '/api/price-lists', list({ on: '2026-12-01', items: [{ code: 'F15', what: 'BLADE FUSE 15A', each: 0.9 }] }));
    await shed.call('PUT', '/api/price-choices', { supplier: first.supplier, key: KEY, code: 'X' });
    await shed.call('PUT', '/api/price-choices', { supplier: first.supplier, key: KEY, code: 'F15' });
    expect((await lists()).map((l) => [l.supplier, l.on, l.items[0]!.each, l.chosen])).toEqual([[first.supplier, '2026-12-01', 0.9, { [KEY]: 'F15' }]]);
    const away = () => shed.call('DELETE', `/api/price-lists/${encodeURIComponent(first.supplier)}`);
    expect([(await away()).statusCode, await lists(), (await away()).statusCode]).toEqual([204, [], 404]);
  });
  it('takes no list without a price, none under the simulated one’s name, and says which field', async () => {
    const told = async (change: object) => (await shed.call('POST', '/api/price-lists', list(change))).json<{ message: string }>().message;
    expect(await told({ items: [] })).toBe('items: a list with at least one price is accepted');
    expect(await told({ on: 'soon' })).toBe('on: a day such as 2026-12-03 is accepted');
    expect(await told({ supplier: SIMULATED })).toContain('another name is accepted');
  });
  it('of the demo prices nearly every line of its jobs, at day and name', async () => {
    const [list] = (await shed.call('GET', '/api/price-lists')).json<PriceList[]>();
    for (const { key, design } of DEMO_JOBS) {
      const lines = assess(design, catalogueOf(design)).order.lines.filter((l) => l.group !== 'sundries');
      expect(matchesOf(lines, list!.items).length)
        .withContext(key)
        .toBeGreaterThan(0.85 * lines.length);
    }
  });
  it('are nobody’s of another workshop', async () => {
    await count({});
    await shed.call('POST', '/api/price-lists', list());
    expect([(await shed.call('GET', '/api/shelf', undefined, shed.other)).json(), (await shed.call('GET', '/api/price-lists', undefined, shed.other)).json()]).toEqual([[], []]);
    expect((await shed.call('DELETE', '/api/price-lists/Quandong%20Trade%20Counter', undefined, shed.other)).statusCode).toBe(404);
    expect((await lists()).length).toBe(1);
  });
  it('is answered by the simulated supplier for each line that is asked', async () => {
    const { supplier, offers } = (await shed.call('POST', '/api/simulated-supplier', { lines: [{ key: KEY, count: 4, planned: 1 }] })).json<Offers>();
    expect([supplier, offers.map((o) => o.key)]).toEqual([SIMULATED, [KEY]]);
  });
});

describe('the simulated supplier', () => {
  const lines = Array.from({ length: 300 }, (_, i) => ({ key: `line ${i}`, count: 5, planned: 10 }));
  it('says the same on one day, asks within a quarter of what was planned, and moves little from week to week', () => {
    const [now, again, later] = [offersOn('2026-12-02', lines), offersOn('2026-12-02', lines), offersOn('2026-12-16', lines)];
    expect(now).toEqual(again);
    expect(now.offers.filter((o) => o.each < 7.5 || o.each > 12.5)).toEqual([]);
    expect(now.offers.filter((o, i) => Math.abs(o.each / later.offers[i]!.each - 1) > 0.07)).toEqual([]);
  });
  it('comes within two days with what it has, and in four to fifteen with what it must get in', () => {
    const { offers } = offersOn('2026-12-02', lines);
    expect(offers.filter((o) => (o.has >= 5 ? o.days > 2 : o.days < 4 || o.days > 15))).toEqual([]);
    expect(offers.some((o) => o.has === 0) && offers.some((o) => o.has > 5)).toBeTrue();
  });
});

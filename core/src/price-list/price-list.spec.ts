import { assess } from '../assess/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type OrderLine, pricedInWords } from '../order/index.js';
import { afterWorkingDays, amountOf, codeOf, decimalMarkOf, guessColumns, matchesOf, ordersByDay, readPrices, readPriceTable, type PriceItem } from './index.js';

const tableOf = (text: string) => {
  const read = readPriceTable(text);
  if (!read.ok) throw new Error(read.message);
  return read.table;
};
const item = (what: string, each = 5, code = ''): PriceItem => ({ code, what, each });
const matched = (what: string, ...items: PriceItem[]) => matchesOf([{ key: 'k', what }], items)[0]?.item.what ?? null;

describe('a price list', () => {
  it('is parted by semicolons, commas or tabs, and its columns are told by their headings', () => {
    for (const mark of [';', ',', '\t']) {
      const { headings, rows } = tableOf(
        [
          ['Stock No', 'Description', 'Pack', 'Nett price'],
          ['C16R', 'cable 16mm2 red', '30 m', '123.00'],
        ]
          .map((r) => r.join(mark))
          .join('\r\n'),
      );
      expect(guessColumns(headings)).toEqual({ code: 0, what: 1, per: 2, price: 3 });
      expect(readPrices({ headings, rows }, guessColumns(headings)).items).toEqual([{ code: 'C16R', what: 'cable 16mm2 red', each: 4.1 }]);
    }
  });
  it('says where headings tell nothing, so that a person chooses', () => {
    expect(guessColumns(['A', 'B', 'C'])).toEqual({ code: null, what: -1, price: -1, per: null });
    expect(readPriceTable('only one column\nrow')).toEqual({ ok: false, message: jasmine.stringContaining('a description and a price is accepted') as unknown as string });
    expect(readPriceTable('what,price')).toEqual({ ok: false, message: 'file: headings and no line under them' });
  });
  it('has amounts with either mark before the cents, as its column has it, and with thousands', () => {
    expect(['4.10', '$1,234.50', 'AUD 12', '1,234', '4.125', '12.', '.5'].map((a) => amountOf(a, '.'))).toEqual([4.1, 1234.5, 12, 1234, 4.125, 12, 0.5]);
    expect(['4,10', '1.234,50', '1 234,50', '1.234', '0,125'].map((a) => amountOf(a, ','))).toEqual([4.1, 1234.5, 1234.5, 1234, 0.125]);
    // A comma before two figures parts no thousands: where cents stand after dots it is no amount, and no 410.
    expect(['', 'POA', '-4.00', 'call us', '4,10', '1.2.3'].map((a) => amountOf(a, '.'))).toEqual([null, null, null, null, null, null]);
  });
  it('tells by all of a column what one amount does not', () => {
    expect([['4.125', '12.50'], ['4.125', '12,50'], ['1,234'], ['1.190,00', '4.125'], ['1.234.567'], ['0,125', 'POA']].map(decimalMarkOf)).toEqual(['.', ',', '.', ',', ',', ',']);
    const { items } = readPrices(tableOf('what;price\nlug a;4.125\nlug b;12.50'), { code: null, what: 0, price: 1, per: null });
    expect(items.map((i) => i.each)).toEqual([4.125, 12.5]);
  });
  it('leaves lines out that have no price, each with its line and why, and keeps the rest', () => {
    const { items, left } = readPrices(tableOf('what,price,per\n\nlug,POA,1\n,4,1\nclip,6,dozen\nlug 16mm2 M8,320,100'), { code: null, what: 0, price: 1, per: 2 });
    expect(items).toEqual([{ code: '', what: 'lug 16mm2 M8', each: 3.2 }]);
    expect(left.map((l) => [l.row, l.why])).toEqual([
      [3, 'price: “POA”; an amount above 0 is accepted'],
      [4, 'nothing says what it is'],
      [5, 'per: “dozen”; a number of pieces or metres is accepted'],
    ]);
  });
});

describe('what of a list a line is', () => {
  it('has the same figures, colour and kind, in whatever words', () => {
    expect(matched('cable 16 mm² red', item('BATTERY CABLE 16MM2 BLACK /M'), item('BATTERY WIRE 16MM2 RED /M'), item('BATTERY CABLE 25MM2 RED /M'))).toBe('BATTERY WIRE 16MM2 RED /M');
    expect(matched('lug 16 mm² M8', item('RING TERMINAL 16SQMM M10'), item('RING TERMINAL 16SQMM M8'))).toBe('RING TERMINAL 16SQMM M8');
    expect(matched('large-bolt-in fuse 100 A', item('holder for large bolt-in fuse 100A'), item('FUSE LARGE BOLT-IN 100 A'))).toBe('FUSE LARGE BOLT-IN 100 A');
  });
  it('is nothing where a figure is another, and nothing where two fit alike at two prices', () => {
    expect(matched('lithium battery 200 Ah', item('LITHIUM BATTERY 100AH'))).toBeNull();
    expect(matched('blade fuse 15 A', item('BLADE FUSE 15A', 1), item('FUSE BLADE 15 A', 2))).toBeNull();
    expect(matched('blade fuse 15 A', item('BLADE FUSE 15A', 1), item('FUSE BLADE 15 A', 1), item('15A BLADE FUSE', 2))).toBeNull();
    expect(matched('blade fuse 15 A', item('BLADE FUSE 15A', 1), item('FUSE BLADE 15 A', 1))).toBe('BLADE FUSE 15A');
  });
  it('is what a person chose once, before all words; or, chosen so, none of the list', () => {
    const items = [item('BLADE FUSE 15A', 1, 'F15'), item('MIXED LOT', 2, 'X')];
    const line = [{ key: 'k', what: 'blade fuse 15 A' }];
    expect(matchesOf(line, items, { k: 'X' })[0]!.item.code).toBe('X');
    expect(matchesOf(line, items, { k: '' })).toEqual([]);
    expect(codeOf(item('no code'))).toBe('no code');
  });
  it('is found again for every line of the demo jobs, from a list in capitals and other words, and never for another line', () => {
    const shouted = (what: string): string =>
      what
        .toUpperCase()
        .replaceAll(' MM²', 'MM2')
        .replaceAll(/(\d) A\b/g, '$1A')
        .replaceAll('LUG', 'RING TERMINAL');
    for (const { design, key } of DEMO_JOBS) {
      const { lines } = assess(design, catalogueOf(design)).order;
      const items = lines.map((l, i) => item(shouted(l.what), i + 1, l.key));
      const matches = matchesOf(lines, items);
      expect(matches.filter((m) => m.item.code !== m.key))
        .withContext(key)
        .toEqual([]);
      expect(matches.length)
        .withContext(key)
        .toBeGreaterThan(0.9 * lines.length);
    }
  });
});

describe('a price that was taken over', () => {
  it('stands in the order with who asks it, moves its sum by the difference, and no other line', () => {
    const { design } = DEMO_JOBS[0]!;
    const before = assess(design, catalogueOf(design)).order;
    const [line] = before.lines;
    const asked = structuredClone(design);
    asked.prices[line!.key] = { each: line!.priceEach + 7, from: 'Quandong Trade Counter', on: '2026-11-30' };
    const after = assess(asked, catalogueOf(asked)).order;
    expect(after.lines[0]).toEqual({ ...line!, priceEach: line!.priceEach + 7, priced: { from: 'Quandong Trade Counter', on: '2026-11-30', planned: line!.priceEach } });
    expect(after.lines.slice(1)).toEqual(before.lines.slice(1));
    expect(after.total - before.total).toBeCloseTo(7 * line!.quantity, 6);
  });
});

describe('by whose prices an order is reckoned', () => {
  const line = (key: string, from?: string, on = '2026-11-30'): OrderLine => ({
    key,
    group: 'joints',
    what: key,
    quantity: 1,
    unit: 'pc',
    priceEach: 1,
    kg: 0,
    uses: [],
    ...(from ? { priced: { from, on, planned: 1 } } : {}),
  });
  it('is said with who, the days, and what is left at planning prices', () => {
    expect(pricedInWords([line('a'), line('b')])).toBe('at planning prices');
    expect(pricedInWords([line('a', 'Quandong')])).toBe('at the prices of Quandong as of 30 Nov 2026');
    expect(pricedInWords([line('a', 'Quandong'), line('b', 'Mulga', '2026-12-02'), line('c')])).toBe(
      '2 of 3 lines at the prices of Quandong and Mulga as of 30 Nov 2026 to 2 Dec 2026, the rest at planning prices',
    );
  });
});

describe('what is ordered by the day on which it comes', () => {
  const line = (key: string, quantity: number): OrderLine => ({ key, group: 'joints', what: key, quantity, unit: 'pc', priceEach: 1, kg: 0, uses: [] });
  it('leaves out Saturdays, Sundays and what was ordered before, the earliest first', () => {
    expect(['2026-12-02', '2026-12-04', '2026-12-05'].map((d) => afterWorkingDays(d, 1))).toEqual(['2026-12-03', '2026-12-07', '2026-12-07']);
    const offered = [
      { line: line('a', 4), days: 5 },
      { line: line('b', 2), days: 1 },
      { line: line('c', 3), days: 1 },
      { line: line('d', 9), days: 5 },
    ];
    expect(ordersByDay(offered, { c: { count: 3 }, d: { count: 4 } }, '2026-12-02').map((o) => [o.due, o.lines.map((l) => [l.key, l.count])])).toEqual([
      ['2026-12-03', [['b', 2]]],
      [
        '2026-12-09',
        [
          ['a', 4],
          ['d', 5],
        ],
      ],
    ]);
  });
});

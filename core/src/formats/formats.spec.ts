import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { assess } from '../assess/index.js';
import { LINK_M } from '../circuit/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { csvField, cutsCsv, orderCsv } from './csv.js';
import { readDraw, readPastedLoads, readUse } from './pasted-loads.js';

describe('a pasted load list', () => {
  it('takes tabs, semicolons and commas, with or without a heading', () => {
    const want = { name: 'fridge', draw: { by: 'plate', unit: 'W', value: 55 }, use: { by: 'duty', duty: 0.35 }, purpose: 'fridge' };
    for (const text of ['fridge\t55 W\t35 %', 'fridge; 55W; 35%', 'fridge, 55 W, 0.35', 'name\tdraw\truns\nfridge\t55\t35']) {
      expect(readPastedLoads(text).loads.map(({ name, draw, use, purpose }) => ({ name, draw, use, purpose }))).toEqual([want] as never);
    }
  });
  it('reads hours, parts of the day and mains', () => {
    const { loads } = readPastedLoads('kettle\t1.4 kW\t10 min\tdaytime\t230 V');
    expect(loads[0]).toEqual(jasmine.objectContaining({ supply: 'mains', draw: { by: 'plate', unit: 'W', value: 1400 }, when: { at: 'daytime' } }));
    expect(loads[0]!.use).toEqual({ by: 'hours', hours: 10 / 60 });
  });
  it('takes a comma as a decimal sign inside a number', () => expect(readPastedLoads('pump; 4,5 A; 1 h').loads[0]!.draw).toEqual({ by: 'plate', unit: 'A', value: 4.5 }));
  it('keeps the good lines and says what is wrong with the others', () => {
    const read = readPastedLoads('fridge\t55 W\nradio\tloud\nlamp\t9 W\t150 %\nalone');
    expect(read.loads.map((l) => l.name)).toEqual(['fridge']);
    expect(read.refused.length).toBe(3);
    expect(read.refused[0]).toContain('radio');
    expect(read.refused[1]).toContain('150 %');
  });
  it('is told of a word that says no time, and takes hours', () => {
    expect(readPastedLoads('lamp\t9 W\t2 h\tmorning').refused[0]).toMatch(/“lamp”: “morning” is not taken for when or how it runs; type all day,/);
    expect(readPastedLoads('lamp\t9 W\t2 h\t6-9').loads[0]!.when).toEqual({ at: 'hours', spans: [[6, 9]] });
    expect(readPastedLoads('lamp\t9 W\t2 h\t22–6\tcritical').loads[0]).toEqual(
      jasmine.objectContaining({
        critical: true,
        when: {
          at: 'hours',
          spans: [
            [22, 24],
            [0, 6],
          ],
        },
      }),
    );
  });
  it('numbers the rows on', () => expect(readPastedLoads('a,1 W\nb,2 W', 5).loads.map((l) => l.order)).toEqual([5, 6]));
  it('refuses a negative draw and a duty above one', () => expect([readDraw('-5 W').ok, readUse('120 %').ok, readUse('25 h').ok, readUse('100 %').ok]).toEqual([false, false, false, true]));
});

describe('CSV', () => {
  it('quotes what needs it and disarms formulas', () => {
    expect([csvField('a,b'), csvField('say "x"'), csvField('=1+1'), csvField(1 / 3)]).toEqual(['"a,b"', '"say ""x"""', "'=1+1", '0.333']);
  });
  it('has a line a part and a line a cut', () => {
    const { order } = assess(DEMO_JOBS[0]!.design, SHIPPED_CATALOGUE);
    expect(orderCsv(order).trim().split('\r\n').length).toBe(order.lines.length + 1);
    expect(cutsCsv(order).trim().split('\r\n').length).toBe(order.cuts.length + 1);
  });
});

describe('the order', () => {
  for (const job of DEMO_JOBS) {
    it(`of ${job.design.brief.customer} has a fuse, four ends and two leads for every run`, () => {
      const a = assess(job.design, SHIPPED_CATALOGUE);
      const fitted = a.runs.filter((r) => r.ok);
      const links = a.links.flatMap((l) => Array.from({ length: l.count }, () => l));
      const count = (group: string, start: RegExp): number => a.order.lines.filter((l) => l.group === group && start.test(l.what)).reduce((n, l) => n + l.quantity, 0);
      expect(count('protection', /^(?!in-line|holder).*(fuse|breaker).* A(,|$)/)).toBe(fitted.reduce((n, r) => n + r.spec.ends.length, 0));
      expect(count('joints', /^(lug|crimp terminal)/)).toBe(4 * fitted.length + (a.bond ? 2 : 0) + 2 * links.length);
      // The bond of the house negative and the links on the board are cut off the same reels.
      expect(a.order.cuts.length).toBe(2 * fitted.length + (a.bond ? 1 : 0) + links.length);
      expect(a.order.cuts.filter((c) => c.run === null).map((c) => [c.lengthM, c.size])).toEqual([...(a.bond ? [[a.bond.lengthM, a.bond.size]] : []), ...links.map((l) => [LINK_M, l.size])]);
      const cut = a.order.cuts.reduce((m, c) => m + c.lengthM, 0);
      expect(count('cable', /./)).toBeGreaterThanOrEqual(cut);
    });
  }
});

import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { faultBook, hideFault, isAnswer, LEVELS, readKnown, searchFault, simulatedReading, type FaultBook, type Known } from './index.js';
import { tableOf } from './search.js';

const books = new Map<string, FaultBook>();
const bookOf = (key: string): FaultBook => {
  const known = books.get(key) ?? faultBook(DEMO_JOBS.find((j) => j.key === key)!.design, SHIPPED_CATALOGUE)!;
  books.set(key, known);
  return known;
};
const NOTHING: Known = { readings: [], complaints: [] };
const probe = (book: FaultBook, id: string) => book.probes.find((p) => p.id === id)!;

/** The same noise at every run of the specs: normal, of one. */
function noise(seed: number): () => number {
  let s = seed;
  const next = (): number => (s = (s * 1664525 + 1013904223) >>> 0) / 2 ** 32;
  return () => Math.sqrt(-2 * Math.log(next() + 1e-12)) * Math.cos(2 * Math.PI * next());
}

describe('what each fault would make every test read', () => {
  const book = bookOf('vet');
  it('is what is expected while nothing is wrong, for every test', () => {
    for (const p of book.probes)
      expect(Math.abs(p.predicted['sound']! - p.expected))
        .withContext(p.id)
        .toBeLessThan(p.tolerance / 50);
  });
  it('for a blown fuse: all volts across it, none behind it, no amps, and the neighbours as they were', () => {
    const at = (id: string, fault: string): number => probe(book, id).predicted[fault]!;
    expect(at('loads.volts:load-l1', 'blown:load-l1')).toBeLessThan(0.1);
    expect(at('loads.fuse:load-l1', 'blown:load-l1')).toBeGreaterThan(12);
    expect(at('loads.fuse:load-l1', 'open:load-l1')).toBeLessThan(0.05);
    expect(at('loads.amps:load-l1', 'blown:load-l1')).toBeCloseTo(0, 1);
    expect(at('loads.volts:load-l2', 'blown:load-l1')).toBeGreaterThan(probe(book, 'loads.volts:load-l2').expected - 0.05);
  });
  it('for a poor return: volts lost in the return, none of them in the feed', () => {
    const p = probe(book, 'loads.return:load-l1');
    expect(p.predicted['bad-return:load-l1']!).toBeGreaterThan(p.expected + 1);
    expect(p.predicted['joint:load-l1']!).toBeLessThan(p.expected + 0.1);
  });
  it('for the block’s feed: everything on the block is dark, and nothing beside it', () => {
    expect(probe(book, 'loads.volts:load-l1').predicted['blown:bus-block']!).toBeLessThan(0.1);
    expect(probe(book, 'loads.volts:bus-inverter').predicted['blown:bus-block']!).toBeGreaterThan(12);
  });
  it('for triggers: dead with the engine running, or live without it and feeding the bank from the starting battery', () => {
    expect(probe(book, 'engine.trigger:charger').predicted['no-trigger:charger']!).toBe(0);
    expect(probe(book, 'engine.out-amps:charger').predicted['no-trigger:charger']!).toBeCloseTo(0, 1);
    expect(probe(book, 'rest.trigger:charger').predicted['always-on:charger']!).toBeGreaterThan(11);
    expect(probe(book, 'rest.volts:starting').predicted['always-on:charger']!).toBeLessThan(probe(book, 'rest.volts:starting').expected - 0.1);
  });
  it('for panels that are swapped: minus the open volts; for dark ones nothing', () => {
    const open = probe(book, 'sun.open:panel');
    expect(open.predicted['reversed:panel']!).toBeCloseTo(-open.expected, 0);
    expect(open.predicted['dark:panel']!).toBe(0);
  });
  it('for an isolator that never closes, on the rig that has one', () => {
    const bees = bookOf('bees');
    const never = bees.faults.find((f) => f.id.startsWith('never-closes'))!;
    const told = bees.probes.filter((p) => Math.abs(p.predicted[never.id]! - p.expected) > 2 * p.tolerance).map((p) => p.situation);
    expect(told.filter((s) => s !== 'engine' && s !== 'full')).toEqual([]);
    expect(told).toContain('engine');
  });
  it('is said for every fault of every demo job', () => {
    for (const { key } of DEMO_JOBS) {
      const b = bookOf(key);
      expect(b.leftOut).withContext(key).toEqual([]);
      expect(b.faults.length).withContext(key).toBeGreaterThan(40);
      for (const p of b.probes) for (const f of b.faults) if (!Number.isFinite(p.predicted[f.id])) fail(`${key} ${p.id} ${f.id}`);
    }
  });
});

describe('the search for a fault', () => {
  for (const { key } of DEMO_JOBS) {
    it(`${key}: names the fault that was hidden, or what no test tells from it, in eight tests or fewer`, () => {
      const book = bookOf(key);
      const pick = noise(key.length);
      const hidden = book.faults.filter((f, i) => f.id !== 'sound' && i % 13 === key.length % 13);
      expect(hidden.length).toBeGreaterThan(3);
      for (const f of hidden) {
        const complaint = book.complaints.find((c) => c.explainedBy.includes(f.id));
        const readings: { test: string; value: number }[] = [];
        let s = searchFault(book, { readings, complaints: complaint ? [complaint.id] : [] });
        while (s.next && readings.length < 8) {
          const { id, predicted, tolerance } = s.next.probe;
          readings.push({ test: id, value: predicted[f.id]! + (pick() * tolerance) / 3 });
          s = searchFault(book, { readings, complaints: complaint ? [complaint.id] : [] });
        }
        const [top] = s.causes;
        expect(top!.fault.id === f.id || top!.sameAs.includes(f.name))
          .withContext(`${f.id} after ${readings.length}: ${top!.fault.id} ${top!.share.toFixed(2)}`)
          .toBeTrue();
      }
    });
  }
  it('shares one certainty among the causes, before and after any reading', () => {
    const book = bookOf('survey');
    for (const readings of [[], [{ test: book.probes[0]!.id, value: 0 }], [{ test: book.probes[3]!.id, value: 12.5 }]])
      expect(searchFault(book, { readings, complaints: [] }).causes.reduce((s, c) => s + c.share, 0)).toBeCloseTo(1, 9);
  });
  it('is not moved by a test that all faults read alike', () => {
    const book = bookOf('vet');
    const alike = { ...book.probes[0]!, id: 'alike', predicted: Object.fromEntries(book.faults.map((f) => [f.id, 5])) };
    const more: FaultBook = { ...book, probes: [...book.probes, alike] };
    const readings = [{ test: book.probes[0]!.id, value: book.probes[0]!.expected }];
    const order = (s: ReturnType<typeof searchFault>): readonly string[] => s.causes.map((c) => c.fault.id);
    expect(order(searchFault(more, { readings: [...readings, { test: 'alike', value: 7 }], complaints: [] }))).toEqual(order(searchFault(book, { readings, complaints: [] })));
  });
  it('begins from what the customer says', () => {
    const book = bookOf('vet');
    const share = (known: Known, id: string): number => searchFault(book, known).causes.find((c) => c.fault.id === id)!.share;
    const said: Known = { readings: [], complaints: ['no-engine'] };
    expect(share(said, 'no-trigger:charger')).toBeGreaterThan(3 * share(NOTHING, 'no-trigger:charger'));
    expect(share(said, 'blown:load-l1')).toBeLessThan(share(NOTHING, 'blown:load-l1'));
  });
  it('says what a reading rules out, and what each answer of the next test would mean', () => {
    const book = bookOf('vet');
    const s = searchFault(book, { readings: [{ test: 'loads.volts:bus-block', value: probe(book, 'loads.volts:bus-block').expected }], complaints: ['dead:load-l1'] });
    expect(s.ruledOut).toContain('Bus bars → fuse block: its fuse is blown');
    const branches = s.next!.branches;
    expect(branches.length).toBeGreaterThan(1);
    expect(branches.reduce((sum, b) => sum + b.share, 0)).toBeLessThanOrEqual(1 + 1e-9);
    for (let i = 1; i < branches.length; i++) expect(branches[i]!.share).toBeLessThanOrEqual(branches[i - 1]!.share);
  });
  it('says so when the readings fit no single fault', () => {
    const book = bookOf('vet');
    const readings = [
      { test: 'loads.volts:load-l1', value: 5 },
      { test: 'loads.volts:load-l2', value: 30 },
      { test: 'loads.volts:bus-inverter', value: 2 },
    ];
    expect(searchFault(book, { readings, complaints: [] }).noneFits).toBeTrue();
  });
  it('refuses readings and complaints that it does not know, by name', () => {
    const book = bookOf('vet');
    const said = (raw: unknown): string => {
      const read = readKnown(book, raw);
      return read.ok ? 'taken' : read.message;
    };
    expect(said({ readings: [{ test: 'attic', value: 1 }] })).toMatch(/^readings\.0\.test: came attic; one of .* is accepted/);
    expect(said({ complaints: ['smells'] })).toMatch(/^complaints\.0: came smells/);
    expect(said({ readings: [{ test: 'rest.volts:battery1', value: 'twelve' }] })).toMatch(/^readings\.0\.value: /);
    expect(said({ readings: [{ test: 'rest.volts:battery1', value: 12.8 }] })).toBe('taken');
  });
  it('is the exact law over the book’s own table', () => {
    const table = tableOf(bookOf('bees'), NOTHING);
    expect(table.faults.length).toBe(bookOf('bees').faults.length);
    expect(table.tests.every((t) => t.sd > 0 && t.minutes > 0)).toBeTrue();
  });
});

describe('a hidden fault', () => {
  const book = bookOf('survey');
  it('is the same for the same seed, is of its level, and is found by the search in eight tests', () => {
    for (const level of LEVELS)
      for (const seed of [1, 2, 3]) {
        const riddle = hideFault(book, seed, level)!;
        expect(hideFault(book, seed, level)).toEqual(riddle);
        expect(riddle.par.tests).toBeLessThanOrEqual(8);
        expect(riddle.par.minutes).toBeGreaterThan(0);
        expect(book.complaints.find((c) => c.id === riddle.complaint.id)!.explainedBy).toContain(riddle.fault);
      }
    const faults = new Set(Array.from({ length: 12 }, (_, i) => hideFault(book, 10 + i, 'anything')!.fault));
    expect(faults.size).toBeGreaterThan(4);
  });
  it('reads what it would, within the meter’s tolerance, and the same again', () => {
    const p = book.probes[0]!;
    const shown = simulatedReading(book, 'sound', p.id, 5);
    expect(Math.abs(shown - p.expected)).toBeLessThan(2 * p.tolerance + 0.1);
    expect(simulatedReading(book, 'sound', p.id, 5)).toBe(shown);
  });
  it('is named by itself or by what no test tells from it, and by nothing else', () => {
    const [a, b] = book.faults.filter((f) => f.id.startsWith('blown:load'));
    expect([isAnswer(book, a!.id, a!.id), isAnswer(book, a!.id, b!.id), isAnswer(book, a!.id, 'sound')]).toEqual([true, false, false]);
  });
});

import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { assessJob } from '../couplings/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { blankDesign, type Design } from '../design/index.js';
import { addsUp, billedHours, cannotQuote, quoteOf } from './quote.js';
import { minorOf, sumMinor, timesMinor } from './minor.js';
import { quoteSchema } from './schema.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);

describe('money in minor units', () => {
  it('is exact where binary fractions are not', () => {
    expect(minorOf(1.005)).toBe(101);
    expect(sumMinor(Array.from({ length: 10 }, () => minorOf(0.1)))).toBe(100);
    expect(timesMinor(999, 0.1)).toBe(100);
    expect(timesMinor(105, 0.1)).toBe(11);
    expect(timesMinor(12_400, 16.25)).toBe(201_500);
  });
});

describe('a quote', () => {
  for (const { key, design } of DEMO_JOBS)
    it(`${key}: adds up, in a form that can be kept, and asks for every line of the order once`, () => {
      const quote = quoteOf(design, SHIPPED_CATALOGUE);
      expect(addsUp(quote)).toBeTrue();
      expect(quoteSchema.parse(quote)).toEqual(quote);
      const [plan] = quote.options;
      const order = assessJob(design, SHIPPED_CATALOGUE)[0]!.assessment!.order;
      const labour = plan!.lines.find((l) => l.what.startsWith('Labour'))!.minor;
      // Each group is rounded once.
      expect(Math.abs(plan!.netMinor - labour - 118 * order.lines.reduce((s, l) => s + l.priceEach * l.quantity, 0))).toBeLessThan(order.lines.length);
    });

  it('asks for labour by the quarter hour, and not at all where the hour costs nothing', () => {
    expect([0, 1, 15, 16, 61].map(billedHours)).toEqual([0, 0.25, 0.25, 0.5, 1.25]);
    const free = demo('vet');
    free.settings.quote.hourRate = 0;
    expect(quoteOf(free, SHIPPED_CATALOGUE).options[0]!.lines.some((l) => l.what.startsWith('Labour'))).toBeFalse();
  });

  it('offers the drafts beside the plan, each with what it gives, the roomier the dearer', () => {
    const { options } = quoteOf(demo('survey'), SHIPPED_CATALOGUE, ['lean', 'roomy']);
    expect(options.map((o) => o.key)).toEqual(['plan', 'lean', 'roomy']);
    expect(options[2]!.totalMinor).toBeGreaterThan(options[1]!.totalMinor);
    for (const o of options) expect(o.gives[0]).toMatch(/^Battery of \d+\u00a0Ah at 12\u00a0V/);
  });

  it('says what is not in it: the 230 V side, what waits, and what the workshop says', () => {
    const d = demo('vet');
    d.settings.quote.notIncluded = ' Towing. ';
    const { notIncluded } = quoteOf(d, SHIPPED_CATALOGUE);
    expect(notIncluded.at(-1)).toBe('Towing.');
    expect(notIncluded.some((n) => n.startsWith('The 230 V side'))).toBeTrue();
    d.mains.notOurs = { by: 'Somebody', reason: 'the inverter’s own socket alone', on: '2026-11-01' };
    expect(quoteOf(d, SHIPPED_CATALOGUE).notIncluded.some((n) => n.startsWith('The 230 V side'))).toBeFalse();
  });

  it('is not made for nothing, nor while a run has no size', () => {
    expect(cannotQuote(assessJob(blankDesign('Nobody'), SHIPPED_CATALOGUE))).toContain('loads come first');
    const d = demo('vet');
    expect(cannotQuote(assessJob(d, SHIPPED_CATALOGUE))).toBeNull();
    const [run] = assessJob(d, SHIPPED_CATALOGUE)[0]!.assessment!.runs.filter((r) => r.spec.group === 'loads');
    d.runs[run!.spec.id] = { ambientC: 119 };
    expect(cannotQuote(assessJob(d, SHIPPED_CATALOGUE))).toContain('no size yet');
  });

  it('is told to be wrong where a sum was changed', () => {
    const quote = quoteOf(demo('vet'), SHIPPED_CATALOGUE);
    const [plan] = quote.options;
    expect(addsUp({ ...quote, options: [{ ...plan!, totalMinor: plan!.totalMinor - 1 }] })).toBeFalse();
  });
});

import fc from 'fast-check';
import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { cablePlans, type Cut } from './index.js';
import { PLANNING_PRICES } from './prices.js';

const cutsOf = (key: string): readonly Cut[] => assess(DEMO_JOBS.find((j) => j.key === key)!.design, SHIPPED_CATALOGUE).order.cuts;
const cut = (lengthM: number, i: number, size = '16 mm²', areaMm2 = 16, cores = 1): Cut => ({
  run: i,
  name: `run ${i}`,
  size,
  areaMm2,
  cores,
  lead: 'feed',
  colour: 'red',
  lengthM,
  lugs: '',
  label: `${i}+`,
});

describe('cable bought and cut', () => {
  for (const { key } of DEMO_JOBS) {
    it(`${key}: every cut of the list comes out of one piece, and no piece is cut beyond its length`, () => {
      const cuts = cutsOf(key);
      const plans = cablePlans(cuts, {});
      expect(plans.flatMap((p) => p.pieces.flatMap((x) => x.cuts.map((c) => `${p.cable} ${c.label}`))).sort()).toEqual(cuts.map((c) => `${c.size} ${c.colour} ${c.label}`).sort());
      for (const p of plans) {
        expect(p.trouble).toBeNull();
        for (const piece of p.pieces) expect(piece.cuts.reduce((s, c) => s + c.lengthM, 0)).toBeLessThanOrEqual(piece.lengthM + 1e-9);
        const bought = p.bought.reduce((s, b) => s + b.lengthM * b.count, 0);
        expect(bought).toBeCloseTo(p.cutsM + p.keptM + p.wasteM, 6);
      }
    });
  }
  it('takes the shelf first, since it costs nothing', () => {
    const cuts = [cut(2, 1), cut(1.2, 2)];
    const [bare] = cablePlans(cuts, {});
    const [laid] = cablePlans(cuts, { '16 mm² red': [2.1, 1.3] });
    expect([bare!.price > 0, laid!.price, laid!.bought, laid!.pieces.every((p) => p.shelf)]).toEqual([true, 0, [], true]);
  });
  it('never costs more for something more on the shelf', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.3, max: 6, noNaN: true }), { minLength: 1, maxLength: 6 }), fc.double({ min: 0.5, max: 8, noNaN: true }), (lengths, more) => {
        const cuts = lengths.map((m, i) => cut(Math.round(10 * m) / 10, i));
        return cablePlans(cuts, { '16 mm² red': [more] })[0]!.price <= cablePlans(cuts, {})[0]!.price + 1e-9;
      }),
      { numRuns: 60 },
    );
  });
  it('buys thin cable by the roll and thick by the metre, gauges by their copper', () => {
    expect(cablePlans([cut(2.2, 1, '2.5 mm²', 2.5)], {})[0]!.bought).toEqual([{ lengthM: 5, count: 1 }]);
    expect(cablePlans([cut(2.2, 1, '35 mm²', 35)], {})[0]!.bought).toEqual([{ lengthM: 3, count: 1 }]);
    expect(cablePlans([cut(2.2, 1, '12 B&S (3.31 mm²)', 3.31)], {})[0]!.bought).toEqual([{ lengthM: 5, count: 1 }]);
    const [one, seven] = [1, 7].map((cores) => cablePlans([cut(5, 1, '2.5 mm²', 2.5, cores)], {})[0]!.price);
    expect(seven! - one!).toBeCloseTo(6 * 5 * 2.5 * PLANNING_PRICES.cablePerMm2, 2);
  });
  it('says which cut is longer than anything that is sold', () => {
    const [plan] = cablePlans([cut(60, 7)], {});
    expect(plan!.trouble).toContain('7+ of 60 m is longer than anything that is sold');
  });
});

import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { restraintOf, restraints, STRAP_N } from './index.js';

describe('what holds heavy gear', () => {
  it('is 10 g forward, 6 g sideways, 5 g up', () => {
    const r = restraintOf(20);
    expect([r.forwardN, r.sidewaysN, r.upN]).toEqual([1961.33, jasmine.any(Number), jasmine.any(Number)]);
    expect([r.sidewaysN, r.upN].map((n) => Math.round(1000 * n) / 1000)).toEqual([1176.798, 980.665]);
    expect([restraintOf(50).straps, restraintOf(51).straps]).toEqual([1, 2]);
  });
  for (const { key, design } of DEMO_JOBS)
    it(`is told of all that weighs something, enough straps each: ${key}`, () => {
      const list = restraints(assess(design, SHIPPED_CATALOGUE).gear);
      expect(list.some((r) => r.gear === 'house')).toBeTrue();
      for (const r of list) expect(r.straps * STRAP_N).toBeGreaterThanOrEqual(r.forwardN);
    });
});

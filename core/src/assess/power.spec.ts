import { SHIPPED_CATALOGUE, type Catalogue } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { assess } from './assess.js';
import { powerOf } from './power.js';

const other = Object.assign(Object.create(Object.getPrototypeOf(SHIPPED_CATALOGUE) as object) as Catalogue, SHIPPED_CATALOGUE);

describe('the power side of a design', () => {
  for (const { key, design } of DEMO_JOBS)
    it(`is the same wherever things are, and anew when a load changes: ${key}`, () => {
      const before = powerOf(design, SHIPPED_CATALOGUE);
      expect(powerOf({ ...structuredClone(design), places: {}, runs: {}, board: null }, SHIPPED_CATALOGUE)).toBe(before);
      const less = structuredClone(design);
      delete less.loads[Object.keys(less.loads)[0]!];
      expect(powerOf(less, SHIPPED_CATALOGUE).day.ahDay).toBeLessThan(before.day.ahDay);
      expect(powerOf(design, other)).not.toBe(before);
      expect(powerOf(design, SHIPPED_CATALOGUE)).toEqual(before);
    });
  it('leaves an assessment as if nothing were kept', () => {
    const [a, b] = [DEMO_JOBS[0]!.design, DEMO_JOBS[1]!.design];
    const first = assess(a, SHIPPED_CATALOGUE);
    assess(b, SHIPPED_CATALOGUE);
    expect(assess(a, SHIPPED_CATALOGUE)).toEqual(first);
  });
});

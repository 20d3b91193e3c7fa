import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { Session } from '../quantity/index.js';
import { assess } from './assess.js';
import { powerOf } from './power.js';

describe('the power side of a design', () => {
  for (const { key, design } of DEMO_JOBS)
    it(`is the same wherever things are, and anew when a load changes: ${key}`, () => {
      const session = new Session();
      const before = powerOf(design, SHIPPED_CATALOGUE, session);
      expect(powerOf({ ...structuredClone(design), places: {}, runs: {}, board: null }, SHIPPED_CATALOGUE, session)).toBe(before);
      const less = structuredClone(design);
      delete less.loads[Object.keys(less.loads)[0]!];
      expect(powerOf(less, SHIPPED_CATALOGUE, session).day.ahDay).toBeLessThan(before.day.ahDay);
      const anew = powerOf(design, SHIPPED_CATALOGUE, new Session());
      expect(anew).not.toBe(before);
      expect(anew).toEqual(before);
    });
  it('leaves an assessment as if nothing were kept', () => {
    const [a, b] = [DEMO_JOBS[0]!.design, DEMO_JOBS[1]!.design];
    const session = new Session();
    assess(a, SHIPPED_CATALOGUE, { session });
    assess(b, SHIPPED_CATALOGUE, { session });
    expect(assess(a, SHIPPED_CATALOGUE, { session })).toEqual(assess(a, SHIPPED_CATALOGUE));
  });
});

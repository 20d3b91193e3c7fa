import fc from 'fast-check';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { copyDesign, type Design } from '../design/index.js';
import { besideKey, judgeRow, settlesAtC, soakSays, testPlan, type TestGroup, type TestPlan } from './index.js';

const demo = (key: string): Design => copyDesign(DEMO_JOBS.find((j) => j.key === key)!.design);
const plan: TestPlan = testPlan(demo('bookmobile'), SHIPPED_CATALOGUE)!;
const soak: TestGroup = plan.groups.find((g) => g.id === 'soak')!;
const [place] = plan.soak;
const read = (outsideC: number | null, ...c: number[]): Record<string, number> => ({
  ...Object.fromEntries(c.map((t, i) => [place!.rows[i]!, t])),
  ...(outsideC === null ? {} : { [besideKey('soak', 'outside')]: outsideC }),
});
const says = (outsideC: number | null, ...c: number[]): readonly [string, string] | undefined => {
  const [s] = soakSays(plan.soak, read(outsideC, ...c));
  return s && [s.mark, s.say];
};

describe('the soak test', () => {
  it('runs every compartment that warms up, and stops at what the first of its gear bears', () => {
    expect([place!.zone, place!.mostC, soak.rows.length]).toEqual(['seat', 45, 4 * plan.soak.length]);
    expect(soak.also).toEqual(['outside']);
    const [row] = soak.rows;
    expect(judgeRow(row!, soak, { [row!.id]: 44 })!.verdict).toBe('agrees');
    expect(judgeRow(row!, soak, { [row!.id]: 45.5 })!.verdict).toBe('near');
    expect(judgeRow(row!, soak, { [row!.id]: 52 })!.say).toContain('stop the test');
  });
  it('is none where nothing warms up', () => {
    const bees = testPlan(demo('bees'), SHIPPED_CATALOGUE)!;
    expect([bees.soak, bees.groups.some((g) => g.id === 'soak')]).toEqual([[], false]);
  });
  it('tells where a warming body settles from three readings, whatever its pace', () => {
    fc.assert(
      fc.property(fc.double({ min: -10, max: 40, noNaN: true }), fc.double({ min: 2, max: 40, noNaN: true }), fc.double({ min: 0.1, max: 0.95, noNaN: true }), (startC, riseK, left) => {
        const at = (n: number): number => startC + riseK * (1 - left ** n);
        expect(settlesAtC(at(0), at(1), at(2))!).toBeCloseTo(startC + riseK, 3);
      }),
    );
    expect(settlesAtC(20, 25, 30)).toBeNull();
  });
  it('says nothing without the air outside, and to go on while it rises as fast as before', () => {
    expect(says(null, 25, 27)).toBeUndefined();
    expect(says(20, 24)).toEqual(['look', jasmine.stringContaining('after 30 min and still rises: go on')]);
    expect(says(20, 24, 28)![1]).toContain('after 60 min and still rises');
  });
  it('says where it goes before it is there, and what that is on a hot day', () => {
    // Half of what is left in each half hour: 20, 24, 26, 27 … 28.
    expect(says(20, 24, 26)).toEqual(['look', jasmine.stringContaining('goes to 28 °C, 8 K over the air outside; on a day of 40 °C that is 48 °C')]);
  });
  it('holds once it settled as planned and stays below what its gear bears on a hot day', () => {
    const planned = place!.riseK;
    expect(planned).toBeGreaterThan(4);
    expect(says(20, 22, 23.5, 24)).toEqual(['holds', jasmine.stringContaining('settled at 24 °C')]);
    // Three more kelvin, and the battery may not be charged on such a day.
    expect(says(20, 25, 26.8, 27)).toEqual(['look', jasmine.stringMatching(/As planned \(7 K\)\. From 45 °C the house battery .* may not be charged/)]);
  });
  it('finds more and less warmth than the plan has', () => {
    expect(says(10, 24, 27.4, 28)![1]).toContain('is a vent covered, does the fan run');
    expect(says(20, 20.5, 20.8)).toEqual(['holds', jasmine.stringContaining('was everything at full output')]);
  });
  it('stops at once where the air comes to what the first of its gear bears', () => expect(says(30, 38, 45)).toEqual(['stop', jasmine.stringContaining('stop the test')]));
  it('leaves out what was read after a gap', () => {
    const gap = { ...read(20, 24), [place!.rows[3]!]: 28 };
    expect(soakSays(plan.soak, gap)[0]!.say).toContain('after 30 min');
  });
});

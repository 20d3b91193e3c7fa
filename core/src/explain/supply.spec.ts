import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { explainSupply } from './supply.js';

const whys = (key: string, change: (d: Design) => void = () => undefined) => {
  const design = structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
  change(design);
  const a = assess(design, SHIPPED_CATALOGUE);
  return explainSupply({ design, parkedDay: a.parkedDay, supply: a.supply, trip: a.trip });
};

describe('why, of the supply', () => {
  for (const { key } of DEMO_JOBS) {
    it(`${key}: every figure has a formula, inputs with their origin, and what it rests on`, () => {
      const all = whys(key);
      expect(all.length).toBeGreaterThan(3);
      expect(new Set(all.map((w) => w.figure)).size).toBe(all.length);
      for (const w of all) {
        expect(w.formula.length > 15 && w.basis.length > 8 && w.inputs.length > 2)
          .withContext(w.figure)
          .toBeTrue();
        for (const i of w.inputs) expect(i.value).not.toMatch(/NaN|undefined|^$/);
      }
    });
  }
  it('tells a setting from a default', () => {
    const share = (change?: (d: Design) => void) => whys('bees', change)[0]!.inputs.find((i) => i.name.startsWith('usable share'))!;
    expect(share()).toEqual(jasmine.objectContaining({ value: '50 %', origin: 'default' }));
    expect(share((d) => (d.settings.usableShare = 0.6))).toEqual(jasmine.objectContaining({ value: '60 %', origin: 'setting' }));
  });
  it('stands without a battery', () => expect(whys('vet', (d) => (supplyOf(d).battery.part = null)).map((w) => w.figure)).toEqual(['alternator left on the road, hot']));
});

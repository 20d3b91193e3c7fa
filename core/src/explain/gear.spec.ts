import { supplyOf } from '../design/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { draftGear } from '../places/index.js';
import { whyGear } from './gear.js';

describe('every piece of gear', () => {
  for (const { key, design } of DEMO_JOBS) {
    it(`of ${key} says why it is there, each kind in its own words`, () => {
      const gear = draftGear(design, SHIPPED_CATALOGUE);
      const said = new Map(gear.filter((g) => g.role !== 'load').map((g) => [g.id, whyGear(design, g)]));
      for (const [id, why] of said) expect(why.length).withContext(id).toBeGreaterThan(20);
      const apart = [...said].filter(([id]) => !['switch', 'shunt', 'disconnect', 'bus'].includes(id) && !id.startsWith('panel:')).map(([, why]) => why);
      expect(new Set(apart).size).toBe(apart.length);
    });
  }

  it('says what it is in this design: a link ties, a charger parts; a hub board is named as one', () => {
    const bees = DEMO_JOBS.find((j) => j.key === 'bees')!.design;
    const vet = structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
    const of = (d: typeof vet, id: string): string =>
      whyGear(
        d,
        draftGear(d, SHIPPED_CATALOGUE).find((g) => g.id === id)!,
      );
    expect(of(bees, 'charger')).toContain('ties the batteries together');
    expect(of(vet, 'charger')).toContain('keeps the two batteries apart');
    supplyOf(vet).hub = 'hub-14';
    expect(of(vet, 'bus')).toContain('on one board');
  });
});

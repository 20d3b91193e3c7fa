import { AMPACITY_A, ampacityA, ambientFactor, groupingFactor, LAID_FACTOR, type InsulationC } from './ampacity.js';
import { lugOhm, plugPoleOhm } from './contacts.js';
import { copperKgPerM, outsideDiameterMm } from './diameters.js';
import { RESISTANCE_OHM_PER_KM, resistanceOhmPerM } from './resistance.js';
import { cableSeries, GAUGES, gaugeAreaMm2, gaugeNumber, METRIC_AREAS_MM2 } from './sizes.js';

const air = { ambientC: 30, grouped: 1, laid: 'air' } as const;

describe('cable figures known by heart', () => {
  for (const [areaMm2, ...amps] of AMPACITY_A) {
    it(`${areaMm2} mm² carries its table amps at 30 °C`, () => {
      const got = ([70, 90, 105, 125] as InsulationC[]).map((insulationC) => Math.round(ampacityA(areaMm2, { ...air, insulationC })));
      expect(got).toEqual([...amps]);
    });
  }

  it('an area between two rows lies between their amps', () => {
    const at = (a: number): number => ampacityA(a, { ...air, insulationC: 105 });
    expect(at(20) > at(16) && at(20) < at(25)).toBeTrue();
    expect(at(20)).toBeCloseTo(Math.exp(Math.log(130) + ((Math.log(20) - Math.log(16)) / (Math.log(25) - Math.log(16))) * (Math.log(170) - Math.log(130))), 9);
  });

  it('areas beyond the table follow its last segment', () => expect(ampacityA(150, { ...air, insulationC: 105 })).toBeGreaterThan(450));
  it('heat, bunching and laying multiply', () => {
    const got = ampacityA(16, { insulationC: 105, ambientC: 55, grouped: 3, laid: 'conduit' });
    expect(got).toBeCloseTo(130 * Math.sqrt(50 / 75) * 0.7 * 0.8, 9);
  });
  it('cold never gives more than 15 %', () => expect(ambientFactor(70, -40)).toBe(1.15));
  it('bunching by the table', () => expect([1, 2, 3, 6, 9, 10, 13, 17].map(groupingFactor)).toEqual([1, 0.8, 0.7, 0.57, 0.5, 0.45, 0.41, 0.38]));
  it('laying by the table', () => expect(LAID_FACTOR).toEqual({ air: 1, conduit: 0.8, insulation: 0.5 }));

  it('has a resistance for every stocked metric size', () => expect([...RESISTANCE_OHM_PER_KM.keys()]).toEqual([...METRIC_AREAS_MM2]));
  it('takes gauge and auto sizes by their copper', () => {
    expect(resistanceOhmPerM(13.3, false, 20)).toBeCloseTo(18.1 / 13.3 / 1000, 12);
    expect(resistanceOhmPerM(13.3, true, 20) / resistanceOhmPerM(13.3, false, 20)).toBeCloseTo(1.02, 9);
  });

  it('reads the aughts', () => expect(['1/0', '0', '2/0', '00', '4/0', '0000', '6', 'x', '5/0'].map(gaugeNumber)).toEqual([0, 0, -1, -1, -3, -3, 6, null, null]));
  it('halves the copper about every three gauges', () => expect(gaugeAreaMm2('4')! / gaugeAreaMm2('10')!).toBeCloseTo(4.02, 1));
  it('lists both counters smallest first', () => {
    for (const series of ['metric', 'gauge'] as const) {
      const areas = cableSeries(series).map((s) => s.areaMm2);
      expect([...areas].sort((a, b) => a - b)).toEqual(areas);
    }
    expect(cableSeries('gauge').map((s) => s.size)).toEqual([...GAUGES]);
  });

  it('bolts thick cable to big studs', () => expect([lugOhm(10), lugOhm(16)]).toEqual([0.2e-3, 0.05e-3]));
  it('gives the bigger plug the smaller resistance', () => expect([plugPoleOhm(50), plugPoleOhm(175)]).toEqual([0.5e-3, 0.2e-3]));
  it('weighs copper', () => expect(copperKgPerM(35)).toBeCloseTo(0.3115, 4));
  it('takes the next stocked diameter, and the last beyond', () => expect([1, 13.3, 120, 200].map(outsideDiameterMm)).toEqual([2.7, 8.3, 20, 20]));
});

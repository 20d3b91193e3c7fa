import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf, type UsualSupply } from '../design/index.js';
import { inverterFor, withFixedParts } from './fixed-parts.js';
import { supplyOptions, withOption } from './options.js';

const demo = (key: string, change: (d: Design) => void = () => undefined): Design => {
  const d = structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
  change(d);
  return d;
};
const fixed = (key: string, change?: (d: Design) => void): UsualSupply => supplyOf(withFixedParts(demo(key, change), SHIPPED_CATALOGUE));
const options = (d: Design) => supplyOptions(withFixedParts(d, SHIPPED_CATALOGUE), SHIPPED_CATALOGUE);

describe('what the loads settle', () => {
  it('is the smallest inverter with room over what runs at once', () => {
    expect(inverterFor(demo('vet'), SHIPPED_CATALOGUE)!.id).toBe('inv-1600');
    expect(inverterFor(demo('bookmobile'), SHIPPED_CATALOGUE)!.id).toBe('inv-300');
    expect(inverterFor(demo('cinema'), SHIPPED_CATALOGUE)!.inputV).toBe(24);
  });
  it('is an inverter that takes the heaviest start', () =>
    expect(
      inverterFor(
        demo('bookmobile', (d) => (d.loads['l4']!.surge = 15)),
        SHIPPED_CATALOGUE,
      )!.ratedW,
    ).toBeGreaterThan(300));
  it('is no inverter where nothing wants mains', () => expect(inverterFor(demo('bees'), SHIPPED_CATALOGUE)).toBeNull());
  it('is a fuse block with ways to spare', () => {
    expect(fixed('bees').fuseBlock).toBe('fb-6');
    expect(fixed('bees', (d) => Array.from({ length: 8 }, (_, i) => (d.loads[`x${i}`] = { ...d.loads['l2']!, order: 20 + i }))).fuseBlock).toBe('fb-20');
  });
  it('is no charger from a vehicle that is not driven', () => expect(fixed('bees', (d) => (d.brief.trip.drivingH = 0)).isolation).toBe('none'));
});

describe('supplies worth trying', () => {
  it('follow the schools, and know the bank’s profile', () => {
    for (const o of options(demo('vet'))) {
      expect(o.battery.chemistry).toBe('lfp');
      expect(o.charger === null || o.charger.profiles.includes('lfp')).toBeTrue();
      expect(o.panels === 0 || o.charger === null || o.charger.sunInput !== null).toBeTrue();
    }
    expect(options(demo('vet', (d) => (d.settings.batterySchool = 'AGM'))).every((o) => o.battery.chemistry === 'agm')).toBeTrue();
    expect(options(demo('vet', (d) => (d.settings.sunSchool = 'own controller'))).every((o) => o.charger?.sunInput === null)).toBeTrue();
  });
  it('are pairs in a 24 V bank, from a 24 V vehicle', () => {
    for (const o of options(demo('cinema'))) expect([o.count % 2, o.charger?.inputV ?? 24]).toEqual([0, 24]);
  });
  it('take a controller by school and a mains charger where there is mains', () => {
    const d = withFixedParts(
      demo('playgroup', (x) => (x.settings = { ...x.settings, sunSchool: 'own controller', regulatorSchool: 'PWM' })),
      SHIPPED_CATALOGUE,
    );
    const option = supplyOptions(d, SHIPPED_CATALOGUE).find((o) => o.panels === 1)!;
    const { sun, mains } = supplyOf(withOption(d, SHIPPED_CATALOGUE, option));
    expect([SHIPPED_CATALOGUE.find('solar-controller', sun.controller)!.way, mains.charger !== null]).toEqual(['pwm', true]);
    d.brief.trip.mainsNights = 'never';
    expect(supplyOf(withOption(d, SHIPPED_CATALOGUE, option)).mains.charger).toBeNull();
  });
});

import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { VEHICLE_KINDS, type Design, supplyOf } from '../design/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { hardToUse, USE_MM } from './index.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const why = (d: Design, id: string): string | undefined => hardToUse(d, vehicleOf(d), assess(d, SHIPPED_CATALOGUE).gear).find((h) => h.gear === id)?.why;
const put = (d: Design, id: string, zone: string, face: string, u: number, v: number): Design => {
  d.places[id] = { zone, on: { face, u, v, turn: 0 }, when: 'now' };
  return d;
};

describe('what is used by hand and eye', () => {
  for (const { key, design } of DEMO_JOBS)
    it(`is drafted where it is at hand: ${key}`, () => {
      const { gear } = assess(design, SHIPPED_CATALOGUE);
      expect(gear.filter((g) => g.role === 'control').length).toBeGreaterThan(0);
      expect(hardToUse(design, vehicleOf(design), gear)).toEqual([]);
    });
  for (const kind of VEHICLE_KINDS)
    it(`is drafted so in every vehicle: ${kind}`, () => {
      const d = demo('vet');
      Object.assign(d, { vehicle: null, board: null, places: {}, runs: {} });
      d.brief.vehicleKind = kind;
      const { gear } = assess(d, SHIPPED_CATALOGUE);
      expect(hardToUse(d, vehicleOf(d), gear).filter((h) => !h.gear.startsWith('load:'))).toEqual([]);
    });
  for (const kind of VEHICLE_KINDS.filter((k) => k !== 'tray-back'))
    it(`has its outlets drafted at a hand’s height, off floors and clear of doors: ${kind}`, () => {
      const d = demo('vet');
      Object.assign(d, { vehicle: null, board: null, places: {}, runs: {} });
      d.brief.vehicleKind = kind;
      const [id] = Object.keys(d.loads) as [string];
      d.loads[id]!.purpose = 'sockets';
      const { gear } = assess(d, SHIPPED_CATALOGUE);
      expect(gear.some((g) => g.id === `load:${id}`)).toBeTrue();
      expect(hardToUse(d, vehicleOf(d), gear)).toEqual([]);
    });
  it('is told of when it is high, low, on a floor, on a ceiling, or beside what moves', () => {
    expect(why(put(demo('cinema'), 'display', 'body', 'body-front', 100, 1000), 'display')).toBe('too high');
    expect(why(put(demo('cinema'), 'display', 'body', 'body-floor', 100, 100), 'display')).toBe('gets stepped on');
    expect(why(put(demo('vet'), 'display', 'engine', 'engine-floor', 100, 100), 'display')).toBe('gets stepped on');
    const low = put(demo('bees'), 'display', 'box', 'box-right', 300, 40);
    expect(why(low, 'display')).toBe('cannot be read');
    low.vehicle = structuredClone(vehicleOf(low));
    for (const f of low.vehicle.faces) f.at.z -= 200;
    expect(why(low, 'display')).toBe('too low');
    expect(why(put(demo('cinema'), 'display', 'body', 'body-left', 2400, 400), 'display')).toBe('gets knocked');
  });
  it('says nothing of what only runs, nor of what comes later', () => {
    const d = put(demo('cinema'), 'display', 'body', 'body-floor', 100, 100);
    d.places['display']!.when = 'later';
    expect(why(d, 'display')).toBeUndefined();
    expect(USE_MM.low).toBeLessThan(USE_MM.readLow);
  });
  it('is ordered with its shunt, unless it comes later', () => {
    const d = demo('vet');
    const has = (): boolean => assess(d, SHIPPED_CATALOGUE).order.lines.some((l) => l.key === supplyOf(d).shunt);
    expect(has()).toBeTrue();
    d.places['display'] = { zone: 'canopy', on: null, when: 'later' };
    expect(has()).toBeFalse();
  });
});

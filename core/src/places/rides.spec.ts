import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { vehicleOf } from '../vehicle/index.js';

describe('a slide', () => {
  const onSlide = (travelMm: number, u: number) => {
    const d = structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design);
    d.vehicle = structuredClone(vehicleOf(d));
    d.vehicle.openings.find((o) => o.kind === 'slide')!.travelMm = travelMm;
    d.runs = {};
    d.places['load:l1'] = { zone: 'canopy', on: { face: 'canopy-floor', u, v: 60, turn: 0 }, when: 'now' };
    return assess(d, SHIPPED_CATALOGUE);
  };
  const loomM = (travelMm: number, u: number): number => onSlide(travelMm, u).runs.find((r) => r.spec.id === 'load-l1')!.spec.outM;
  const floor = vehicleOf(DEMO_JOBS.find((j) => j.key === 'vet')!.design).faces.find((f) => f.id === 'canopy-floor')!;
  const slide = vehicleOf(DEMO_JOBS.find((j) => j.key === 'vet')!.design).openings.find((o) => o.kind === 'slide')!;
  const ridesAt = slide.sweep.x - floor.at.x + 100;

  it('lengthens the loom of what rides on it by its travel', () => {
    expect(loomM(3000, ridesAt) - loomM(700, ridesAt)).toBeCloseTo(2.3, 1);
    expect(loomM(700, ridesAt) - loomM(0, ridesAt)).toBeCloseTo(0.7, 1);
  });
  it('leaves the loom of what stands beside it alone', () => expect(loomM(3000, 100)).toBe(loomM(700, 100)));
});

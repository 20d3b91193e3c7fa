import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import type { Design } from '../design/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { placedAt, SCORE, suggestPlaces } from './index.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);

describe('the best places', () => {
  const d = demo('vet');
  const offers = suggestPlaces(d, SHIPPED_CATALOGUE, 'inverter');
  it('are three at most, each on a face of its own, the lowest score first', () => {
    expect(offers.length).toBe(3);
    expect(new Set(offers.map((o) => o.on.face)).size).toBe(3);
    for (const [i, o] of offers.entries()) if (i) expect(o.score).toBeGreaterThanOrEqual(offers[i - 1]!.score);
  });
  it('cost what the whole design costs with it there', () => {
    const o = offers[0]!;
    delete d.runs['bus-inverter'];
    const a = assess(placedAt(d, 'inverter', o.zone, o.on), SHIPPED_CATALOGUE);
    const lean = Math.max(0, ...a.layout.weights.map((w) => Math.abs(w.leftOverRightKg)));
    expect(o.score).toBeCloseTo(a.order.total + SCORE.stop * a.tellTales.stops + SCORE.look * a.tellTales.looks + SCORE.lopsidedPerKg * lean, 6);
    const run = a.runs.find((r) => r.spec.id === 'bus-inverter')!;
    expect(run.ok && run.figures.dropV).toBeCloseTo(o.dropV, 9);
    expect(a.layout.troubles.filter((t) => t.gear === 'inverter' && ['fits', 'clash', 'sweep'].includes(t.kind))).toEqual([]);
  });
  it('hang no battery on a wall, and put nothing where it may not get wet', () => {
    expect(suggestPlaces(demo('vet'), SHIPPED_CATALOGUE, 'house').map((o) => o.on.face)).toEqual(jasmine.arrayWithExactContents(['canopy-floor', 'cab-floor']));
    expect(suggestPlaces(demo('bees'), SHIPPED_CATALOGUE, 'charger', 20).some((o) => o.zone === 'engine' || o.zone === 'tray')).toBeFalse();
  });
  it('are none that no cable reaches', () => {
    const cut = demo('vet');
    cut.vehicle = structuredClone(vehicleOf(cut));
    const inCab = new Set(cut.vehicle.waypoints.filter((w) => w.zone === 'cab').map((w) => w.id));
    cut.vehicle.waypoints = cut.vehicle.waypoints.filter((w) => !inCab.has(w.id));
    cut.vehicle.ways = cut.vehicle.ways.filter((w) => !inCab.has(w.a) && !inCab.has(w.b));
    cut.vehicle.points = cut.vehicle.points.filter((p) => !inCab.has(p.waypoint));
    const zones = (d: Design) => suggestPlaces(d, SHIPPED_CATALOGUE, 'charger', 20).map((o) => o.zone);
    expect(zones(demo('vet'))).toContain('cab');
    expect(zones(cut)).not.toContain('cab');
  });
  it('are none for what is not there', () => expect(suggestPlaces(demo('bees'), SHIPPED_CATALOGUE, 'inverter')).toEqual([]));
});

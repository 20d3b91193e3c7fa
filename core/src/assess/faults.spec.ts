import { lugOhm, resistanceOhmPerM } from '../cable/index.js';
import { batterySource, SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { assess } from './assess.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const run = (d: Design, id: string) => {
  const r = assess(d, SHIPPED_CATALOGUE).runs.find((x) => x.spec.id === id)!;
  if (!r.ok) throw new Error(`${id} has no size`);
  return r;
};

describe('prospective currents', () => {
  it('at the main fuse are the battery’s own, through its lug, with a link in the fuse’s place', () => {
    const d = demo('bees');
    supplyOf(d).isolation = 'none';
    const { figures } = run(d, 'house-bus');
    const { volt, ohm } = batterySource('agm', 120, 'stiffest');
    const byHand = volt / (ohm + lugOhm(figures.areaMm2));
    expect(figures.fuses[0]!.maxA).toBeCloseTo(byHand, 6);
  });

  it('at the far end are the weak battery’s, through hot cable and worn contacts', () => {
    const d = demo('bees');
    supplyOf(d).isolation = 'none';
    const r = run(d, 'house-bus');
    const { figures: f, spec } = r;
    const { volt, ohm } = batterySource('agm', 120, 'weakest');
    const perM = resistanceOhmPerM(f.areaMm2, false, 105);
    const feed = spec.outM * perM;
    const back = spec.backM * perM + 4 * lugOhm(f.areaMm2);
    const byHand = volt / (ohm + 2 * lugOhm(f.areaMm2) + feed + back);
    expect(f.fuses[0]!.minA).toBeCloseTo(byHand, 6);
  });

  it('grow with the bank and with a second battery beside it', () => {
    const one = demo('vet');
    const two = demo('vet');
    supplyOf(two).battery.count = 2;
    expect(run(two, 'bus-block').figures.fuses[0]!.maxA).toBeGreaterThan(run(one, 'bus-block').figures.fuses[0]!.maxA);
  });

  it('behind each fuse of a parallel bank are its own battery’s, not the node’s total', () => {
    const d = demo('cinema');
    const f = run(d, 'house1-bus').figures.fuses[0]!;
    expect(f.maxA).toBeLessThan(run(d, 'house2-bus').figures.fuses[0]!.maxA * 1.01);
    expect(f.maxA).toBeLessThan(27 / (0.7 * 2 * 2.5e-3 * (100 / 280)));
  });

  it('fall along the way from the battery to the load', () => {
    const d = demo('vet');
    const at = (id: string): number => run(d, id).figures.fuses[0]!.maxA;
    expect(at('house-bus') > at('bus-block') && at('bus-block') > at('load-l1')).toBeTrue();
  });

  it('come from the battery’s end of a charger’s leads alone', () => {
    const input = run(demo('vet'), 'start-charger').figures.fuses;
    const output = run(demo('vet'), 'charger-bus').figures.fuses;
    expect([input, output].map((list) => list.map((f) => f.end.source))).toEqual([['starting battery'], ['house battery']]);
    for (const f of [...input, ...output]) expect(f.maxA).toBeGreaterThan(1000);
  });

  it('on a sensing link are, at each end, those of the battery at that end', () => {
    const d = demo('bees');
    const starting = batterySource('flooded', d.supply.startingAh, 'stiffest');
    const house = batterySource('agm', 120, 'stiffest');
    const near = run(d, 'start-isolator').figures.fuses[0]!;
    const far = run(d, 'isolator-bus').figures.fuses[0]!;
    expect([near.end.source, far.end.source]).toEqual(['starting battery', 'house battery']);
    expect(far.maxA).toBeLessThan(house.volt / house.ohm);
    // The alternator stands beside the starting battery, behind its own 30 mΩ.
    expect(near.maxA).toBeLessThan(starting.volt / starting.ohm + 14.4 / 0.03);
    expect(near.maxA).toBeGreaterThan(0.5 * (starting.volt / starting.ohm));
  });

  it('call up a stronger kind of fuse where the plain one cannot break them', () => {
    const far = demo('bees');
    far.runs['house-bus'] = { outM: 12 };
    supplyOf(far).isolation = 'none';
    const agm = run(far, 'bus-block').figures;
    const lithium = run(demo('vet'), 'bus-block').figures;
    expect(agm.fuseType).toBe('small-bolt-in');
    expect(lithium.fuseType).not.toBe('small-bolt-in');
    for (const f of [...agm.fuses, ...lithium.fuses]) expect(f.maxA).toBeLessThanOrEqual(f.breakingA);
  });

  it('thicken a cable that does not outlast its short, and say so', () => {
    for (const { design } of DEMO_JOBS) {
      for (const r of assess(design, SHIPPED_CATALOGUE).runs) {
        if (r.ok) for (const f of r.figures.fuses) if (f.fault && f.maxA <= f.breakingA) expect(f.fault.cableSurvives).withContext(`${design.brief.customer}, ${r.spec.name}`).toBeTrue();
      }
    }
  });
});

describe('the tell-tales', () => {
  it('name the run that uses most of its limit, and the fuse with least room', () => {
    for (const { design } of DEMO_JOBS) {
      const a = assess(design, SHIPPED_CATALOGUE);
      const t = a.tellTales;
      for (const r of a.runs) {
        if (!r.ok) continue;
        if (r.spec.pathLimitPercent !== null) expect(r.figures.pathDropPercent / r.spec.pathLimitPercent).toBeLessThanOrEqual(t.worstDrop!.percent / t.worstDrop!.limit + 1e-9);
        expect(r.figures.window.to.ratingA / r.figures.window.fromA).toBeGreaterThanOrEqual(t.tightestFuse!.toA / t.tightestFuse!.fromA - 1e-9);
      }
      expect(t.stops + t.looks).toBe(a.open.length);
    }
  });

  it('take the added weight off the payload, and what hangs on it too', () => {
    const a = assess(demo('vet'), SHIPPED_CATALOGUE);
    const loadsKg = a.gear.filter((g) => g.role === 'load').reduce((s, g) => s + g.kg, 0);
    expect(loadsKg).toBeGreaterThan(10);
    expect(a.tellTales.payloadLeftKg).toBeCloseTo(420 - a.order.kg - loadsKg, 9);
    const d = demo('vet');
    d.brief.payloadLeftKg = null;
    expect(assess(d, SHIPPED_CATALOGUE).tellTales.payloadLeftKg).toBeNull();
  });
});

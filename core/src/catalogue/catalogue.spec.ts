import { Catalogue, partSchema, SHIPPED_CATALOGUE } from './catalogue.js';
import { CHEMISTRIES, CHEMISTRY, restV } from './kinds/battery/chemistry.js';
import { batterySource } from './kinds/battery/electrical.js';

describe('the shipped catalogue', () => {
  for (const part of SHIPPED_CATALOGUE.parts) {
    it(`${part.name} reads by its own schema`, () => expect(partSchema.safeParse(part).success).toBeTrue());
  }

  it('has each id once, and every kind', () => {
    const ids = SHIPPED_CATALOGUE.parts.map((p) => p.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const kind of ['battery', 'dcdc', 'isolator', 'panel', 'solar-controller', 'mains-charger', 'inverter', 'fuse-block'] as const)
      expect(SHIPPED_CATALOGUE.ofKind(kind).length).toBeGreaterThan(1);
  });

  it('gives nothing for an unknown id, or one of another kind', () => {
    expect([SHIPPED_CATALOGUE.find('battery', 'no-such'), SHIPPED_CATALOGUE.find('battery', 'inv-1000'), SHIPPED_CATALOGUE.find('battery', null)]).toEqual([null, null, null]);
  });

  it('can be another workshop’s', () => {
    const own = new Catalogue([{ ...SHIPPED_CATALOGUE.find('battery', 'bat-agm-100')!, id: 'ours' }]);
    expect([own.find('battery', 'ours')?.capacityAh, own.find('battery', 'bat-agm-100')]).toEqual([100, null]);
  });

  it('has panels whose volts, amps and watts agree', () => {
    for (const p of SHIPPED_CATALOGUE.ofKind('panel')) {
      expect(p.vmpV * p.impA).toBeCloseTo(p.ratedW, -1);
      expect(p.vocV > p.vmpV && p.iscA > p.impA)
        .withContext(p.name)
        .toBeTrue();
    }
  });
});

describe('battery chemistries', () => {
  for (const c of CHEMISTRIES) {
    it(`${CHEMISTRY[c].name} rises in resting volts from empty to full, point by point`, () => {
      const curve = CHEMISTRY[c].soc;
      expect([curve[0]![0], curve.at(-1)![0]]).toEqual([0, 1]);
      for (let i = 1; i < curve.length; i++) expect(curve[i]![1]).toBeGreaterThan(curve[i - 1]![1]);
      for (const [soc, v] of curve) expect(restV(c, soc)).toBeCloseTo(v, 9);
    });
  }

  it('lie straight between the points', () => expect(restV('agm', 0.375)).toBeCloseTo(12.15, 9));
  it('are stiffest when full and new, weakest half full and worn', () => {
    const [stiff, typical, weak] = (['stiffest', 'typical', 'weakest'] as const).map((s) => batterySource('agm', 100, s));
    expect(stiff!.ohm < typical!.ohm && typical!.ohm < weak!.ohm).toBeTrue();
    expect(stiff!.volt > typical!.volt && typical!.volt > weak!.volt).toBeTrue();
    expect(stiff!.ohm).toBeCloseTo(0.0028, 9);
  });
  it('pass two kiloamps from 100 Ah of lithium', () => {
    const s = batterySource('lfp', 100, 'stiffest');
    expect(s.volt / s.ohm).toBeGreaterThan(2000);
  });
});

import fc from 'fast-check';
import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { careTasks } from '../care/index.js';
import { editDesign, type Design } from '../design/index.js';
import { jobFromAnswers } from '../supply-options/index.js';
import { fitFans, takeFansOut } from './fans.js';
import { airedRiseK } from './heat.js';
import { ventedRiseK, ventsForCm2 } from './vents.js';

const drafted = (): Design => {
  const made = jobFromAnswers({ customer: 'Nobody', vehicleKind: 'tray-back', use: 'weekends', tier: 'sound' }, SHIPPED_CATALOGUE);
  if (!made.ok) throw new Error(made.message);
  return made.design;
};

describe('vents of a closed space', () => {
  it('carry off what warm air carries that rises between them, beside the skin', () => {
    // 60 W, 1.2 m² of skin, two of 100 cm² 0.4 m apart at 35 °C: by hand, 1204 · 0.6 · 0.007 / √2 · √(2 · 9.81 · 0.4 / 308) = 0.5707.
    const rise = ventedRiseK(60, 6.6, 100, 0.4, 35);
    expect(6.6 * rise + 0.5707 * rise ** 1.5).toBeCloseTo(60, 1);
    expect(rise).toBeLessThan(ventedRiseK(60, 6.6, 0, 0.4, 35));
    expect(ventedRiseK(60, 6.6, 0, 0.4, 35)).toBeCloseTo(60 / 6.6, 9);
  });

  it('cool the more, the larger and the further apart they are, and never below the air outside', () => {
    const w = fc.double({ min: 1, max: 500, noNaN: true });
    const cm2 = fc.double({ min: 0, max: 400, noNaN: true });
    fc.assert(
      fc.property(w, cm2, cm2, fc.double({ min: 0.05, max: 1.5, noNaN: true }), (heat, a, b, h) => {
        const [small, large] = [Math.min(a, b), Math.max(a, b)];
        const [less, more] = [ventedRiseK(heat, 5, large, h, 30), ventedRiseK(heat, 5, small, h, 30)];
        expect(less).toBeLessThanOrEqual(more + 1e-9);
        expect(less).toBeGreaterThan(0);
        expect(ventedRiseK(heat, 5, large, 2 * h, 30)).toBeLessThanOrEqual(less + 1e-9);
      }),
    );
  });

  it('are asked for in a size that holds the rise, or not at all', () => {
    const cm2 = ventsForCm2(60, 3, 8, 0.4, 35)!;
    expect(ventedRiseK(60, 3, cm2, 0.4, 35)).toBeLessThanOrEqual(8);
    expect(ventedRiseK(60, 3, cm2 - 25, 0.4, 35)).toBeGreaterThan(8);
    expect(ventsForCm2(20, 3, 8, 0.4, 35)).toBeNull();
    expect(ventsForCm2(900, 3, 2, 0.2, 35)).toBeNull();
  });

  it('are never worse beside fans than alone', () => {
    const fans = { outM3h: 100, inM3h: 0, fromC: 45 };
    const alone = airedRiseK(80, 1.2, 30, { outM3h: 0, inM3h: 0, fromC: 45, ventCm2: 150 }, 0.4);
    expect(airedRiseK(80, 1.2, 30, { ...fans, ventCm2: 150 }, 0.4)).toBeLessThanOrEqual(alone);
  });

  it('take the place of a fan: no load, two vents in the order, a step that cuts them, screens to brush', () => {
    const d = drafted();
    takeFansOut(d, 'box');
    const hot = assess(d, SHIPPED_CATALOGUE).findings.find((f) => f.rule === 'compartment-hot')!;
    const press = hot.presses.find((p) => p.label.startsWith('Cut two vents of'))!;
    const vented = editDesign(d, [...press.patch]);
    if (!vented.ok) throw new Error(vented.message);
    const a = assess(vented.design, SHIPPED_CATALOGUE);
    expect(a.findings.filter((f) => f.rule === 'compartment-hot')).toEqual([]);
    expect(Object.keys(vented.design.loads)).not.toContain('fan-box');
    const { ventCm2 } = vented.design.air['box']!;
    expect(a.order.lines.find((l) => l.key === `vent-${ventCm2}`)!.quantity).toBe(2);
    expect(a.fit.map((s) => s.id)).toContain('vent-box');
    expect(a.fit.map((s) => s.id)).not.toContain('fan-box');
    const care = careTasks(vented.design, SHIPPED_CATALOGUE, a).map((t) => t.id);
    expect([care.includes('vents'), care.includes('fans')]).toEqual([true, false]);
    fitFans(vented.design, { zone: 'box', name: 'box' }, { outM3h: 0, inM3h: 0, fromC: 40 });
    expect(vented.design.air).toEqual({});
  });
});

import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { editDesign, leaveVehicle, type Design } from '../design/index.js';
import { jobFromAnswers } from '../supply-options/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { boxesOf, boxGear, unboxGear } from './boxed.js';
import { fitFans, takeFansOut } from './fans.js';

const drafted = (answers: object): Design => {
  const made = jobFromAnswers({ customer: 'Nobody', ...answers }, SHIPPED_CATALOGUE);
  if (!made.ok) throw new Error(made.message);
  return made.design;
};

describe('fans of a closed space', () => {
  const box = drafted({ vehicleKind: 'tray-back', use: 'weekends', tier: 'sound' });
  const a = assess(box, SHIPPED_CATALOGUE);

  it('are in a draft whose charger would warm a box too far, with a wire and a fuse of their own', () => {
    expect(Object.keys(box.air)).toEqual(['box']);
    expect(a.findings.filter((f) => f.rule === 'compartment-hot')).toEqual([]);
    const run = a.runs.find((r) => r.spec.id === 'load-fan-box')!;
    expect(run.ok && run.figures.fuses.length).toBe(1);
    expect(a.gear.find((g) => g.id === 'load:fan-box')!.zone).toBe('box');
    expect(a.order.lines.some((l) => l.key === `fan-${box.air['box']!.outM3h}`)).toBeTrue();
  });

  it('are left to whoever fits them where people sit', () => {
    const wagon = drafted({ vehicleKind: 'wagon', use: 'events', tier: 'lean' });
    const hot = assess(wagon, SHIPPED_CATALOGUE).findings.filter((f) => f.rule === 'compartment-hot');
    expect(hot.map((f) => vehicleOf(wagon).zones.find((z) => z.id === f.at.about)!.people)).toEqual([true]);
    expect(wagon.air).toEqual({});
    expect(editDesign(wagon, hot[0]!.presses[0]!.patch).ok).toBeTrue();
  });

  it('draw what their flow wants, and keep what was typed of the load', () => {
    const d = structuredClone(box);
    d.loads['fan-box']!.name = 'two quiet fans';
    fitFans(d, { zone: 'box', name: 'box' }, { outM3h: 200, inM3h: 100, fromC: 35 });
    expect([d.loads['fan-box']!.name, d.loads['fan-box']!.draw]).toEqual(['two quiet fans', { by: 'plate', unit: 'W', value: 12 }]);
  });

  it('go with their load when they are taken out, when their box is, and when the vehicle is another', () => {
    const out = structuredClone(box);
    takeFansOut(out, 'box');
    const other = structuredClone(box);
    leaveVehicle(other);
    for (const d of [out, other]) expect([d.air, d.loads['fan-box'], d.places['load:fan-box']]).toEqual([{}, undefined, undefined]);

    const boxed = boxGear(box, SHIPPED_CATALOGUE, ['house'], { name: 'battery box', weather: 'dry', airMm: 40, sealed: false });
    if (!boxed.ok) throw new Error(boxed.message);
    const fanned = structuredClone(boxed.design);
    const [made] = boxesOf(vehicleOf(fanned));
    fitFans(fanned, { zone: made!.id, name: 'battery box' }, { outM3h: 20, inM3h: 0, fromC: 40 });
    const without = unboxGear(fanned, made!.id);
    expect(Object.keys(without.air)).toEqual(['box']);
    expect(without.loads[`fan-${made!.id}`]).toBeUndefined();
  });
});

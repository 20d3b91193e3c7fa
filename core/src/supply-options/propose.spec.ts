import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { blankDesign, designSchema, USES, supplyOf } from '../design/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { LOAD_LIBRARY } from '../loads/index.js';
import { simulateDesign } from '../trip-analysis/index.js';
import { threeDrafts } from './drafts.js';
import { applyIntake, intakeOf, intakeSchema, USUAL_WISHES } from './intake.js';

const talked = (use: (typeof USES)[number] = 'touring') => {
  const blank = blankDesign('x');
  blank.brief.use = use;
  return applyIntake(blank, { ...intakeOf(blank), use });
};

describe('ten answers', () => {
  it('know only appliances of the library', () => {
    const known = new Set(LOAD_LIBRARY.map((i) => i.id));
    for (const use of USES) for (const id of USUAL_WISHES[use]) expect(known.has(id)).withContext(id).toBeTrue();
  });
  for (const use of USES) {
    it(`${use}: become loads, a trip, and runs once a draft is taken`, () => {
      const d = talked(use);
      expect(designSchema.safeParse(d).success).toBeTrue();
      expect(Object.values(d.loads).filter((l) => l.critical).length).toBeGreaterThanOrEqual(1);
      const sound = threeDrafts(d, SHIPPED_CATALOGUE)[1]!.design;
      const a = assess(sound, SHIPPED_CATALOGUE);
      expect(a.runs.length).toBeGreaterThan(Object.keys(d.loads).length / 2);
      expect(a.trip!.criticalOffH).toBe(0);
    });
  }
  it('are refused out of range, by name', () => {
    const read = intakeSchema.safeParse({ ...intakeOf(blankDesign('x')), drivingH: 30 });
    expect(!read.success && read.error.issues[0]!.path).toEqual(['drivingH']);
  });
  it('leave the design they came from alone', () => {
    const d = blankDesign('x');
    const before = JSON.stringify(d);
    applyIntake(d, { ...intakeOf(d), vehicleKind: 'van' });
    expect(JSON.stringify(d)).toBe(before);
  });
});

describe('three drafts', () => {
  for (const { key, design } of DEMO_JOBS) {
    it(`${key}: lean, sound and roomy cost and carry more in that order, and stand what they say`, () => {
      const drafts = threeDrafts(design, SHIPPED_CATALOGUE);
      expect(drafts.map((d) => d.tier)).toEqual(['lean', 'sound', 'roomy']);
      expect(drafts[0]!.price).toBeLessThan(drafts[1]!.price);
      expect(drafts[1]!.price).toBeLessThan(drafts[2]!.price);
      for (const d of drafts) {
        expect(d.stands).toBeTrue();
        const r = simulateDesign(d.design, SHIPPED_CATALOGUE, { stepS: 300 })!;
        expect(r.criticalOffH).toBe(0);
        expect(r.minSoc).toBeCloseTo(d.lowMean, 1);
        expect(d.lowDull).toBeLessThanOrEqual(d.lowMean + 1e-9);
        d.givesOut.slice(1).forEach((g, i) => expect(g.used).toBeLessThanOrEqual(d.givesOut[i]!.used));
        expect(designSchema.safeParse(d.design).success).toBeTrue();
      }
    });
  }
  it('follow the school: AGM, own controller, no charger with a second input', () => {
    const d = talked();
    d.settings = { ...d.settings, batterySchool: 'AGM', sunSchool: 'own controller' };
    for (const draft of threeDrafts(d, SHIPPED_CATALOGUE)) {
      expect(SHIPPED_CATALOGUE.find('battery', supplyOf(draft.design).battery.part)!.chemistry).toBe('agm');
      if (supplyOf(draft.design).sun.panel) expect(supplyOf(draft.design).sun.controller).not.toBeNull();
    }
  });
  it('say when they are over the money or the weight, rather than hiding it', () => {
    const d = talked();
    d.brief.budget = 500;
    d.brief.payloadLeftKg = 5;
    for (const draft of threeDrafts(d, SHIPPED_CATALOGUE)) expect([draft.overBudget, draft.overWeight]).toEqual([true, true]);
  });
  it('put folding panels beside a roof that does not carry the trip, say so, and none where it does', () => {
    const carried = (d: ReturnType<typeof talked>) => threeDrafts(d, SHIPPED_CATALOGUE).map((x) => ({ ...x, folding: x.design.arrays['portable'] ?? null }));
    const blank = blankDesign('x');
    blank.brief.use = 'living aboard';
    for (const { design, folding, why } of carried(applyIntake(blank, { ...intakeOf(blank), vehicleKind: 'tray-back' }))) {
      expect([folding?.part, folding?.into]).toEqual(['pv-200-fold', { in: 'banks', id: 'house' }]);
      expect(why.join()).toContain('folding panels when parked');
      expect(assess(design, SHIPPED_CATALOGUE).open.filter((f) => f.severity === 'stop')).toEqual([]);
    }
    for (const { folding, why } of carried(talked('weekends'))) expect([folding, why.join().includes('folding')]).toEqual([null, false]);
  });
  it('say when nothing stands', () => {
    const d = talked();
    d.loads['fridge']!.draw = { by: 'plate', unit: 'W', value: 4000 };
    expect(threeDrafts(d, SHIPPED_CATALOGUE)[2]!.stands).toBeFalse();
  });
});

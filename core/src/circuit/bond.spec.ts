import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { kFactor } from '../protection/index.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const of = (d: Design) => assess(d, SHIPPED_CATALOGUE);

describe('the house-negative bond', () => {
  it('outlasts what the worst of all fuses lets through, in every demo job', () => {
    for (const { key, design } of DEMO_JOBS) {
      const a = of(design);
      const worst = Math.max(...a.runs.flatMap((r) => (r.ok ? r.figures.fuses.map((f) => f.fault?.worstLetThroughA2s ?? 0) : [])));
      expect(a.bond!.letThroughA2s).withContext(key).toBe(worst);
      expect((kFactor(design.settings.insulationC) * a.bond!.areaMm2) ** 2).toBeGreaterThanOrEqual(worst);
    }
  });

  it('is ordered, cut and fitted: once', () => {
    const a = of(demo('vet'));
    expect(a.fit.filter((s) => s.id === 'bond').length).toBe(1);
    expect(a.order.lines.filter((l) => l.uses.includes('house negative to body')).map((l) => l.group)).toEqual(['cable', 'joints']);
  });

  it('says what cranking sends through a thin return when the engine’s earth fails', () => {
    const a = of(demo('vet'));
    const c = a.bond!.cranking!;
    expect(c.amp).toBeGreaterThan(c.carriesA);
    expect(a.fit.find((s) => s.id === 'bond')!.caution).toContain(`through run ${c.number}’s`);
    const far = demo('vet');
    far.runs['start-charger'] = { outM: 12, areaMm2: 35 };
    expect(of(far).bond!.cranking!.amp).toBeLessThan(c.amp);
  });

  it('has no such return where the run goes back through the body', () => {
    const d = demo('vet');
    d.runs['start-charger'] = { back: 'chassis' };
    expect(of(d).bond!.cranking).toBeNull();
  });

  it('is none where nothing shares a body with a starting battery', () => {
    const d = demo('vet');
    supplyOf(d).isolation = 'none';
    expect(of(d).bond).toBeNull();
  });
});

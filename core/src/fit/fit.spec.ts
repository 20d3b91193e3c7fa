import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { buildPlan, type FitStep } from './index.js';

const stepsOf = (key: string): readonly FitStep[] => assess(DEMO_JOBS.find((j) => j.key === key)!.design, SHIPPED_CATALOGUE).fit;

describe('the build in order', () => {
  for (const { key } of DEMO_JOBS) {
    it(`${key}: has every step once, none before what it waits for, safe first and power last`, () => {
      const steps = stepsOf(key);
      const ids = new Set(steps.map((s) => s.id));
      expect(ids.size).toBe(steps.length);
      for (const s of steps) for (const a of s.after) expect(ids.has(a)).withContext(`${s.id} waits for ${a}`).toBeTrue();
      const plan = buildPlan(steps);
      const order = plan.visits.flatMap((v) => v.steps.map((s) => s.id));
      expect([...order].sort()).toEqual([...ids].sort());
      const at = new Map(order.map((id, i) => [id, i]));
      for (const s of steps) for (const a of s.after) expect(at.get(a)!).withContext(`${a} before ${s.id}`).toBeLessThan(at.get(s.id)!);
      expect(order[0]).toBe('safe-negative');
      expect(order.indexOf('power-main')).toBeGreaterThan(Math.max(...order.flatMap((id, i) => (at.has(id) && steps.find((s) => s.id === id)!.section === 'join and tighten' ? [i] : []))));
    });
    it(`${key}: climbs in less often than down the list, and never below its bound`, () => {
      const plan = buildPlan(stepsOf(key));
      expect(plan.visits.length).toBeLessThan(plan.listedVisits);
      expect(plan.changeMin).toBeLessThan(plan.listedChangeMin);
      expect(plan.changeMin).toBeGreaterThanOrEqual(plan.leastChangeMin - 1e-9);
      expect(plan.workMin).toBe(plan.visits.reduce((s, v) => s + v.minutes, 0));
    });
  }
  it('crimps at both ends of a run, each where it is, and fuses it after both', () => {
    const steps = stepsOf('vet');
    const far = steps.filter((s) => s.id.endsWith('-far'));
    expect(far.length).toBeGreaterThan(0);
    for (const f of far) {
      const near = steps.find((s) => `${s.id}-far` === f.id)!;
      expect(near.place).not.toBe(f.place);
    }
    const fuse = steps.find((s) => s.id === 'fuse-start-charger')!;
    expect(fuse.after).toEqual(['join-start-charger', 'join-start-charger-far']);
  });
  it('presses thick lugs and squeezes thin ones', () => {
    const steps = stepsOf('vet');
    expect(steps.find((s) => s.id === 'join-house-bus')!.tool).toBe('hydraulic crimper');
    expect(steps.find((s) => s.id === 'join-load-l1')!.tool).toBe('hand crimper');
  });
  it('of nothing is nothing', () => expect(buildPlan([])).toEqual({ visits: [], workMin: 0, changeMin: 0, listedChangeMin: 0, listedVisits: 0, leastChangeMin: 0 }));
});

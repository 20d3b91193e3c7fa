import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { faultBook } from '../faults/index.js';
import { impossiblePairs, testPlan } from '../test-plan/index.js';
import { readDesign, type Design } from './index.js';

const vet = (): Design => structuredClone(DEMO_JOBS.find((j) => j.key === 'vet')!.design);

describe('a workshop’s own meters and torques', () => {
  it('are the usual ones in a job from before it could say so', () => {
    const { meters: _, torqueNm: __, money: ___, ...older } = vet().settings;
    const read = readDesign({ ...vet(), settings: older });
    expect(read.ok && [read.design.settings.meters.clamp.share, read.design.settings.torqueNm.M8, read.design.settings.money.sign]).toEqual([0.025, 12, '']);
  });

  it('judge every reading of the kind: at the loads, by each source, and in the search for a fault', () => {
    const coarse = vet();
    coarse.settings.meters.volt = { name: 'old needle', share: 0.03, absolute: 0.2, checkedOn: null };
    const tolerances = (d: Design): number[] => {
      const rows = [...assess(d, SHIPPED_CATALOGUE).prove.slice(1), ...testPlan(d, SHIPPED_CATALOGUE)!.groups.flatMap((g) => g.rows)];
      const probes = faultBook(d, SHIPPED_CATALOGUE)!.probes;
      return [...rows, ...probes].filter((r) => r.unit === 'V' && r.meter.kind === 'volt').map((r) => r.tolerance);
    };
    const [fine, wide] = [tolerances(vet()), tolerances(coarse)];
    expect(wide.length).toBe(fine.length);
    expect(wide.every((t, i) => t >= fine[i]!)).toBeTrue();
    expect(wide.filter((t, i) => t > 1.5 * fine[i]!).length).toBeGreaterThan(0.8 * fine.length);
  });

  it('say what is impossible only beyond what they may be off by', () => {
    const plan = (d: Design) => testPlan(d, SHIPPED_CATALOGUE)!;
    const coarse = vet();
    coarse.settings.meters.clamp = { name: '', share: 0.2, absolute: 5, checkedOn: null };
    const [inV, inA, outV, outA] = plan(vet()).converters[0]!.rows;
    const read = { [inV]: 12.4, [inA]: 20, [outV]: 13.9, [outA]: 19 };
    expect(impossiblePairs(plan(vet()), read).length).toBe(1);
    expect(impossiblePairs(plan(coarse), read).length).toBe(0);
  });

  it('are what a joint is tightened to', () => {
    const soft = vet();
    soft.settings.torqueNm = { ...soft.settings.torqueNm, M8: 9 };
    const joints = (d: Design): string =>
      assess(d, SHIPPED_CATALOGUE)
        .fit.flatMap((s) => (s.section === 'join and tighten' ? [s.detail] : []))
        .join();
    expect(joints(vet())).toContain('M8, 12 N·m');
    expect(joints(soft)).not.toContain('M8, 12 N·m');
    expect(joints(soft)).toContain('M8, 9 N·m');
  });
});

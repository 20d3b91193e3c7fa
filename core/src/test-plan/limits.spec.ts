import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { copyDesign, type Design } from '../design/index.js';
import { mainsSources, RCD } from '../mains/index.js';
import { judgeLimit } from '../prove/limit.js';
import type { Expected } from '../prove/index.js';
import { jointMostMv, judgeRow, testPlan, type TestGroup } from './index.js';

const demo = (key: string): Design => copyDesign(DEMO_JOBS.find((j) => j.key === key)!.design);
const groupsOf = (design: Design): readonly TestGroup[] => testPlan(design, SHIPPED_CATALOGUE)!.groups;

describe('a joint', () => {
  it('may lose half a milliohm’s worth, and never more than 20 mV', () => expect([10, 30, 40, 135].map(jointMostMv)).toEqual([5, 15, 20, 20]));
  it('is read on each heavy run once, where most flows through it, and on no light one', () => {
    for (const { design, key } of DEMO_JOBS) {
      const groups = testPlan(design, SHIPPED_CATALOGUE)?.groups ?? [];
      const joints = groups.flatMap((g) => g.rows.filter((r) => r.unit === 'mV'));
      expect(new Set(joints.map((r) => r.about)).size)
        .withContext(key)
        .toBe(joints.length);
      expect(joints.length).withContext(key).toBeGreaterThan(0);
      for (const r of joints) expect([r.currentA >= 30, r.expected]).toEqual([true, jointMostMv(r.currentA)]);
    }
  });
  it('is to be remade beyond that, read again on the edge, and asked for its unit when it was typed in volts', () => {
    const group = groupsOf(demo('vet')).find((g) => g.id === 'loads')!;
    const row = group.rows.find((r) => r.id === 'loads.joint:house-bus')!;
    const verdict = (mv: number): string => judgeRow(row, group, { [row.id]: mv })!.verdict;
    expect([3, -3, 20, 20.2, 24, 0.012].map(verdict)).toEqual(['agrees', 'agrees', 'agrees', 'near', 'off', 'unit']);
    expect(judgeRow(row, group, { [row.id]: 24 })!.say).toContain('take it apart');
    expect(judgeRow(row, group, { [row.id]: 0.012 })!.say).toContain('12.0 mV');
  });
});

describe('a residual-current device', () => {
  const rows = (answer: string | null) => {
    const design = demo('bookmobile');
    const [source] = mainsSources(design, SHIPPED_CATALOGUE);
    if (answer) design.mains.answers[`${source!.id}.rcd`] = answer;
    return groupsOf(design).find((g) => g.id === 'residual')?.rows ?? [];
  };
  it('is timed by the licensed electrician once they named it: 300 ms at its rating, 40 ms at five times that', () => {
    expect(rows(RCD.thirty).map((r) => [r.expected, r.unit, r.atMost])).toEqual([
      [300, 'ms', true],
      [40, 'ms', true],
    ]);
    expect(rows(RCD.ten)[1]!.where).toContain('five times 10 mA');
  });
  it('is not asked for where there is none, none was named, or the 230 V side is not ours', () => {
    expect([rows(null), rows(RCD.none)]).toEqual([[], []]);
    const design = demo('playgroup');
    expect(groupsOf(design).some((g) => g.id === 'residual')).toBeTrue();
    design.mains.notOurs = { by: 'Wren', reason: 'the owner’s electrician', on: '2026-11-01' };
    expect(groupsOf(design).some((g) => g.id === 'residual')).toBeFalse();
  });
  it('that never opened has no time', () => {
    const timed: Expected = { expected: 300, tolerance: 2, atMost: true, meter: { kind: 'volt' }, dropV: 0, mostV: null, unit: 'ms', run: null };
    expect([28, 300, 301, 340, 0].map((ms) => judgeLimit(timed, ms).verdict)).toEqual(['agrees', 'agrees', 'near', 'off', 'off']);
  });
});

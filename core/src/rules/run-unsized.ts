import { figure } from '../quantity/index.js';
import type { Rule } from './rule.js';

const WHY: Readonly<Record<string, string>> = {
  'window-closed': 'no standard fuse lies between its load and its weakest part',
  'no-cable-size': 'no stocked cable is thick enough',
  'no-operating-point': 'the wire can never deliver what the load asks for',
  'too-hot': 'its surroundings are hotter than the insulation may get',
};
const FIX: Readonly<Record<string, string>> = {
  'window-closed': 'Raise the rating of the plug or way, or share the load between two runs.',
  'no-cable-size': 'Shorten the run, use two equal conductors a pole, or go to 24 V.',
  'no-operating-point': 'A thicker cable, a shorter run, or a smaller load.',
  'too-hot': 'Another way round the heat, or a better insulation.',
};

export const runUnsized: Rule = {
  id: 'run-unsized',
  severity: 'stop',
  basis: 'cable ampacity, fuse window and drop taken together',
  why: 'A run without a size cannot be built.',
  test: ({ runs }) =>
    runs.flatMap((r) => {
      if (r.ok) return [];
      const largest = [...r.tried].reverse().find((t) => t.point.ok);
      const amps = largest?.point.ok ? figure(largest.point.currentA, 0) : '–';
      return [{ at: { stage: 'runs' as const, about: r.spec.id }, values: { run: r.spec.name, error: r.error, amps, holds: r.error === 'no-operating-point' ? (largest?.size.areaMm2 ?? 0) : 0 } }];
    }),
  say: (v) => `${v['run']} (${v['amps']} A): ${WHY[String(v['error'])]}.`,
  fix: (v) => (Number(v['holds']) > 0 ? `From ${v['holds']} mm² on the volts hold; the draft’s own size also meets drop and fuse.` : FIX[String(v['error'])]!),
};

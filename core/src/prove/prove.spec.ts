import { assess, provePlan } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { isOverdue } from './overdue.js';
import { BATTERY_ROW } from './rows.js';
import type { Expected } from './expected.js';
import { judgeReading } from './verdict.js';

const row: Expected = { expected: 12.4, tolerance: 0.09, meter: { kind: 'volt', share: 0, absolute: 0.09 }, dropV: 0, mostV: 13.1, unit: 'V', run: 'Fuse block → pump' };

describe('a check of an instrument', () => {
  it('holds a year, to the day; one that nobody told of is not overdue', () => {
    expect(['2025-12-01', '2025-11-30', '2026-11-30', null].map((d) => isOverdue(d, '2026-12-01'))).toEqual([false, true, false, false]);
  });
});

describe('a reading', () => {
  it('agrees within its tolerance, is near within twice, off beyond', () => {
    expect([12.4, 12.49, 12.25, 12.0].map((v) => judgeReading(row, v).verdict)).toEqual(['agrees', 'agrees', 'near', 'off']);
  });
  it('that is low sends the meter to the run’s own joints', () => expect(judgeReading(row, 11.9).say).toContain('Fuse block → pump'));
  it('above what the battery has is impossible', () => expect(judgeReading(row, 13.6).verdict).toBe('impossible'));
  it('the wrong way round, or in millivolts, is told as such', () => expect([-12.4, 12400].map((v) => judgeReading(row, v).verdict)).toEqual(['reversed', 'unit']));
  it('of a battery is bounded by nothing', () => expect(judgeReading({ ...row, mostV: null, run: null }, 14).verdict).toBe('off'));
});

describe('the readings to take', () => {
  const { design } = DEMO_JOBS.find((j) => j.key === 'vet')!;
  const a = assess(design, SHIPPED_CATALOGUE);

  it('start with the battery, and have one for each load and the inverter', () => {
    expect(a.prove[0]!.id).toBe(BATTERY_ROW);
    expect(a.prove.length).toBe(1 + a.runs.filter((r) => r.spec.group === 'loads' || r.spec.id === 'bus-inverter').length);
  });
  it('expect less at every load than at the battery', () => {
    for (const r of a.prove.slice(1)) expect(r.expected).toBeLessThan(a.prove[0]!.expected);
  });
  it('move with the battery’s own reading', () => {
    const lower = provePlan(design, SHIPPED_CATALOGUE, a.runs, a.inline, { [BATTERY_ROW]: 12.9 });
    expect(lower[0]!.expected).toBe(12.9);
    expect(lower[1]!.expected).toBeLessThan(a.prove[1]!.expected - 0.3);
    expect(lower[0]!.tolerance).toBeLessThan(a.prove[0]!.tolerance);
  });
  it('are not led astray by a battery reading of 1.3 V', () => expect(provePlan(design, SHIPPED_CATALOGUE, a.runs, a.inline, { [BATTERY_ROW]: 1.3 })[0]!.expected).toBe(a.prove[0]!.expected));
});

import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, supplyOf } from '../design/index.js';
import { circuitPlan, isolationMap, NAMED_STATES, PARKED, selectivePairs, stateFigures, type IsolationMap } from './index.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const planOf = (d: Design) => circuitPlan(d, SHIPPED_CATALOGUE, assess(d, SHIPPED_CATALOGUE))!;
const cell = (m: IsolationMap, name: string, column: string) => m.rows.find((r) => r.name === name)!.cells[m.columns.findIndex((c) => c.name === column)]!;

describe('what stays live', () => {
  it('is the bus bars behind an open main switch, by the charger, and what hangs on them', () => {
    const m = isolationMap(planOf(demo('vet')));
    expect(cell(m, 'bus bars', 'main switch')).toEqual({ state: 'live', by: ['charger'] });
    expect(cell(m, 'vaccine fridge', 'main switch').by).toEqual(['charger']);
    expect(cell(m, 'vaccine fridge', 'all of them').state).toBe('dead');
  });

  it('is only what feeds itself with everything off', () => {
    for (const { key, design } of DEMO_JOBS) {
      const m = isolationMap(planOf(design));
      const live = m.rows.filter((r) => r.cells.at(-1)!.state !== 'dead').map((r) => r.gear);
      expect(live.every((g) => ['house', 'starting', 'panel'].includes(g)))
        .withContext(`${key}: ${live.join()}`)
        .toBeTrue();
    }
  });

  it('are the positives of all loads where the disconnect sits in the negative', () => {
    const d = demo('vet');
    supplyOf(d).disconnect.pole = 'negative';
    expect(cell(isolationMap(planOf(d)), 'water pump', 'disconnect').state).toBe('live to the body');
  });

  it('passes through a closed isolator from the starting battery', () => expect(cell(isolationMap(planOf(demo('bees'))), 'bus bars', 'main switch').by).toContain('starting battery'));

  it('has a column for each thing that can be opened, and none for what is not there', () => {
    const names = (key: string) => isolationMap(planOf(demo(key))).columns.map((c) => c.name);
    expect(names('vet')).toEqual(['nothing', 'main switch', 'disconnect', 'panel breaker', 'starting battery’s fuse', 'all of them']);
    expect(names('cinema')).toContain('mains lead');
    expect(names('cinema')).not.toContain('panel breaker');
  });
});

describe('a state in figures', () => {
  it('says which run collapses, and the size from which it holds', () => {
    const d = demo('vet');
    d.runs['bus-inverter'] = { outM: 3, areaMm2: 10 };
    d.loads['l6']!.surge = 2.1;
    const plan = planOf(d);
    expect(stateFigures(plan, PARKED).ok).toBeTrue();
    const r = stateFigures(plan, { ...PARKED, loads: 'surge' });
    if (r.ok || r.holdsMm2 === null) throw new Error('expected a collapse that more copper mends');
    expect(r.run).toBe('bus-inverter');
    expect(r.say).toMatch(/^the inverter \d+ W asks for more than run 4 .* can give: its volts collapse. From \d+ mm² on it holds/);
    d.runs['bus-inverter'] = { outM: 3, areaMm2: r.holdsMm2 };
    expect(stateFigures(planOf(d), { ...PARKED, loads: 'surge' }).ok).toBeTrue();
  });

  it('names what is left out for want of a size', () => {
    const d = demo('vet');
    d.runs['start-charger'] = { ambientC: 110 };
    const r = stateFigures(planOf(d), PARKED);
    expect(r.ok && r.notes.some((n) => n.includes('has no size yet, and stands here as its load wants it: Starting battery → charger'))).toBeTrue();
  });

  it('says so where no cable helps', () => {
    const r = stateFigures(planOf(demo('vet')), NAMED_STATES['main switch open']!);
    expect(!r.ok && r.run === null && /no cable helps/.test(r.say)).toBeTrue();
  });

  it('notes what is dark and what has cut out', () => {
    const r = stateFigures(planOf(demo('vet')), NAMED_STATES['disconnect open']!);
    expect(r.ok && r.notes.includes('nothing feeds vaccine fridge')).toBeTrue();
  });

  it('holds no note where all is well, in any demo job', () => {
    for (const { design } of DEMO_JOBS) {
      const r = stateFigures(planOf(design), NAMED_STATES['everything charges, loads off']!);
      expect(r.ok && r.notes.length).toBe(0);
    }
  });
});

describe('neighbouring fuses', () => {
  it('are paired from the battery to each load', () => {
    const pairs = selectivePairs(assess(demo('vet'), SHIPPED_CATALOGUE).runs);
    expect(pairs.find((p) => p.far.run === 'load-l1')!.near.run).toBe('bus-block');
    expect(pairs.find((p) => p.far.run === 'bus-block')!.near.run).toBe('house-bus');
    expect(pairs.some((p) => p.far.run === 'house-bus')).toBeFalse();
  });

  it('count the main fuse of each parallel battery by its share of the short', () => {
    const d = demo('bookmobile');
    const pairs = selectivePairs(assess(d, SHIPPED_CATALOGUE).runs);
    const p = pairs.find((x) => x.far.run === 'charger-bus')!;
    expect(p.result.ratio).toBeCloseTo((2 * p.near.fuse.ratingA) / p.far.fuse.ratingA, 9);
  });
});

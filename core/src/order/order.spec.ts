import type { LayoutFigures } from '../routes/index.js';
import { assess, type Assessment } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import type { Design } from '../design/index.js';
import { USUAL_TORQUE_NM } from '../design/index.js';
import { fitSteps } from '../fit/index.js';
import { studOf } from './list.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
const lines = (d: Design, re: RegExp) => of(d).order.lines.filter((l) => re.test(l.what));

const EMPTY_LAYOUT: LayoutFigures = { faces: [], troubles: [], faceLoads: [], heat: [], weights: [], boxes: [], leads: [], stretches: [], pairs: [], matings: [], bendMm: new Map() };

describe('the parts list', () => {
  it('has every chosen device once, and batteries and panels by count', () => {
    const d = demo('bookmobile');
    expect(lines(d, /lithium battery 120/).map((l) => l.quantity)).toEqual([2]);
    expect(lines(d, /roof panel 160/).map((l) => l.quantity)).toEqual([3]);
    for (const what of [/DC-DC charger 25 A, dual/, /MPPT controller 40/, /mains charger 25/, /inverter 1000/, /fuse block 12/, /bus bar pair/])
      expect(lines(d, what).map((l) => l.quantity))
        .withContext(String(what))
        .toEqual([1]);
  });

  it('gives each panel of a group its own fuse, and a lone one none', () => {
    expect(lines(demo('bookmobile'), /in-line panel fuse/).map((l) => [l.what, l.quantity])).toEqual([['in-line panel fuse 15 A, weatherproof', 3]]);
    expect(lines(demo('vet'), /in-line panel fuse/)).toEqual([]);
  });

  it('adds alike cable together, with waste, in half metres', () => {
    const d = demo('bees');
    for (const l of lines(d, /^cable .* (red|black)$/)) {
      const cut = of(d)
        .order.cuts.filter((c) => `cable ${c.size} ${c.colour}` === l.what)
        .reduce((m, c) => m + c.lengthM, 0);
      expect(l.quantity).toBeGreaterThanOrEqual(cut * 1.05 - 1e-9);
      expect(l.quantity).toBeLessThan(cut * 1.05 + 0.5);
      expect(l.quantity % 0.5).toBe(0);
    }
  });

  it('has a holder for every bolted fuse and none for a way of the block or a breaker', () => {
    const a = of(demo('vet'));
    const holders = a.order.lines.filter((l) => l.what.startsWith('holder')).reduce((n, l) => n + l.quantity, 0);
    const bolted = a.runs.reduce((n, r) => n + (r.ok && r.figures.fuseType !== 'breaker' && r.spec.from.gear !== 'block' ? r.spec.ends.length : 0), 0);
    expect(holders).toBe(bolted);
  });

  it('couples a trailer by a pair of plugs', () => expect(lines(demo('playgroup'), /Anderson plug pair 175 A/).map((l) => l.quantity)).toEqual([1]));

  it('adds up to its total and its weight', () => {
    const { order } = of(demo('vet'));
    expect(order.total).toBeCloseTo(
      order.lines.reduce((s, l) => s + l.quantity * l.priceEach, 0),
      6,
    );
    expect(order.kg).toBeGreaterThan(22 + 2.1 + 11.5);
  });

  it('labels both leads of each run at both ends', () => {
    const a = of(demo('vet'));
    expect(lines(demo('vet'), /cable label/)[0]!.quantity).toBe(4 * a.runs.length);
    expect(a.order.cuts.slice(0, 2).map((c) => [c.label, c.colour])).toEqual([
      ['1+', 'red'],
      ['1−', 'black'],
    ]);
  });

  it('keeps what waits apart: neither ordered nor summed, and neither giving power nor drawing it', () => {
    const whole = of(demo('vet'));
    for (const when of ['later', 'provision'] as const) {
      const d = demo('vet');
      d.places['panel'] = { zone: d.places['panel']?.zone ?? 'roof', on: null, when };
      const a = of(d);
      expect(a.order.later).toEqual([{ what: 'roof panel 200 W', quantity: 1 }]);
      expect(a.order.lines.some((l) => l.what.includes('panel 200 W'))).toBeFalse();
      expect(a.order.total).toBeLessThan(whole.order.total);
      expect([a.supply.sunAhClearDay, whole.supply.sunAhClearDay > 50]).toEqual([0, true]);
      // A provision's cable is pulled now; what is for later gets none yet.
      expect(a.runs.some((r) => r.spec.id === 'panel-regulator')).toBe(when === 'provision');
    }
    expect(whole.order.later).toEqual([]);
    const fridge = demo('vet');
    fridge.places['load:l1'] = { zone: 'canopy', on: null, when: 'later' };
    expect(of(fridge).day.whDay).toBeLessThan(whole.day.whDay);
  });
  it('leaves out what has no size, and stays a list', () => {
    const d = demo('vet');
    d.runs['start-charger'] = { ambientC: 110 };
    expect(of(d).order.cuts.some((c) => c.run === 1)).toBeFalse();
  });
});

describe('the fitting steps', () => {
  it('have each an id of their own', () => {
    for (const { design } of DEMO_JOBS) {
      const ids = of(design).fit.map((s) => s.id);
      expect(new Set(ids).size).toBe(ids.length);
    }
  });

  it('disconnect negative first, put the main fuse in late, and reconnect last', () => {
    const ids = of(demo('bees')).fit.map((s) => s.id);
    expect(ids[0]).toBe('safe-negative');
    expect(ids.at(-1)).toBe('power-negative');
    expect(ids.indexOf('power-main')).toBeGreaterThan(Math.max(...ids.map((id, i) => (id.startsWith('fuse-') ? i : 0))));
  });

  it('name stud and torque by the cable', () => {
    expect([10, 16, 70, 95].map(studOf)).toEqual(['M6', 'M8', 'M8', 'M10']);
    expect(USUAL_TORQUE_NM[studOf(50)]).toBe(12);
    const step = of(demo('vet')).fit.find((s) => s.id === 'join-start-charger')!;
    expect(step.detail).toContain('M8, 12 N·m unless the maker says');
  });

  it('place a fuse at every end that can feed', () => {
    const step = of(demo('vet')).fit.find((s) => s.id === 'fuse-start-charger')!;
    expect(step.text).toMatch(/at the starting battery$/);
  });

  it('warn where the risk is, in a sentence', () => {
    const cautions = of(demo('vet')).fit.flatMap((s) => (s.caution ? [s.caution] : []));
    expect(cautions.length).toBeGreaterThan(5);
    for (const c of cautions) expect(c.length).toBeLessThan(110);
  });

  it('are just making safe and first power where nothing is fitted', () =>
    expect(new Set(fitSteps([], [], EMPTY_LAYOUT, [], { licensed: false, enclosures: [], links: [], torqueNm: USUAL_TORQUE_NM }, null).map((s) => s.section))).toEqual(
      new Set(['make safe', 'first power']),
    ));
});

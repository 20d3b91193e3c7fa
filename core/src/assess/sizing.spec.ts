import { cableSeries } from '../cable/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { blankDesign, blankLoad, type Design, supplyOf } from '../design/index.js';
import { outlastsStart, rerate } from '../protection/index.js';
import type { Fitted } from '../routes/index.js';
import { inWords } from '../rules/index.js';
import { assess, type Assessment } from './assess.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
const run = (a: Assessment, id: string): Fitted => {
  const r = a.runs.find((x) => x.spec.id === id)!;
  if (!r.ok) throw new Error(`${id} has no size`);
  return r;
};
const fitted = (a: Assessment): Fitted[] => a.runs.filter((r): r is Fitted => r.ok);

describe('the sizes of a job', () => {
  for (const { key, design } of DEMO_JOBS) {
    const a = of(design);

    it(`${key}: hold the lasting current by fuse and cable, and let what only passes by`, () => {
      for (const { spec, figures: f } of fitted(a)) {
        const share = rerate(f.fuseType, spec.fuseAirC);
        expect(f.currentA)
          .withContext(spec.name)
          .toBeLessThanOrEqual(0.8 * share * f.fuseA + 1e-9);
        expect(spec.passingA)
          .withContext(spec.name)
          .toBeLessThanOrEqual(share * f.fuseA + 1e-9);
        expect(f.fuseA)
          .withContext(spec.name)
          .toBeLessThanOrEqual(f.ampacityA + 1e-9);
        expect(outlastsStart(f.fuseType, f.fuseA, spec.startA))
          .withContext(spec.name)
          .toBeTrue();
      }
    });

    it(`${key}: sum the cables’ own drop along each path, joints beside it`, () => {
      for (const { spec, figures: f } of fitted(a)) {
        const parent = spec.parent && !spec.existing ? fitted(a).find((r) => r.spec.id === spec.parent) : undefined;
        expect(f.pathDropPercent)
          .withContext(spec.name)
          .toBeCloseTo(f.dropPercent + (parent?.figures.pathDropPercent ?? 0), 9);
        expect(f.pathJointsV)
          .withContext(spec.name)
          .toBeCloseTo(f.jointsV + (parent?.figures.pathJointsV ?? 0), 9);
        expect((100 * f.dropV) / spec.refV)
          .withContext(spec.name)
          .toBeCloseTo(f.dropPercent, 9);
      }
    });

    it(`${key}: take no less than custom, no more than the terminals`, () => {
      for (const { spec, figures: f } of fitted(a)) {
        expect(f.areaMm2)
          .withContext(spec.name)
          .toBeGreaterThanOrEqual(spec.minAreaMm2 - 1e-9);
        expect(f.areaMm2)
          .withContext(spec.name)
          .toBeLessThanOrEqual(spec.maxAreaMm2 ?? Infinity);
        if (spec.from.gear === 'block') expect(f.fuseA).toBeGreaterThanOrEqual(5);
      }
    });
  }

  it('say of each run what the next size down would miss', () => {
    for (const { design } of DEMO_JOBS)
      for (const { spec, figures: f } of fitted(of(design))) {
        if (!f.below) continue;
        const series = cableSeries(design.settings.series);
        expect(f.below.areaMm2)
          .withContext(spec.name)
          .toBe(series[series.findIndex((s) => s.areaMm2 === f.areaMm2) - 1]!.areaMm2);
        if (f.below.by === 'heat') expect(f.below.ampacityA).toBeLessThan(f.fuseA);
        if (f.below.by === 'drop') expect(f.below.path!.percent).toBeGreaterThan(f.below.path!.limit);
        if (f.below.by === 'custom') expect(f.below.areaMm2).toBeLessThan(spec.minAreaMm2);
      }
  });

  it('give the strings of one bank one size, one length, and a fuse that carries it all with one of them out', () => {
    const d = demo('bookmobile');
    supplyOf(d).battery = { part: 'bat-lfp-200', count: 2 };
    const leads = fitted(of(d)).filter((r) => r.spec.group === 'house' && r.spec.from.gear === 'house');
    expect(leads.length).toBe(2);
    expect(new Set(leads.map((r) => `${r.figures.cable} ${r.figures.fuseA} ${r.spec.outM} ${r.spec.backM}`)).size).toBe(1);
    expect(leads[0]!.spec.lastingA).toBeCloseTo(2 * leads[0]!.spec.wholeA, 6);
    expect(leads[0]!.spec.lastingWhy).toContain('with one of 2 batteries out');
  });

  it('are no other for a size that a person typed elsewhere', () => {
    const d = demo('vet');
    const before = of(d);
    d.runs['bus-block'] = { ...d.runs['bus-block'], areaMm2: 4 };
    const after = of(d);
    for (const r of fitted(after)) if (r.spec.id !== 'bus-block') expect(r.figures.cable).withContext(r.spec.name).toBe(run(before, r.spec.id).figures.cable);
    // What it costs is said where it is missed, with the size that would mend it at a press.
    const f = after.findings.find((x) => x.rule === 'run-fails' && x.values['what'] === 'drop')!;
    expect(inWords(f).say).toMatch(/% at the .*; the limit is \d %/);
  });

  it('miss a limit by no more than they must where nothing reaches it, as a look with both figures and a press', () => {
    const d = demo('vet');
    d.runs['load-l1'] = { outM: 9 };
    const a = of(d);
    const fridge = run(a, 'load-l1');
    expect(fridge.figures.areaMm2).toBe(6);
    const f = a.findings.find((x) => x.rule === 'run-fails' && x.at.about === 'load-l1');
    if (fridge.figures.pathDropPercent > 3) {
      expect(f!.severity).toBe('look');
      expect(inWords(f!).say).toContain('the limit is 3 %');
    } else expect(f).toBeUndefined();
  });

  it('bear a dimmed light at full, and count it dimmed for energy', () => {
    const d = demo('vet');
    const id = 'load-l2';
    const bright = of(d);
    d.loads['l2']!.dim = 0.3;
    const dim = of(d);
    expect(run(dim, id).spec.lastingA).toBeCloseTo(run(bright, id).spec.lastingA, 9);
    expect(run(dim, id).figures.fuseA).toBe(run(bright, id).figures.fuseA);
    expect(dim.day.whDay).toBeLessThan(bright.day.whDay);
  });

  it('take a larger fuse for a hard start, where the running current would do with less', () => {
    const d = demo('vet');
    d.loads['l5'] = { ...blankLoad(5), name: 'compressor', draw: { by: 'plate', unit: 'A', value: 5 }, use: { by: 'hours', hours: 1 }, surge: 1 };
    const soft = run(of(d), 'load-l5').figures.fuseA;
    d.loads['l5'].surge = 6;
    expect(run(of(d), 'load-l5').figures.fuseA).toBeGreaterThan(soft);
    expect(outlastsStart('blade', soft, 30)).toBeFalse();
  });

  it('stand for an empty job and for one whose lead has no fuse that fits', () => {
    const empty = blankDesign('Nobody');
    expect(() => of(empty)).not.toThrow();
    supplyOf(empty).battery.part = null;
    expect(of(empty).runs).toEqual([]);
  });

  it('size a tail on an old circuit for itself, and leave the old wire’s own drop to its own finding', () => {
    const d = demo('vet');
    d.brief.traces['w1'] = {
      order: 1,
      colour: 'brown',
      from: 'dash',
      to: 'rear',
      live: 'always',
      areaMm2: 1.5,
      lengthM: 9,
      fuseA: 15,
      verdict: 'keep',
      run: null,
      fedFrom: 'house',
      presentA: 6,
      slot: '4',
      safety: false,
    };
    d.loads['l2']!.feed = { by: 'wire', wire: 'w1', how: 'joint' };
    const a = of(d);
    expect(run(a, 'load-l2').figures.pathDropPercent).toBeCloseTo(run(a, 'load-l2').figures.dropPercent, 9);
    expect(a.findings.filter((f) => f.rule === 'run-fails').map((f) => f.at.about)).toEqual(['wire-w1']);
  });
});

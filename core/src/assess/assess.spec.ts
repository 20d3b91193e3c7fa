import { SHIPPED_CATALOGUE, type Catalogue } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { blankDesign, designSchema, type Design, supplyOf } from '../design/index.js';
import { inWords } from '../rules/index.js';
import { assess, type Assessment } from './assess.js';

const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const rules = (a: Assessment): string[] => a.findings.map((f) => f.rule);
const figures = (a: Assessment, id: string) => {
  const run = a.runs.find((r) => r.spec.id === id);
  if (!run?.ok) throw new Error(`${id} has no size`);
  return run.figures;
};

describe('an assessment', () => {
  for (const job of DEMO_JOBS) {
    describe(`of ${job.design.brief.customer}`, () => {
      const a = of(job.design);
      it('reads by its own schema', () => expect(designSchema.safeParse(job.design).success).toBeTrue());
      it('sizes every run, with a fuse its cable carries and a drop within its limit', () => {
        for (const r of a.runs) {
          expect(r.ok).withContext(r.spec.name).toBeTrue();
          if (!r.ok) continue;
          expect(r.figures.fuseA)
            .withContext(r.spec.name)
            .toBeLessThanOrEqual(r.figures.ampacityA + 1e-9);
          expect(r.figures.currentA).toBeLessThanOrEqual(0.8 * r.figures.fuseA + 1e-9);
          expect(r.figures.pathDropPercent)
            .withContext(r.spec.name)
            .toBeLessThanOrEqual((r.spec.pathLimitPercent ?? Infinity) + 1e-9);
        }
      });
      it('has a fuse at every end that can feed', () => {
        for (const r of a.runs) if (r.ok) expect(r.figures.fuses.map((f) => f.end)).toEqual([...r.spec.ends]);
      });
      it('says every finding in whole words', () => {
        for (const f of a.findings) {
          const w = inWords(f);
          for (const text of [w.say, w.fix, w.why, w.basis]) expect(text).not.toMatch(/undefined|NaN|null|\[object/);
        }
      });
      it('gives the same for the same design, asked of a catalogue for which nothing is kept', () => {
        const anew = Object.assign(Object.create(Object.getPrototypeOf(SHIPPED_CATALOGUE) as object) as Catalogue, SHIPPED_CATALOGUE);
        expect(JSON.stringify(assess(structuredClone(job.design), anew))).toBe(JSON.stringify(a));
      });
    });
  }

  it('moves cable, order and tell-tales when a length is typed', () => {
    const d = demo('vet');
    const before = of(d);
    d.runs['start-charger'] = { outM: 14 };
    const after = of(d);
    expect(figures(after, 'start-charger').areaMm2).toBeGreaterThan(figures(before, 'start-charger').areaMm2);
    expect(after.order.total).toBeGreaterThan(before.order.total);
    expect(after.tellTales.addedKg).toBeGreaterThan(before.tellTales.addedKg);
  });

  it('finds a typed cable that is too thin for its fuse', () => {
    const d = demo('vet');
    d.runs['bus-inverter'] = { areaMm2: 10 };
    expect(of(d).findings.find((f) => f.rule === 'run-fails' && f.at.about === 'bus-inverter')?.severity).toBe('stop');
  });

  it('finds that a blade fuse cannot break what a big 24 V bank gives, and that a cartridge does', () => {
    const d = demo('cinema');
    supplyOf(d).fuseBlock = 'fb-6';
    expect(
      of(d)
        .findings.filter((f) => f.rule === 'fuse-cannot-break')
        .every((f) => f.severity === 'stop'),
    ).toBeTrue();
    expect(rules(of(d))).toContain('fuse-cannot-break');
    supplyOf(d).fuseBlock = 'fb-8-c';
    const a = of(d);
    expect(rules(a)).not.toContain('fuse-cannot-break');
    for (const r of a.runs)
      if (r.ok)
        expect(r.figures.fuses.every((f) => f.maxA <= f.breakingA))
          .withContext(r.spec.id)
          .toBeTrue();
  });

  it('gives each parallel battery a fuse of its own', () => {
    const d = demo('vet');
    supplyOf(d).battery = { part: 'bat-lfp-200', count: 2 };
    expect(of(d).runs.filter((r) => /^house\d-bus$/.test(r.spec.id)).length).toBe(2);
  });

  it('leaves a job without battery, loads or parts standing, with findings', () => {
    const d = blankDesign('Nobody');
    Object.assign(supplyOf(d), { battery: { part: null, count: 1 }, isolation: 'none', fuseBlock: null });
    const a = of(d);
    expect(a.runs).toEqual([]);
    expect(rules(a)).toEqual(jasmine.arrayContaining(['no-battery', 'no-loads']));
  });

  const broken: [string, (d: Design) => void, string][] = [
    ['a load of 0 W', (d) => (d.loads['l1']!.draw = { by: 'plate', unit: 'W', value: 0 }), 'load-without-power'],
    ['a load without hours', (d) => (d.loads['l2']!.use = { by: 'hours', hours: 0 }), 'load-without-hours'],
    ['more hours than its part of the day has', (d) => (d.loads['l2']!.use = { by: 'hours', hours: 9 }), 'load-without-hours'],
    ['Ah a day typed as amps', (d) => (d.loads['l1']!.draw = { by: 'plate', unit: 'A', value: 120 }), 'mixed-units'],
    ['an inverter bigger than the battery', (d) => (supplyOf(d).battery.part = 'bat-lfp-100'), 'inverter-over-battery'],
    ['a mains load and no inverter', (d) => (supplyOf(d).inverter = null), 'mains-load-without-inverter'],
    ['a mains load above the inverter', (d) => (supplyOf(d).inverter = 'inv-600'), 'inverter-too-small'],
    ['a sensing isolator on a variable alternator', (d) => ((supplyOf(d).isolation = 'isolator'), (supplyOf(d).isolator = 'iso-140')), 'isolator-never-closes'],
    ['a lithium bank on an isolator', (d) => ((supplyOf(d).isolation = 'isolator'), (supplyOf(d).isolator = 'iso-140')), 'lithium-unlimited'],
    ['a run of 0 m', (d) => (d.runs['load-l1'] = { outM: 0 }), 'length-zero'],
    ['a 24 V vehicle on a 12 V charger', (d) => (d.brief.vehicleV = 24), 'wrong-volts'],
    ['panels without a regulator', (d) => (supplyOf(d).dcdc = 'dcdc-40'), 'panels-unregulated'],
    ['more circuits than ways', (d) => ((supplyOf(d).fuseBlock = 'fb-6'), Array.from({ length: 4 }, (_, i) => (d.loads[`x${i}`] = { ...d.loads['l2']!, order: 20 + i }))), 'ways-short'],
    ['a cable 100 m long', (d) => (d.runs['bus-inverter'] = { outM: 100 }), 'run-fails'],
    ['a place hotter than the insulation', (d) => (d.runs['bus-inverter'] = { ambientC: 106 }), 'run-unsized'],
    ['a main switch that no fuse fits under', (d) => (supplyOf(d).mainSwitch = 'sw-150'), 'run-unsized'],
  ];
  for (const [what, breakIt, rule] of broken) {
    it(`finds ${what}`, () => {
      const d = demo('vet');
      expect(rules(of(d))).not.toContain(rule);
      breakIt(d);
      expect(rules(of(d))).toContain(rule);
    });
  }

  it('advises an isolator for fixed volts and lead-acid, and a DC-DC charger for variable volts', () => {
    expect(of(demo('bees')).supply.isolation).toEqual(jasmine.objectContaining({ advised: 'isolator', agrees: true }));
    expect(of(demo('vet')).supply.isolation.advised).toBe('dcdc');
  });

  it('takes a finding off the open list once it is accepted, but keeps it among the found', () => {
    const d = demo('vet');
    d.mains.answers['inverter.used'] = 'by fixed wiring';
    d.mains.answers['inverter.rcd'] = 'none';
    d.accepted['mains-answers:mains.inverter.rcd'] = { by: 'someone licensed', reason: 'done', at: '2026-11-01' };
    const a = of(d);
    expect(a.open.some((f) => f.rule === 'mains-answers')).toBeFalse();
    expect(rules(a)).toContain('mains-answers');
  });
});

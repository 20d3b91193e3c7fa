import { assess, type Assessment } from '../assess/index.js';
import { Catalogue, type Part, SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { editDesign, type Design, supplyOf } from '../design/index.js';
import { RULES } from './all.js';
import { inWords } from './judge.js';
import type { Finding } from './rule.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const of = (d: Design): Assessment => assess(d, SHIPPED_CATALOGUE);
const found = (d: Design, rule: string): Finding[] => of(d).findings.filter((f) => f.rule === rule);
const said = (d: Design, rule: string): string =>
  found(d, rule)
    .map((f) => inWords(f).say)
    .join(' | ');

/** The shipped catalogue with one part changed. */
const withPart = (part: Part): Catalogue => new Catalogue([...SHIPPED_CATALOGUE.parts.filter((p) => p.id !== part.id), part]);

describe('the rules', () => {
  it('have each an id of their own, a basis and a reason', () => {
    expect(new Set(RULES.map((r) => r.id)).size).toBe(RULES.length);
    for (const r of RULES)
      expect(r.basis.length > 10 && r.why.length > 15)
        .withContext(r.id)
        .toBeTrue();
  });

  it('keep a finding’s key while its cause stays, so that an acceptance holds', () => {
    const d = demo('vet');
    d.brief.alternator.ratedA = 90;
    const key = found(d, 'alternator-overcommitted')[0]!.key;
    d.brief.notes = 'something else';
    expect(found(d, 'alternator-overcommitted')[0]!.key).toBe(key);
  });

  it('put the stops before the looks', () => {
    const order = of(demo('cinema')).findings.map((f) => f.severity);
    expect(order.lastIndexOf('stop')).toBeLessThan(order.indexOf('look'));
  });

  it('say by how much an inverter is too big for its battery, and by how much its surge', () => {
    const d = demo('vet');
    supplyOf(d).battery.part = 'bat-lfp-100';
    expect(said(d, 'inverter-over-battery')).toMatch(/draws 14\d A steadily .* the battery gives 100 A/);
    supplyOf(d).battery.part = 'bat-lfp-200';
    const strong = SHIPPED_CATALOGUE.find('inverter', 'inv-1600')!;
    const surge = assess(d, withPart({ ...strong, surgeW: 6000 })).findings.find((f) => f.rule === 'inverter-over-battery')!;
    expect(surge.severity).toBe('look');
    expect(inWords(surge).say).toMatch(/draws \d{3} A at surge \(6000 W/);
  });

  it('ask whether A is Ah', () => {
    const d = demo('survey');
    d.loads['l3']!.draw = { by: 'plate', unit: 'A', value: 150 };
    expect(said(d, 'mixed-units')).toContain('Is that A or Ah a day?');
  });

  it('tell a load that never runs from one that runs too long', () => {
    const d = demo('bees');
    d.loads['l2']!.use = { by: 'duty', duty: 0 };
    expect(said(d, 'load-without-hours')).toContain('never runs');
    d.loads['l2']!.use = { by: 'hours', hours: 12 };
    expect(said(d, 'load-without-hours')).toContain('is to run 12 h, but “night” has only 8 h');
  });

  it('find a load that only runs while driving on a trip without driving', () => {
    const d = demo('cinema');
    d.loads['l4']!.when = { at: 'driving' };
    expect(said(d, 'load-without-hours')).toContain('driving');
  });

  it('name volts that do not fit, part by part', () => {
    const d = demo('vet');
    d.supply.houseV = 24;
    supplyOf(d).battery.count = 2;
    expect(found(d, 'wrong-volts').map((f) => f.at.about)).toEqual(['charger', 'inverter']);
  });

  it('look at a second charger as at the first: its volts, its profile, its feed, its cold lock, its leads', () => {
    const d = demo('vet');
    const wrong = SHIPPED_CATALOGUE.ofKind('dcdc').find((p) => p.outputV !== 12)!;
    supplyOf(d).dcdcSecond = wrong.id;
    expect(found(d, 'wrong-volts').map((f) => f.at.about)).toContain('charger2');
    supplyOf(d).dcdcSecond = supplyOf(d).dcdc;
    const a = assess(d, SHIPPED_CATALOGUE);
    expect(new Set(a.chargerInputs.map((c) => c.unit))).toEqual(new Set(['charger', 'charger2']));
    expect(a.layout.leads.filter((l) => l.kind === 'trigger').map((l) => l.to)).toEqual(['charger', 'charger2']);
    expect(a.layout.leads.filter((l) => l.kind === 'temperature').map((l) => l.to)).toEqual(['charger', 'charger2']);
    d.brief.alternator.measured = { coldIdleV: 11.2, warmIdleV: 11.1, cruiseV: 11.2, overrunV: 12.6 };
    expect(found(d, 'charger-cuts-out').map((f) => f.at.about)).toEqual(jasmine.arrayContaining(['charger', 'charger2']));
  });

  it('find an odd battery in a 24 V bank', () => {
    const d = demo('cinema');
    supplyOf(d).battery.count = 3;
    expect(said(d, 'no-battery')).toContain('3 batteries of 12 V do not make full 24 V pairs');
  });

  it('find a regulator that a cold morning would destroy', () => {
    const d = demo('survey');
    Object.assign(supplyOf(d).sun, { panel: 'pv-200', count: 1, controller: 'pwm-20' });
    expect(found(d, 'panel-volts')).toEqual([]);
    const high = withPart({ ...SHIPPED_CATALOGUE.find('panel', 'pv-200')!, vocV: 28.4 });
    const f = assess(d, high).findings.find((x) => x.rule === 'panel-volts')!;
    expect(inWords(f).say).toBe('The panels reach 30.9 V on the coldest morning; the regulator takes 30 V.');
  });

  it('find a trip on which a critical load goes off, and one that only eats the reserve', () => {
    const d = demo('survey');
    d.brief.trip = { ...d.brief.trip, drivingH: 0, days: 12 };
    supplyOf(d).sun.panel = null;
    const dark = found(d, 'trip-runs-low')[0]!;
    expect([dark.severity, inWords(dark).say]).toEqual(['stop', jasmine.stringMatching(/off for \d+\.\d h of the trip/) as unknown as string]);
    d.brief.trip.days = 2;
    d.settings.usableShare = 0.6;
    expect(found(d, 'trip-runs-low')[0]?.severity).toBe('look');
    d.brief.trip.days = 1;
    expect(found(d, 'trip-runs-low')).toEqual([]);
  });

  it('find a charger above what the battery takes, by source', () => {
    const d = demo('bees');
    supplyOf(d).battery = { part: 'bat-gel-100', count: 1 };
    supplyOf(d).mains.charger = 'mc-40';
    expect(found(d, 'charge-over-limit').map((f) => f.at.about)).toContain('mains');
  });

  it('want a sealed box only where people are', () => {
    const d = demo('vet');
    expect(found(d, 'battery-among-people')).toEqual([]);
    d.places['house'] = { zone: 'cab', on: null, when: 'now' };
    expect(said(d, 'battery-among-people')).toContain('cab');
  });

  it('hold a typed size to drop and fuse', () => {
    const d = demo('vet');
    d.runs['load-l1'] = { outM: 6, areaMm2: 1 };
    expect(found(d, 'run-fails').map((f) => f.values['what'])).toEqual(['drop']);
    const severity = (outM: number): string | undefined => {
      d.runs['load-l1'] = { outM, areaMm2: 1 };
      return found(d, 'run-fails')[0]?.severity;
    };
    // A little over is for a person to weigh; twice the limit does not work.
    expect([severity(2), severity(60)]).toEqual(['look', 'stop']);
    d.runs['load-l1'] = { outM: 2, areaMm2: 1, fuseA: 40 };
    expect(found(d, 'run-fails').some((f) => f.values['what'] === 'fuse' && f.severity === 'stop')).toBeTrue();
    d.runs['load-l1'] = { outM: 2, fuseA: 5 };
    expect(found(d, 'run-fails').some((f) => f.values['what'] === 'small')).toBeTrue();
  });

  it('say why a run has no size at all', () => {
    const d = demo('vet');
    d.runs['start-charger'] = { outM: 3, ambientC: 110 };
    expect(said(d, 'run-unsized')).toMatch(/in 110 °C no size that its terminals take carries its fuse; 120 mm² carries 0 A there/);
    delete d.runs['start-charger'];
    supplyOf(d).mainSwitch = 'sw-150';
    expect(said(d, 'run-unsized')).toMatch(/no fuse lies between its 161 A and its main switch of 150 A; it wants .* The main switch 300 A opens it/);
    const [f] = found(d, 'run-unsized');
    expect(f!.presses.map((p) => p.label)).toEqual(['Take the main switch 300 A']);
    const pressed = editDesign(d, [...f!.presses[0]!.patch]);
    expect(pressed.ok && found(pressed.design, 'run-unsized')).toEqual([]);
  });

  it('take a panel with its own regulator on the bank for whole, and a controller that nothing feeds for a stop', () => {
    const d = demo('vet');
    Object.assign(supplyOf(d), { dcdc: 'dcdc-40', sun: { ...supplyOf(d).sun, panel: null, portable: { panel: 'pv-120-fold', regulated: true, into: 'bank', hours: 6 } } });
    expect(of(d).open.filter((f) => f.severity === 'stop')).toEqual([]);
    supplyOf(d).sun.controller = 'mppt-40';
    expect(said(d, 'controller-idle')).toBe('MPPT controller 40 A: nothing feeds it.');
    const pressed = editDesign(d, [...found(d, 'controller-idle')[0]!.presses[0]!.patch]);
    expect(pressed.ok && supplyOf(pressed.design).sun.controller).toBeNull();
  });

  it('hold what hangs on a plug to the plug', () => {
    const d = demo('vet');
    d.loads['l5'] = { ...d.loads['l5']!, draw: { by: 'measured', onA: 80, onS: 60, offS: 600 }, plugA: 50 };
    expect(said(d, 'run-unsized')).toMatch(/no fuse lies between its 80 A and its 50 A plug of 50 A/);
    d.loads['l5']!.plugA = 175;
    expect(said(d, 'run-unsized')).not.toMatch(/plug/);
  });

  it('leave all other runs, the shorts and the expected readings as they are when one run has no size', () => {
    const d = demo('vet');
    const whole = assess(d, SHIPPED_CATALOGUE);
    supplyOf(d).mainSwitch = 'sw-150';
    const a = assess(d, SHIPPED_CATALOGUE);
    expect(a.runs.filter((r) => !r.ok).map((r) => r.spec.id)).toEqual(['house-bus']);
    for (const r of a.runs.filter((x) => x.ok && x.spec.id !== 'house-bus')) {
      const was = whole.runs.find((w) => w.spec.id === r.spec.id)!;
      expect(r.ok && was.ok && [r.figures.cable, r.figures.fuseA, r.figures.fuses.length]).toEqual(was.ok && [was.figures.cable, was.figures.fuseA, was.figures.fuses.length]);
    }
    expect(a.prove.map((p) => p.id)).toEqual(whole.prove.map((p) => p.id));
  });

  it('stop at an answer of the 230 V side that nobody may sign', () => {
    const d = demo('bookmobile');
    expect(found(d, 'mains-answers')).toEqual([]);
    d.mains.answers['inlet.poles'] = 'no';
    expect(said(d, 'mains-answers')).toContain('230 V, mains inlet: what moves from site to site wants both poles parted');
  });

  it('advise the other isolation with its reason, and let “none” be', () => {
    const d = demo('bees');
    supplyOf(d).isolation = 'dcdc';
    supplyOf(d).dcdc = 'dcdc-20';
    expect(said(d, 'isolation-advice')).toContain('advised is a sensing isolator');
    supplyOf(d).isolation = 'none';
    expect(found(d, 'isolation-advice')).toEqual([]);
  });

  it('want a fuse block as soon as there are two loads', () => {
    const d = demo('vet');
    supplyOf(d).fuseBlock = null;
    expect(said(d, 'no-distribution')).toMatch(/5 loads and no fuse block/);
  });

  it('find a charger that is wanted but not chosen', () => {
    const d = demo('vet');
    supplyOf(d).dcdc = null;
    expect(said(d, 'isolation-missing')).toContain('no DC-DC charger is chosen');
  });
});

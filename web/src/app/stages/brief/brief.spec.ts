import { type Design, SHIPPED_CATALOGUE, threeDrafts, supplyOf } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { until } from '../../testing/until';
import { ExistingSheet } from './existing';
import { IntakeSheet } from './intake';
import { VehicleSheet } from './vehicle';

interface Inside {
  setKind(kind: Design['brief']['vehicleKind']): void;
  setWay(changed: { words: string; change: Partial<Design['settings']> }): void;
}
const inside = (c: VehicleSheet): Inside => c as unknown as Inside;
const labelled = (element: HTMLElement, label: string): HTMLInputElement | null => element.querySelector(`input[aria-label="${label}"]`);
const text = (e: Element): string => e.textContent!.replace(/\s+/g, ' ');
/** The three drafts stand beside the answers. */
const drafted = (e: Element): boolean => /Ah a day.*lean.*sound.*roomy/.test(text(e.querySelector('.answers')!));

describe('the vehicle’s sheet', () => {
  it('shows what is known, and names every field to a screen reader', async () => {
    const { element } = await onBench(VehicleSheet, 'vet');
    expect([labelled(element, 'Alternator')!.value, labelled(element, 'Days')!.value, labelled(element, 'Payload left')!.value]).toEqual(['180', '5', '420']);
    for (const select of element.querySelectorAll('nz-select')) expect(select.querySelector('input')!.getAttribute('aria-label')).toBe(select.getAttribute('aria-label'));
  });
  it('refuses volts for amps, a day of 25 hours and a trip of 0 or 400 days, in words', async () => {
    const { element, bench, type } = await onBench(VehicleSheet, 'vet');
    await type(labelled(element, 'Alternator'), '12V');
    await type(labelled(element, 'Driven a day'), '25');
    await type(labelled(element, 'Days'), '400');
    const said = [...element.querySelectorAll('[role=alert]')].map((e) => e.textContent);
    expect(said).toEqual([jasmine.stringContaining('“12V”'), jasmine.stringContaining('from 1 to 365'), jasmine.stringContaining('from 0 to 24')] as never);
    expect(bench.labels).toEqual([]);
  });
  it('sends the gear to its usual places when the vehicle changes', async () => {
    const { fixture, bench } = await onBench(VehicleSheet, 'bookmobile');
    inside(fixture.componentInstance).setKind('van');
    expect([bench.openDesign().brief.vehicleKind, bench.openDesign().places]).toEqual(['van', {}]);
  });
  it('lets the payload be unknown again', async () => {
    const { element, bench, type } = await onBench(VehicleSheet, 'vet');
    await type(labelled(element, 'Payload left'), '');
    expect(bench.openDesign().brief.payloadLeftKg).toBeNull();
  });
  it('takes measured volts, which change when an isolator would be closed', async () => {
    const { element, bench, type } = await onBench(VehicleSheet, 'vet');
    expect(bench.openAssessment().supply.trace.closedShare).toBe(0);
    await type(labelled(element, 'Volts Cruising'), '14.1');
    expect(bench.openAssessment().supply.trace).toEqual(jasmine.objectContaining({ measured: true }));
    expect(bench.openAssessment().supply.trace.closedShare).toBeGreaterThan(0.5);
  });
  it('draws a day of its own, and gives it back to the pattern', async () => {
    const { element, bench, click, type } = await onBench(VehicleSheet, 'bookmobile');
    const days = [...element.querySelectorAll('mx-trip-days .day')];
    expect(days.length).toBe(7);
    await click(days[1]!);
    await type(labelled(element, 'Driven on day 2'), '5');
    expect(bench.openDesign().brief.trip.dayEdits).toEqual({ '2': { drivingH: 5 } });
    await click([...element.querySelectorAll('mx-trip-days button')].find((b) => b.textContent!.includes('pattern'))!);
    expect(bench.openDesign().brief.trip.dayEdits).toEqual({});
  });
  it('sizes by gauge, by another insulation or by the other school of drop when the workshop does', async () => {
    const { fixture, bench } = await onBench(VehicleSheet, 'vet');
    const feed = () => {
      const r = bench.openAssessment().runs[0]!;
      if (!r.ok) throw new Error('no size');
      return r.figures;
    };
    const plain = feed();
    inside(fixture.componentInstance).setWay({ words: 'gauge', change: { series: 'gauge' } });
    expect(feed().size).toMatch(/^\d+ B&S \(\d+(\.\d+)? mm²\)$/);
    inside(fixture.componentInstance).setWay({ words: 'hotter', change: { series: 'metric', insulationC: 125 } });
    expect(feed().ampacityA).not.toBe(plain.ampacityA);
    inside(fixture.componentInstance).setWay({ words: 'drop', change: { dropSchool: '5 % everywhere' } });
    expect(bench.openAssessment().runs.find((r) => r.spec.id === 'load-l1')!.spec.pathLimitPercent).toBe(5);
  });
});

describe('ten answers', () => {
  it('start from what is known, and show three drafts while they are given', async () => {
    const { element, settle } = await onBench(IntakeSheet, 'vet');
    await until(() => drafted(element), settle);
    expect(element.querySelectorAll('.intake > li').length).toBe(10);
    expect(text(element.querySelector('.answers')!)).toMatch(/Ah a day.*lean.*sound.*roomy/);
  });
  it('tick the usual loads of a use, and size them', async () => {
    const { fixture, element, type, settle } = await onBench(IntakeSheet, 'vet');
    (fixture.componentInstance as unknown as { setUse(u: string): void }).setUse('weekends');
    await settle();
    expect(element.querySelectorAll('.wish').length).toBe(4);
    const before = text(element.querySelector('.answers')!);
    await type(labelled(element, 'Volume of compressor fridge'), '120');
    expect(text(element.querySelector('.answers')!)).not.toBe(before);
  });
  it('taken at once after the last one still lead to the supply that stands them', async () => {
    const { element, bench, click, type, settle } = await onBench(IntakeSheet, 'vet');
    await until(() => drafted(element), settle);
    await type(labelled(element, 'Parked after a travel day'), '4');
    await click([...element.querySelectorAll('button')].find((b) => b.textContent!.includes('Take these answers'))!);
    await settle();
    const [, sound] = threeDrafts(bench.openDesign(), SHIPPED_CATALOGUE);
    expect(supplyOf(bench.openDesign()).battery).toEqual(supplyOf(sound!.design).battery);
    expect(bench.openDesign().brief.trip.parkedDays).toBe(4);
  });
  it('become loads and the sound supply in one step of undo', async () => {
    const { element, bench, click, settle } = await onBench(IntakeSheet, 'vet');
    await until(() => drafted(element), settle);
    await click([...element.querySelectorAll('button')].find((b) => b.textContent!.includes('Take these answers'))!);
    expect(bench.labels).toEqual(['ten answers']);
    expect(bench.openDesign().loads['fridge']!.critical).toBeTrue();
    expect(bench.openAssessment().runs.length).toBeGreaterThan(5);
    expect(bench.openDesign().brief.customer).toBe('Bellbird Ranges Mobile Vet');
  });
});

describe('gear in the vehicle already', () => {
  const old = (d: Design): void =>
    void (d.brief.existing['e'] = {
      order: 1,
      name: 'old manager',
      part: null,
      verdict: 'keep',
      does: ['charges from mains'],
      omitted: {},
      own: { capacityAh: null, outputA: 15, watts: null },
      ageYears: 6,
      kg: 2,
      mm: null,
      notes: '',
    });
  it('asks who takes over once it comes out, and takes a signature', async () => {
    const { element, bench, settle, type } = await onBench(ExistingSheet, 'vet', old);
    expect(text(element)).not.toContain('who takes over');
    bench.edit('out', (d) => (d.brief.existing['e']!.verdict = 'remove'));
    await settle();
    expect(text(element)).toContain('charges from mains: nothing yet');
    expect(bench.openAssessment().open.some((f) => f.rule === 'function-lost')).toBeTrue();
    await type(element.querySelector('input[aria-label="Omission of charges from mains signed by"]'), 'Tallowgum');
    expect(bench.openAssessment().open.some((f) => f.rule === 'function-lost')).toBeFalse();
  });
  it('is not bought again when it is kept', async () => {
    const { bench } = await onBench(ExistingSheet, 'vet', (d) => {
      old(d);
      Object.assign(d.brief.existing['e']!, { part: 'dcdc-40-dual' });
    });
    expect(bench.openAssessment().order.lines.some((l) => l.key === 'dcdc-40-dual')).toBeFalse();
  });
  it('traces a wire, which is open until it is kept or removed, and lends a run its length', async () => {
    const { element, bench, click } = await onBench(ExistingSheet, 'vet');
    await click([...element.querySelectorAll('button')].find((b) => b.textContent!.includes('Add a wire'))!);
    const [id] = Object.keys(bench.openDesign().brief.traces);
    expect(bench.openAssessment().open.some((f) => f.rule === 'wire-undecided')).toBeTrue();
    bench.edit('serves', (d) => Object.assign(d.brief.traces[id!]!, { lengthM: 3.4, run: 'load-l2', verdict: 'keep' }));
    expect(bench.openAssessment().open.some((f) => f.rule === 'wire-undecided')).toBeFalse();
  });
});

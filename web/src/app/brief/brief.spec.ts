import type { Design } from '@meridex/core';
import { onBench } from '../testing/bench';
import { BriefStage } from './brief';

interface Inside {
  setKind(kind: Design['brief']['vehicleKind']): void;
  setWay(change: Partial<Design['settings']>): void;
}
const inside = (c: BriefStage): Inside => c as unknown as Inside;
const labelled = (element: HTMLElement, label: string): HTMLInputElement | null => element.querySelector(`input[aria-label="${label}"]`);

describe('the brief stage', () => {
  it('shows what is known, and names every field to a screen reader', async () => {
    const { element } = await onBench(BriefStage, 'vet');
    expect([labelled(element, 'Alternator')!.value, labelled(element, 'Days')!.value, labelled(element, 'Payload left')!.value]).toEqual(['180', '4', '420']);
    for (const select of element.querySelectorAll('nz-select')) expect(select.querySelector('input')!.getAttribute('aria-label')).toBe(select.getAttribute('aria-label'));
  });

  it('refuses volts for amps and a day of 25 hours, in words', async () => {
    const { element, bench, type } = await onBench(BriefStage, 'vet');
    await type(labelled(element, 'Alternator'), '12V');
    await type(labelled(element, 'Driven a day'), '25');
    const said = [...element.querySelectorAll('[role=alert]')].map((e) => e.textContent);
    expect(said).toEqual([jasmine.stringContaining('“12V”'), jasmine.stringContaining('from 0 to 24')] as never);
    expect(bench.labels).toEqual([]);
  });

  it('sends the gear to its usual places when the vehicle changes', async () => {
    const { fixture, bench } = await onBench(BriefStage, 'bookmobile');
    inside(fixture.componentInstance).setKind('van');
    expect([bench.design()!.brief.vehicleKind, bench.design()!.places]).toEqual(['van', {}]);
    expect(bench.assessment()!.gear.every((g) => !g.placed)).toBeTrue();
  });

  it('lets the payload be unknown again', async () => {
    const { element, bench, type } = await onBench(BriefStage, 'vet');
    await type(labelled(element, 'Payload left'), '');
    expect(bench.design()!.brief.payloadLeftKg).toBeNull();
  });

  it('sizes by gauge, by another insulation or by the other school of drop when the workshop does', async () => {
    const { fixture, bench } = await onBench(BriefStage, 'vet');
    const feed = () => {
      const r = bench.assessment()!.runs[0]!;
      if (!r.ok) throw new Error('no size');
      return r.figures;
    };
    const plain = feed();
    inside(fixture.componentInstance).setWay({ series: 'gauge' });
    expect(feed().size).toMatch(/B&S$/);
    inside(fixture.componentInstance).setWay({ series: 'metric', insulationC: 125 });
    expect(feed().ampacityA).not.toBe(plain.ampacityA);
    inside(fixture.componentInstance).setWay({ dropSchool: '5 % everywhere' });
    expect(bench.assessment()!.runs.find((r) => r.spec.id === 'load-l1')!.spec.pathLimitPercent).toBe(5);
  });
});

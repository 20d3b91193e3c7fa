import { supplyOf } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { CablesSheet } from './cables';

const row = (element: HTMLElement, id: string): HTMLElement => element.querySelector(`tr[data-run="${id}"]`)!;
const cells = (element: HTMLElement, id: string): string[] => [...row(element, id).querySelectorAll('td')].map((c) => c.textContent!.trim());

describe('the sheet of cables', () => {
  it('has a row for each run with its figures', async () => {
    const { element, bench } = await onBench(CablesSheet, 'vet');
    expect(element.querySelectorAll('tr.pick').length).toBe(bench.openAssessment().runs.length);
    expect(cells(element, 'start-charger')).toEqual(jasmine.arrayContaining(['55.5', '75', '35 mm²', '0.47']));
  });

  it('chooses the first run by itself and shows what decided it', async () => {
    const { element } = await onBench(CablesSheet, 'vet');
    expect(row(element, 'start-charger').classList).toContain('chosen');
    expect(element.querySelector('mx-run-detail')!.textContent).toContain('drop decides');
  });

  it('opens on the run that the address asks for, as the code on a label does', async () => {
    const { element } = await onBench(CablesSheet, 'vet', undefined, { run: 'bus-inverter' });
    expect(row(element, 'bus-inverter').classList).toContain('chosen');
  });

  it('follows a length while it is typed', async () => {
    const { element, bench, type } = await onBench(CablesSheet, 'vet');
    await type(row(element, 'start-charger').querySelector('input'), '2,5 m');
    expect(bench.openDesign().runs['start-charger']).toEqual({ outM: 2.5 });
    expect(cells(element, 'start-charger')[4]).not.toBe('50 mm²');
    expect(bench.labels.at(-1)).toBe('length of run 1 to 2.5 m');
  });

  it('keeps a wrong length in its field with a message', async () => {
    const { element, bench, type } = await onBench(CablesSheet, 'vet');
    const input = row(element, 'start-charger').querySelector('input')!;
    await type(input, '6 B&S');
    expect(row(element, 'start-charger').querySelector('[role=alert]')!.textContent).toContain('Length of run 1: “6 B&S” is not taken');
    expect([input.value, bench.labels.length]).toEqual(['6 B&S', 0]);
  });

  it('marks routed lengths apart from typed ones', async () => {
    const { element } = await onBench(CablesSheet, 'vet');
    expect([...element.querySelectorAll('td.guess')].length).toBe(6);
  });

  it('fixes a size by any of its names, and asks about plain millimetres', async () => {
    const { element, bench, type } = await onBench(CablesSheet, 'vet');
    const size = (): Element | null => element.querySelector('mx-run-detail [aria-label="Size"]');
    await type(size(), '6mm');
    expect(element.querySelector('mx-run-detail [role=alert]')!.textContent).toContain('may be 6 mm² of copper or 6 mm auto');
    expect(bench.labels).toEqual([]);
    await type(size(), '70 mm2');
    expect(bench.openDesign().runs['start-charger']!.areaMm2).toBe(70);
    await type(size(), '');
    expect(bench.openDesign().runs['start-charger']!.areaMm2).toBeUndefined();
  });

  it('marks a typed size that loses too much, in word and colour', async () => {
    const { element, bench, settle } = await onBench(CablesSheet, 'vet');
    bench.edit('thin', (d) => (d.runs['start-charger'] = { outM: 6.4, areaMm2: 25 }));
    await settle();
    expect(row(element, 'start-charger').querySelector('mx-mark svg')!.getAttribute('aria-label')).toBe('look');
  });

  it('takes what protects a run, and lets a breaker be of one direction only where that is asked', async () => {
    const { element, fixture, bench, settle } = await onBench(CablesSheet, 'vet');
    const inside = fixture.componentInstance as unknown as { edit(run: unknown, change: object, label: string): void };
    expect(element.querySelector('.poled')).toBeNull();
    inside.edit(bench.openAssessment().runs[0], { protect: 'breaker, manual reset' }, 'protection');
    await settle();
    expect(bench.openDesign().runs['start-charger']!.protect).toBe('breaker, manual reset');
    expect(element.querySelector('.poled')!.textContent).toContain('made for one direction');
    inside.edit(bench.openAssessment().runs[0], { protect: null }, 'protection');
    await settle();
    expect(bench.openDesign().runs['start-charger']!.protect).toBeUndefined();
    expect(element.querySelector('.poled')).toBeNull();
  });

  it('says why a run has no size', async () => {
    const { element, bench, click, settle } = await onBench(CablesSheet, 'vet', (d) => void (supplyOf(d).mainSwitch = 'sw-150'));
    expect(cells(element, 'house-bus')).toContain('no size fits');
    await click(row(element, 'house-bus').querySelector('button.name'));
    expect(element.querySelector('mx-run-detail [role=alert]')!.textContent).toContain('no fuse lies between its 161 A and its main switch of 150 A');
    expect(element.querySelectorAll('mx-run-detail .tried tbody tr').length).toBeGreaterThan(10);
    await click([...element.querySelectorAll('mx-run-detail button')].find((b) => b.textContent!.includes('Take the main switch 300 A')) ?? null);
    await settle();
    expect(supplyOf(bench.openDesign()).mainSwitch).toBe('sw-300');
    expect(cells(element, 'house-bus')).not.toContain('no size fits');
  });

  it('shows only one sort of run when asked', async () => {
    const { element, bench, click } = await onBench(CablesSheet, 'vet');
    await click([...element.querySelectorAll('.show button')].find((b) => b.textContent === 'loads') ?? null);
    expect(element.querySelectorAll('tr.pick').length).toBe(bench.openAssessment().runs.filter((r) => r.spec.group === 'loads').length);
  });

  it('walks by J and K and opens why by W', async () => {
    const { element, key, settle } = await onBench(CablesSheet, 'vet');
    await key('j');
    expect(row(element, 'charger-bus').classList).toContain('chosen');
    await key('w');
    await settle();
    expect(document.body.textContent).toContain('the charger’s output, as it is set');
    document.querySelectorAll('.cdk-overlay-container').forEach((e) => e.remove());
  });

  it('leads from an input of a figure to the field that changes it', async () => {
    const { element, key, settle } = await onBench(CablesSheet, 'vet');
    document.body.append(element);
    await key('w');
    await settle();
    const change = document.querySelector<HTMLElement>('[aria-label="Change length out"]')!;
    change.click();
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(document.activeElement!.getAttribute('aria-label')).toBe('Length of run 1');
    element.remove();
    document.querySelectorAll('.cdk-overlay-container').forEach((e) => e.remove());
  });

  it('takes the air on the way and a fuse as fixed, and drafts them again when cleared', async () => {
    const { element, bench, type } = await onBench(CablesSheet, 'vet');
    const field = (label: string): Element | null => element.querySelector(`mx-run-detail [aria-label="${label}"]`);
    await type(field('Air on the way'), '85 °C');
    await type(field('Fuse'), '100 A');
    expect(bench.openDesign().runs['start-charger']).toEqual({ outM: 6.4, ambientC: 85, fuseA: 100 });
    expect(cells(element, 'start-charger')).toContain('100');
    await type(field('Fuse'), '');
    expect(bench.openDesign().runs['start-charger']).toEqual({ outM: 6.4, ambientC: 85 });
  });

  it('says what comes first when there are no runs', async () => {
    const { element } = await onBench(CablesSheet, 'vet', (d) => (supplyOf(d).battery.part = null));
    expect(element.querySelector('.empty')!.textContent).toContain('Supply has a battery');
  });
});

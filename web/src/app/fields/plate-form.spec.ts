import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import type { Part, PartKind } from '@meridex/core';
import { onBench, type OnBench } from '../testing/bench';
import { PlateForm } from './plate-form';

const labelled = (e: HTMLElement, label: string): Element | null => e.querySelector(`[aria-label="${label}"]`);
const tick = (e: HTMLElement, words: string): HTMLElement => [...e.querySelectorAll<HTMLElement>('label')].find((l) => l.textContent!.trim() === words)!.querySelector('input')!;
const button = (e: HTMLElement): Element => [...e.querySelectorAll('button')].find((b) => b.textContent!.startsWith('Keep it'))!;

async function form(kind: PartKind): Promise<OnBench<PlateForm> & { readonly keep: () => Promise<Part> }> {
  const on = await onBench(PlateForm, 'vet', () => undefined, { kind });
  await on.type(labelled(on.element, 'Name of the part'), 'attic find');
  const keep = async (): Promise<Part> => {
    await on.click(button(on.element));
    TestBed.inject(HttpTestingController).match(() => true);
    return on.bench.openDesign().parts['own-attic-find']!;
  };
  return { ...on, keep };
}

describe('a data sheet that is typed', () => {
  it('has a second input with its figures where one is ticked, as usual for its size until it is typed', async () => {
    const { element, type, click, keep } = await form('dcdc');
    await type(labelled(element, 'Output of the part'), '35');
    expect(labelled(element, 'Sun input: Largest panel volts')).toBeNull();
    await click(tick(element, 'Sun input'));
    await type(labelled(element, 'Sun input: Largest panel volts'), '32');
    const part = await keep();
    expect(part).toEqual(jasmine.objectContaining({ outputA: 35, sunInput: { maxV: 32, maxA: 35, way: 'sun first' } }));
    expect(part.assumed).not.toContain('sunInput');
  });

  it('lets it go again, and then has none', async () => {
    const { element, type, click, keep } = await form('inverter');
    await type(labelled(element, 'Rated of the part'), '2000');
    await click(tick(element, 'Its charger'));
    expect(labelled(element, 'Its charger: Output')).not.toBeNull();
    await click(tick(element, 'Its charger'));
    expect(await keep()).toEqual(jasmine.objectContaining({ charger: null, assumed: jasmine.arrayContaining(['charger']) }));
  });

  it('has what is always on a board, and what only some have: its shunt, its main switch', async () => {
    const { element, type, click, keep } = await form('hub');
    await type(labelled(element, 'Ways of the part'), '10');
    await type(labelled(element, 'Bars of the part'), '250');
    await type(labelled(element, 'Its shunt: Drop at rated'), '75');
    await click(tick(element, 'Its main switch'));
    expect(await keep()).toEqual(jasmine.objectContaining({ shunt: { ratedA: 250, dropMv: 75 }, mainSwitch: { ratedA: 250, peakA: 750, milliohm: 0.1 } }));
  });

  it('of a battery may carry an output of its own', async () => {
    const { element, type, keep } = await form('battery');
    await type(labelled(element, 'Capacity of the part'), '200');
    await type(labelled(element, 'Its own output of the part'), '60');
    expect(await keep()).toEqual(jasmine.objectContaining({ outletA: 60 }));
  });
});

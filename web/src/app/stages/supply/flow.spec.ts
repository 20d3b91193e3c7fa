import { onBench } from '../../testing/bench';
import { until } from '../../testing/until';
import { TestBed } from '@angular/core/testing';
import { doCommands } from '@meridex/core';
import { SelectionService } from '../../data/selection.service';
import { FlowSheet } from './flow';

const text = (e: Element): string => e.textContent!.replace(/\s+/g, ' ');
const box = (e: HTMLElement, id: string): SVGElement => e.querySelector<SVGElement>(`[data-thing="${id}"]`)!;
const button = (e: HTMLElement, name: string): Element => [...e.querySelectorAll('button')].find((b) => b.getAttribute('aria-label') === name || b.textContent!.trim() === name)!;
const chosen = (e: HTMLElement): string => e.querySelector('[aria-label^="What is chosen"]')!.getAttribute('aria-label')!;

describe('the drawn supply', () => {
  it('says first whether it stands, and what comes and goes', async () => {
    const { element } = await onBench(FlowSheet, 'vet');
    expect(text(element.querySelector('.answer')!)).toMatch(/Stands the trip\. ?Sun brings \d+, driving \d+ Ah a day; the loads take \d+\./);
  });
  it('draws ribbons as wide as they flow', async () => {
    const { element } = await onBench(FlowSheet, 'playgroup');
    const width = (flow: string): number => Number(element.querySelector(`[data-flow="${flow}"]`)!.getAttribute('stroke-width'));
    expect(width('mains>house') / width('charger>house')).toBeGreaterThan(1.5);
  });
  it('shows the fields of the box that is pressed, by pointer or key', async () => {
    const { element, settle } = await onBench(FlowSheet, 'playgroup');
    box(element, 'mains').dispatchEvent(new MouseEvent('click', { bubbles: true }));
    await settle();
    expect(chosen(element)).toContain('Mains charger');
    expect(element.querySelector('mx-part')).not.toBeNull();
    box(element, 'house').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    await settle();
    expect(chosen(element)).toContain('House battery');
    expect(element.querySelector('[aria-label^="Count of"]')).not.toBeNull();
  });
  it('adds a thing at one press, shows it, and takes it out again', async () => {
    const { element, bench, click } = await onBench(FlowSheet, 'vet');
    const before = structuredClone(bench.design());
    await click(button(element, 'Add a mains charger'));
    expect(bench.labels).toEqual(['a mains charger']);
    expect(chosen(element)).toContain('Mains charger');
    expect(box(element, 'mains')).not.toBeNull();
    await click(button(element, 'take out'));
    expect(bench.openDesign().converters).toEqual(before!.converters);
  });
  it('keeps a controller drawn whose panels were taken out, so that it can go too', async () => {
    const { element, bench, settle, click } = await onBench(FlowSheet, 'vet');
    const before = structuredClone(bench.openDesign().converters);
    await click(button(element, 'Add an array with its own controller'));
    await click(button(element, 'take out'));
    const box_ = [...element.querySelectorAll('[data-thing]')].find((b) => b.textContent!.includes('Solar controller'))!;
    expect(text(box_)).toContain('20 A');
    box_.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    await settle();
    expect(chosen(element)).toContain('Solar controller');
    await click(button(element, 'take out'));
    expect(bench.openDesign().converters).toEqual(before);
  });
  it('feeds a charger from the bank of another rig by one choice, and lets the lead go with the next', async () => {
    const { element, bench, settle } = await onBench(FlowSheet, 'vet', (d) => {
      const done = doCommands(d, [
        { do: 'addVehicle', with: { id: 'box', vehicleKind: 'portable-box', name: 'grab box' } },
        { do: 'setBatteries', in: 'box', with: { batteries: 'house', part: 'bat-lfp-100' } },
      ]);
      if (done.ok) Object.assign(d, done.design);
    });
    const pick = async (words: string): Promise<void> => {
      box(element, 'charger').dispatchEvent(new MouseEvent('click', { bubbles: true }));
      await settle();
      element.querySelector<HTMLElement>('nz-select[aria-label$=" fed from"]')!.click();
      await until(() => [...document.querySelectorAll('nz-option-item')].some((o) => o.textContent!.includes(words)), settle);
      [...document.querySelectorAll<HTMLElement>('nz-option-item')].find((o) => o.textContent!.includes(words))!.click();
      await settle();
    };
    await pick('the bank of the grab box, by a lead');
    const [lead] = Object.values(bench.openJob().couplings);
    expect([lead!.from, lead!.to, lead!.carries]).toEqual(['box', 'own', 'dc']);
    expect(text(box(element, lead!.inlet!))).toContain('The other battery');
    await pick('the engine’s side');
    expect(bench.openJob().couplings).toEqual({});
    expect(bench.openDesign().converters['charger']!.from).toEqual({ in: 'vehicles', id: 'starting' });
  });
  it('takes up what was asked for elsewhere, once, and gives the keys to its fields', async () => {
    const { element, bench, settle } = await onBench(FlowSheet, 'vet');
    const wish = TestBed.inject(SelectionService).supply;
    wish.set({ add: 'a mains charger' });
    await settle();
    expect(bench.labels).toEqual(['a mains charger']);
    expect(wish()).toBeNull();
    expect(document.activeElement!.getAttribute('aria-label')).toBe('What is chosen: Mains charger');
    wish.set({ show: 'house' });
    await settle();
    expect(chosen(element)).toContain('House battery');
    expect(bench.labels.length).toBe(1);
  });
  it('adds an inverter beside the first, called by its name, and a block that goes again', async () => {
    const { element, bench, click, settle } = await onBench(FlowSheet, 'vet');
    await click(button(element, 'Add an inverter'));
    expect(chosen(element)).toContain('Inverter 1000 W');
    await click(button(element, 'Add a fuse block nearer to what it feeds'));
    expect(chosen(element)).toContain('Second fuse block');
    const called = element.querySelector<HTMLInputElement>('[aria-label^="Name of the"]')!;
    called.value = ' rear block ';
    called.dispatchEvent(new Event('change'));
    await settle();
    expect(chosen(element)).toContain('Rear block');
    await click(button(element, 'take out'));
    expect(Object.keys(bench.openDesign().distribution)).toEqual(['bus', 'block']);
  });
  it('hangs an end on the box that it is let go on, and says where it cannot', async () => {
    const { element, bench, click, settle } = await onBench(FlowSheet, 'vet');
    await click(button(element, 'Add an array with its own controller'));
    const carry = async (flow: string, on: string): Promise<void> => {
      const ribbon = element.querySelector(`[data-flow="${flow}"]`)!;
      ribbon.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, clientX: 1, clientY: 1 }));
      const r = box(element, on).querySelector('rect')!.getBoundingClientRect();
      element.querySelector('mx-supply-flow svg')!.dispatchEvent(new PointerEvent('pointerup', { bubbles: true, clientX: r.x + r.width / 2, clientY: r.y + r.height / 2 }));
      await settle();
    };
    await carry('panel>charger', 'regulator');
    expect(bench.openDesign().arrays['panel']!.into).toEqual({ in: 'converters', id: 'regulator' });
    await carry('panel>regulator', 'starting');
    expect(text(element.querySelector('[role=alert]')!)).toContain('into: starting');
    expect(bench.openDesign().arrays['panel']!.into?.id).toBe('regulator');
  });
});

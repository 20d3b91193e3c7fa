import { SessionService } from '../../data/session.service';
import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { onBench } from '../../testing/bench';
import { MainsSheet } from './mains';

const button = (element: HTMLElement, text: string): Element | null => [...element.querySelectorAll('button')].find((b) => b.textContent!.trim() === text) ?? null;
const group = (element: HTMLElement, label: string): HTMLElement => element.querySelector<HTMLElement>(`[role=group][aria-label="${label}"]`)!;
const field = (element: HTMLElement, name: string): Element | null => [...element.querySelectorAll('label.field')].find((l) => l.textContent!.includes(name))?.querySelector('input') ?? null;
const as = (role: string): void => void TestBed.overrideProvider(SessionService, { useValue: { person: signal({ name: 'Sam', role }) } });

describe('the sheet of the 230 V side', () => {
  it('asks for each source, and takes an answer at a press and back at another', async () => {
    as('owner');
    const { element, bench, click } = await onBench(MainsSheet, 'vet');
    const used = group(element, 'inverter 1600 W: How is it used?');
    await click(button(used, 'by plugging in'));
    expect(bench.openDesign().mains.answers['inverter.used']).toBe('by plugging in');
    expect(button(used, 'by plugging in')!.getAttribute('aria-pressed')).toBe('true');
    expect(element.querySelector('.stand')!.textContent).toContain('1 of 6 questions answered');
    await click(button(used, 'by plugging in'));
    expect(bench.openDesign().mains.answers).toEqual({});
  });

  it('signs nothing while a question is open, a dangerous answer stands, or a name, licence or statement is missing', async () => {
    as('mains electrician');
    const { element, bench, click, type, settle } = await onBench(MainsSheet, 'vet', (d) => {
      d.mains.answers = { 'inverter.output': 'floating', 'inverter.used': 'by plugging in', 'inverter.rcd': '30 mA, type A', 'inverter.outlets': 'one', apart: 'own conduit' };
    });
    const sign = async (): Promise<string> => {
      await click(button(element, 'Sign with today’s date'));
      return element.querySelector('[aria-label=Signature] [role=alert]')?.textContent ?? 'signed';
    };
    expect(await sign()).toContain('One question has no answer yet');
    const circuits = element.querySelector('input[aria-label^="the whole 230 V side: Which circuits"]')!;
    await type(circuits, 'none added');
    circuits.dispatchEvent(new Event('blur'));
    await settle();
    expect(element.querySelector('.question .stop')!.textContent).toContain('does not trip on a floating output');
    expect(await sign()).toContain('What is marked above');
    await click(button(group(element, 'inverter 1600 W: Which residual-current device works on it?'), 'none'));
    for (const [name, word] of [
      ['Name', 'Mia'],
      ['Licence', '77'],
      ['Statement', 'tested'],
    ] as const) {
      expect(await sign()).toContain(`${name}: nothing typed`);
      await type(field(element, name), word);
    }
    await click(button(element, 'Sign with today’s date'));
    expect(bench.openDesign().mains.signed).toEqual(jasmine.objectContaining({ by: 'Mia', licence: '77', statement: 'tested' }));
    expect(element.querySelector('.stand')!.textContent).toContain('Signed by a licensed electrician');
    // What stands under a signature is not answered anew.
    expect([...element.querySelectorAll<HTMLButtonElement | HTMLInputElement>('.question button, .question input')].every((b) => b.disabled)).toBeTrue();
    await click(button(element, 'Take it back'));
    expect(bench.openDesign().mains.signed).toBeNull();
  });

  it('is left out by name and with a reason, by who may sign; others are told who that is', async () => {
    as('owner');
    const { element, bench, click, type } = await onBench(MainsSheet, 'vet');
    await click(button(element, 'None of it is part of this job'));
    expect(element.querySelector('[role=alert]')!.textContent).toContain('Reason: nothing typed');
    await type(field(element, 'Reason'), 'another firm');
    await click(button(element, 'None of it is part of this job'));
    expect(bench.openDesign().mains.notOurs).toEqual(jasmine.objectContaining({ by: 'Sam', reason: 'another firm' }));
    TestBed.resetTestingModule();
    as('electrician');
    const other = await onBench(MainsSheet, 'vet');
    expect(button(other.element, 'Sign with today’s date')).toBeNull();
    expect(other.element.textContent).toContain('An electrician may not sign for the 230 V side; an owner or mains electrician may.');
  });

  it('draws what is answered, and says where there is no 230 V', async () => {
    as('owner');
    const { element } = await onBench(MainsSheet, 'playgroup');
    expect(element.querySelector('mx-mains-sketch svg')!.getAttribute('aria-label')).toContain('mains inlet 15 A; RCD 30 mA, type A');
    expect(element.querySelectorAll('rect.open').length).toBe(0);
    TestBed.resetTestingModule();
    as('owner');
    expect((await onBench(MainsSheet, 'bees')).element.textContent).toContain('There is no 230 V in this vehicle');
  });
});

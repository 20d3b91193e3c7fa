import { assess, SHIPPED_CATALOGUE, supplyOf } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { FindingsSheet } from './findings';

const button = (element: HTMLElement, text: string): Element | null => [...element.querySelectorAll('button')].find((b) => b.textContent!.includes(text)) ?? null;
const field = (element: HTMLElement, name: string): Element | null => [...element.querySelectorAll('label.field')].find((l) => l.textContent!.includes(name))?.querySelector('input') ?? null;

describe('the checks stage', () => {
  it('lists what is open, the stops first, each with reason and fix', async () => {
    const { element, bench, click, settle } = await onBench(FindingsSheet, 'cinema', (d) => void (supplyOf(d).fuseBlock = 'fb-6'));
    expect(element.querySelectorAll('button.row').length).toBe(bench.openAssessment().open.length);
    expect(element.querySelector('button.row mx-mark svg')!.getAttribute('aria-label')).toBe('stop');
    const heads = [...element.querySelectorAll('h2.mid')].map((h) => h.textContent!.trim());
    expect(heads[0]).toBe('What can burn');
    expect(new Set(heads).size).toBe(heads.length);
    for (const part of ['Why it matters', 'What to do', 'What it rests on']) expect(element.textContent).toContain(part);
    // Before it is pressed one sees what it would change.
    await settle();
    const would = element.querySelector('mx-would-change')!.textContent!;
    expect(would).toContain('ends this finding');
    expect(would).toContain('Parts');
    // What the program can mend it mends at a press, as an edit like any other.
    await click(button(element, 'Take the cartridge fuse board'));
    await settle();
    expect(supplyOf(bench.openDesign()).fuseBlock).toBe('fb-8-c');
    expect(bench.labels.at(-1)).toContain('Take the cartridge');
    expect(element.querySelector('button.row mx-mark svg')!.getAttribute('aria-label')).toBe('look');
  });

  it('accepts nothing without a name and a reason', async () => {
    const { element, bench, click, type } = await onBench(FindingsSheet, 'vet');
    await type(field(element, 'Name'), 'someone');
    await click(button(element, 'Accept'));
    expect(element.querySelector('[role=alert]')!.textContent).toContain('Reason: nothing typed');
    expect(Object.keys(bench.openDesign().accepted)).toEqual([]);
  });

  it('accepts with both, shows who and why, and takes it back', async () => {
    const { element, bench, click, type } = await onBench(FindingsSheet, 'vet');
    const open = bench.openAssessment().open.length;
    await type(field(element, 'Name'), 'someone');
    await type(field(element, 'Reason'), 'half power is set');
    await click(button(element, 'Accept'));
    expect(bench.openAssessment().open.length).toBe(open - 1);
    expect(element.querySelector('.signed')!.textContent).toContain('half power is set');
    await click(button(element, 'take back'));
    expect(bench.openAssessment().open.length).toBe(open);
  });

  it('never signs the next finding with the reason of the last', async () => {
    const { element, click, type } = await onBench(FindingsSheet, 'survey');
    await type(field(element, 'Name'), 'someone');
    await type(field(element, 'Reason'), 'only for this one');
    await click(button(element, 'Accept'));
    expect((field(element, 'Reason') as HTMLInputElement).value).toBe('');
  });

  it('says so when nothing is open', async () => {
    const all = (d: Parameters<NonNullable<Parameters<typeof onBench>[2]>>[0]): void => {
      for (const { key } of assess(d, SHIPPED_CATALOGUE).open) d.accepted[key] = { by: 'x', reason: 'y', at: '2026-11-24' };
    };
    const { element } = await onBench(FindingsSheet, 'bees', all);
    expect(element.querySelector('.empty')!.textContent).toContain('Nothing open');
  });
});

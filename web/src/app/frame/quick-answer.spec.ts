import { onBench } from '../testing/bench';
import { QuickAnswerCard } from './quick-answer';

const text = (e: Element | null): string => e!.textContent!.replace(/\s+/g, ' ').trim();
const button = (e: HTMLElement, words: string): Element => [...e.querySelectorAll('button')].find((b) => text(b) === words)!;

describe('an answer without a job', () => {
  it('says it first, and anew when what it takes for granted is pressed', async () => {
    const { element, click } = await onBench(QuickAnswerCard, 'vet', undefined, { question: '40 A 6 m' });
    expect(text(element.querySelector('.says'))).toBe('16 mm², 60 A fuse, 0.58 V lost, 4.8 %');
    await click(button(element, '12 V'));
    expect(text(element.querySelector('.says'))).toMatch(/^10 mm²/);
    await click(button(element, '24 V'));
    expect(text(element.querySelector('.says'))).toMatch(/^16 mm²/);
  });

  it('goes into the job as a load, at one step of undo', async () => {
    const { element, bench, click } = await onBench(QuickAnswerCard, 'vet', undefined, { question: 'fridge 45 W 33 %' });
    const before = Object.keys(bench.openDesign().loads).length;
    await click(button(element, 'Put it into this job'));
    expect(bench.labels).toEqual(['load: fridge 45 W']);
    expect(Object.values(bench.openDesign().loads).filter((l) => l.name === 'fridge 45 W').length).toBe(1);
    expect(Object.keys(bench.openDesign().loads).length).toBe(before + 1);
    expect(text(element)).toContain('stands under Loads');
  });

  it('offers no job what is no load', async () => {
    const { element } = await onBench(QuickAnswerCard, 'vet', undefined, { question: '6 gauge' });
    expect(button(element, 'Put it into this job')).toBeUndefined();
  });
});

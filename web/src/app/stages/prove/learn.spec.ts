import { DEMO_JOBS, faultBook, hideFault, SHIPPED_CATALOGUE } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { LearnSheet } from './learn';

const text = (e: Element | null): string => (e?.textContent ?? '').replace(/\s+/g, ' ').trim();
const book = faultBook(DEMO_JOBS.find((j) => j.key === 'vet')!.design, SHIPPED_CATALOGUE)!;
interface Inside {
  name(fault: string): void;
}

describe('learning to find', () => {
  beforeEach(() => localStorage.clear());
  const open = async () => {
    const on = await onBench(LearnSheet, 'vet');
    for (let i = 0; i < 8; i++) await on.settle();
    return { ...on, inside: on.fixture.componentInstance as unknown as Inside };
  };

  it('hides a fault, tells the complaint, and answers with the simulated meter', async () => {
    const { element, click } = await open();
    expect(text(element.querySelector('h2'))).toBe(`“${hideFault(book, 1, 'one thing is dead')!.complaint.words}.”`);
    await click(element.querySelector('[aria-label^="Measure: "]')!);
    expect(element.querySelectorAll('tbody tr').length).toBe(1);
    expect(text(element.querySelector('tbody tr'))).toMatch(/\d/);
  });

  it('counts a wrong name as a part changed for nothing, and the right one as found, kept in the history', async () => {
    const { element, inside, settle, click } = await open();
    const hidden = hideFault(book, 1, 'one thing is dead')!.fault;
    inside.name('worn:battery1');
    await settle();
    expect(text(element.querySelector('[role="alert"]'))).toContain('Not it');
    inside.name(hidden);
    await settle();
    expect(text(element.querySelector('[role="status"]'))).toContain('Found in 20.0 min');
    expect(text(element)).toContain('1 of 1 found');
    await click([...element.querySelectorAll('button')].find((b) => text(b) === 'Another one')!);
    for (let i = 0; i < 4; i++) await settle();
    expect(text(element)).toContain('Riddle 2');
  });

  it('shows what it was to who gives up', async () => {
    const { element, click } = await open();
    await click([...element.querySelectorAll('button')].find((b) => text(b) === 'give up')!);
    expect(text(element.querySelector('[role="status"]'))).toContain('Given up');
    expect(text(element)).toContain('0 of 1 found');
  });
});

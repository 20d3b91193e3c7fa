import { TestBed } from '@angular/core/testing';
import { DEMO_JOBS, faultBook, SHIPPED_CATALOGUE } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { FindSheet } from './find';

const text = (e: Element | null): string => (e?.textContent ?? '').replace(/\s+/g, ' ').trim();
const button = (e: HTMLElement, words: string): HTMLElement => [...e.querySelectorAll('button')].find((b) => text(b) === words || b.getAttribute('aria-label') === words)!;
const book = faultBook(DEMO_JOBS.find((j) => j.key === 'vet')!.design, SHIPPED_CATALOGUE)!;

describe('the search for a fault on screen', () => {
  beforeEach(() => localStorage.clear());
  const open = async () => {
    const on = await onBench(FindSheet, 'vet');
    for (let i = 0; i < 6; i++) await on.settle();
    const read = async (value: string): Promise<void> => {
      await on.type(on.element.querySelector('.read input')!, value);
      await on.click(button(on.element, 'Keep the reading'));
      for (let i = 0; i < 4; i++) await on.settle();
    };
    const next = (): string => text(on.element.querySelector('.next h2'));
    return { ...on, read, next };
  };

  it('says what to measure next, what it should read, and what each reading would mean', async () => {
    const { element, next } = await open();
    expect(next()).toContain('engine off, every load on');
    expect(text(element.querySelector('.next'))).toMatch(/Sound, it reads [\d.]+ [AV] ± /);
    expect(element.querySelectorAll('.branches li').length).toBeGreaterThan(1);
    expect(element.querySelectorAll('.causes li').length).toBeGreaterThan(3);
  });

  it('uses what Prove read when it is told to, and gives its own readings to the record', async () => {
    const { element, bench, read, settle, click } = await open();
    const probe = book.probes.find((p) => p.id === 'engine.out-amps:charger')!;
    bench.read(probe.id, probe.expected, 'A');
    await settle();
    expect(text(element)).toContain('One reading of Prove not used here');
    await click(button(element, 'Use it'));
    for (let i = 0; i < 4; i++) await settle();
    expect(text(element)).not.toContain('not used here');
    const before = bench.readings().size;
    await read('12.1');
    expect(bench.readings().size).toBe(before + 1);
  });

  it('is led by readings to the fault, with what mends it', async () => {
    const { element, read, next } = await open();
    const fault = 'blown:load-l1';
    for (let i = 0; i < 8 && element.querySelector('.next'); i++) {
      const words = next();
      const probe = book.probes.find((p) => p.words === words)!;
      await read(probe.predicted[fault]!.toFixed(2));
    }
    expect(text(element.querySelector('.found'))).toContain('vaccine fridge: its fuse is blown');
    expect(text(element.querySelector('.found'))).toContain('never a larger one');
    expect(element.querySelector('.found a')!.textContent).toContain('Show this run');
  });

  it('refuses a reading that is no number, and loses none that was kept', async () => {
    const { element, read } = await open();
    await read('twelve');
    expect(text(element.querySelector('.next [role="alert"]'))).toContain('twelve');
    await read('131');
    expect(element.querySelectorAll('tbody tr').length).toBe(1);
    TestBed.resetTestingModule();
    const again = await open();
    expect(again.element.querySelectorAll('tbody tr').length).toBe(1);
    await again.click(again.element.querySelector('[aria-label^="Take out the reading"]')!);
    for (let i = 0; i < 4; i++) await again.settle();
    expect(again.element.querySelectorAll('tbody tr').length).toBe(0);
  });

  it('goes on with another test where one cannot be taken', async () => {
    const { element, click, next, settle } = await open();
    const first = next();
    await click(button(element, 'Cannot now'));
    await settle();
    expect(next()).not.toBe(first);
  });
});

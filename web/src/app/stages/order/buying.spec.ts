import { TestBed } from '@angular/core/testing';
import type { OnShelf } from '@meridex/contract';
import { StockService } from '../../data/stock.service';
import { onBench } from '../../testing/bench';
import { BuyingSheet } from './buying';

const text = (e: Element | null): string => (e?.textContent ?? '').replace(/\s+/g, ' ').trim();
const button = (e: HTMLElement, name: RegExp): HTMLButtonElement => [...e.querySelectorAll('button')].find((b) => name.test(b.getAttribute('aria-label') ?? text(b)))!;

describe('what was bought', () => {
  it('is ordered line by line, comes, and is answered first', async () => {
    const { element, bench, click } = await onBench(BuyingSheet, 'vet');
    const { lines } = bench.openAssessment().order;
    expect(text(element.querySelector('.big'))).toContain(`${lines.length} of ${lines.length} lines to order`);
    await click(element.querySelector(`tr[data-line="${lines[0]!.key}"] input`)!);
    expect(text(button(element, /^Ordered:/))).toContain(`${lines.length - 1} lines`);
    // Off the page a button does not send its form.
    element.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }));
    await click(element.querySelector('.big')!);
    expect(Object.keys(bench.openDesign().bought).length).toBe(lines.length - 1);
    expect(text(element.querySelector('.big'))).toContain(`1 of ${lines.length} lines to order`);
    await click(button(element, new RegExp(`^Here: ${lines[1]!.what}`)));
    expect(bench.openDesign().bought[lines[1]!.key]!.here).toBe(lines[1]!.quantity);
    await click(button(element, /^Off the shelf/));
    expect(bench.openDesign().bought[lines[0]!.key]!.from).toBe('the shelf');
    await click(button(element, /^All of it has come/));
    expect(text(element.querySelector('.big'))).toBe('Everything is here.');
  });

  it('and wanted no more is said, until it is done with', async () => {
    const { element, bench, click } = await onBench(BuyingSheet, 'vet', (d) => (d.bought['old'] = { what: 'inverter 3000 W', unit: 'pc', count: 2, here: 1, from: '', due: null, shelf: 0 }));
    const spare = element.querySelector('[aria-label="What the plan wants no more"]')!;
    expect(text(spare)).toContain('1 pc here: back to who sold it, or on to the shelf');
    expect(text(spare)).toContain('1 pc on the way: call it off');
    await click(button(element, /^On to the shelf: inverter/));
    expect(bench.openDesign().bought['old']).toEqual(jasmine.objectContaining({ count: 0, here: 0, shelf: -1 }));
    expect(element.querySelector('[aria-label="What the plan wants no more"]')).toBeNull();
  });

  it('and wanted no more goes back to who sold it without a trace on the shelf', async () => {
    const { element, bench, click } = await onBench(BuyingSheet, 'vet', (d) => (d.bought['old'] = { what: 'inverter 3000 W', unit: 'pc', count: 1, here: 1, from: '', due: null, shelf: 0 }));
    await click(button(element, /^Given back: inverter/));
    expect(bench.openDesign().bought['old']).toBeUndefined();
  });

  it('is taken off the shelf as far as it lies there, and no further', async () => {
    const { element, bench, click, fixture } = await onBench(BuyingSheet, 'vet');
    const [a, b] = bench.openAssessment().order.lines;
    const there = (l: typeof a, count: number): OnShelf => ({ key: l!.key, what: l!.what, unit: l!.unit, count, counted: '2026-12-01T10:00:00Z', author: 'Ann' });
    TestBed.inject(StockService).shelf.set(
      new Map([
        [a!.key, there(a, 5)],
        [b!.key, there(b, 0)],
      ]),
    );
    await fixture.whenStable();
    expect(text(button(element, /^Off the shelf/))).toBe('Off the shelf: 1 line');
    await click(button(element, /^Off the shelf/));
    expect(Object.entries(bench.openDesign().bought).map(([key, x]) => [key, x.here, x.shelf])).toEqual([[a!.key, a!.quantity, a!.quantity]]);
    expect(text(element.querySelector(`tr[data-line="${a!.key}"]`))).toContain(`${5 - a!.quantity} pc`);
  });

  it('past its day is late, and its figures are typed in place', async () => {
    const { element, bench, click } = await onBench(
      BuyingSheet,
      'vet',
      (d) => (d.bought['dcdc-40-dual'] = { what: 'charger', unit: 'pc', count: 1, here: 0, from: 'Wirrabel', due: '2020-01-02', shelf: 0 }),
    );
    expect(text(element.querySelector('.big'))).toContain('1 late');
    const row = element.querySelector('tr[data-line="dcdc-40-dual"]')!;
    expect(text(row)).toContain('Wirrabel Thu 2 Jan, late');
    await click(row.querySelector('button.name')!);
    const here = element.querySelector<HTMLInputElement>('input[aria-label^="Here of"]')!;
    here.value = '1';
    here.dispatchEvent(new Event('input'));
    here.dispatchEvent(new Event('change'));
    here.dispatchEvent(new Event('blur'));
    await click(element.querySelector('.big')!);
    expect(bench.openDesign().bought['dcdc-40-dual']!.here).toBe(1);
    expect(text(element.querySelector('.big'))).not.toContain('late');
  });
});

import { TestBed } from '@angular/core/testing';
import type { Offers, PriceList } from '@meridex/contract';
import { SuppliersService } from '../../data/suppliers.service';
import { onBench } from '../../testing/bench';
import { PricesSheet } from './prices';

const text = (e: Element | null): string => (e?.textContent ?? '').replace(/\s+/g, ' ').trim();
const button = (e: HTMLElement, name: RegExp): HTMLButtonElement => [...e.querySelectorAll('button')].find((b) => name.test(text(b)))!;
const row = (e: HTMLElement, of: string): HTMLElement => e.querySelector(`tr[data-line="${of}"]`)!;

describe('what suppliers ask', () => {
  const open = async () => {
    const on = await onBench(PricesSheet, 'vet');
    const { lines } = on.bench.openAssessment().order;
    return { ...on, first: lines[0]!, second: lines[1]!, third: lines[2]! };
  };
  const listOf = (...items: PriceList['items']): PriceList => ({ id: 'l', supplier: 'Quandong Trade Counter', on: '2026-11-30', items, author: 'Ann', chosen: {} });

  it('is found in a list line by line, and taken for what is ticked', async () => {
    const { element, bench, click, fixture, first, second, third } = await open();
    const before = bench.openAssessment().order.total;
    TestBed.inject(SuppliersService).lists.set([
      listOf({ code: 'Q1', what: first.what.toUpperCase(), each: first.priceEach + 11 }, { code: 'Q2', what: second.what.toUpperCase(), each: second.priceEach + 5 }),
    ]);
    await fixture.whenStable();
    expect(text(row(element, first.key))).toContain('Q1 · ');
    expect(text(row(element, third.key))).toContain('none found: choose');
    await click(row(element, second.key).querySelector('input')!);
    await click(button(element, /^Take 1 price/));
    expect(bench.openDesign().prices).toEqual({ [first.key]: { each: first.priceEach + 11, from: 'Quandong Trade Counter', on: '2026-11-30' } });
    expect(bench.openAssessment().order.total).toBeCloseTo(before + 11 * first.quantity, 6);
    expect(text(element.querySelector('.big'))).toContain('with 1 of');
    await click(button(element, /^Planning prices again/));
    expect(bench.openDesign().prices).toEqual({});
  });

  it('and is not found may be chosen by hand, which the workshop keeps', async () => {
    const { element, click, fixture, third } = await open();
    const sellers = TestBed.inject(SuppliersService);
    const chosen: string[][] = [];
    sellers.choose = (...said) => {
      chosen.push(said);
      return Promise.resolve();
    };
    sellers.lists.set([listOf({ code: 'ODD', what: 'something else', each: 3 })]);
    await fixture.whenStable();
    await click(row(element, third.key).querySelector('button')!);
    await click(element.querySelector('tr.fields nz-select nz-select-top-control, tr.fields nz-select')!);
    const option = [...document.querySelectorAll('nz-option-item')].find((o) => text(o).includes('ODD'))!;
    await click(option);
    expect(chosen).toEqual([['Quandong Trade Counter', third.key, 'ODD']]);
  });

  it('by the simulated supplier is ordered for the days on which it comes', async () => {
    const { element, bench, click, first, second } = await open();
    const sellers = TestBed.inject(SuppliersService);
    sellers.offers = (asked): Promise<Offers> =>
      Promise.resolve({ supplier: 'Mulga (simulated)', on: '2026-12-02', offers: asked.slice(0, 2).map(({ key, planned }, i) => ({ key, each: planned + 1, has: 9, days: i ? 4 : 1 })) });
    await click(button(element, /^Ask what it has/));
    expect(text(row(element, first.key))).toContain('9, in 1 day');
    await click(button(element, /^Order them: all here by/));
    const { bought, prices } = bench.openDesign();
    expect([bought[first.key]!.count, bought[second.key]!.count]).toEqual([first.quantity, second.quantity]);
    expect(bought[first.key]!.due! < bought[second.key]!.due!).toBeTrue();
    expect(Object.values(prices).map((p) => p.from)).toEqual(['Mulga (simulated)', 'Mulga (simulated)']);
  });

  it('by the simulated supplier is asked with what was planned, and not with its own answer, which would grow from time to time', async () => {
    const { element, bench, click } = await onBench(PricesSheet, 'vet', (d) => (d.prices['bat-lfp-200'] = { each: 9999, from: 'Mulga (simulated)', on: '2026-12-01' }));
    const line = bench.openAssessment().order.lines.find((l) => l.key === 'bat-lfp-200')!;
    let planned = 0;
    TestBed.inject(SuppliersService).offers = (lines) => {
      planned = lines.find((l) => l.key === line.key)!.planned;
      return Promise.resolve(null);
    };
    await click(button(element, /^Ask what it has/));
    expect([line.priceEach, planned]).toEqual([9999, line.priced!.planned]);
    expect(planned).toBeLessThan(9999);
  });
});

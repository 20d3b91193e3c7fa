import { supplyOf } from '@meridex/core';
import { onBench } from '../../testing/bench';
import { until } from '../../testing/until';
import { DraftsSheet } from './drafts';
import { SheetsSheet } from './sheets';
import { TripSheet } from './trip';

const text = (e: Element): string => e.textContent!.replace(/\s+/g, ' ');
/** What a part of the page says, or nothing while it is not there. */
const said = (e: Element, of: string): string => text(e.querySelector(of) ?? document.createElement('p'));

describe('three drafts', () => {
  it('stand side by side, each with days, cost, kilograms and what gives out first', async () => {
    const { element, settle } = await onBench(DraftsSheet, 'survey');
    await settle();
    const cards = [...element.querySelectorAll('mx-draft-card')].map(text);
    expect(cards.map((c) => c.trim().split(' ')[0])).toEqual(['Lean', 'Sound', 'Roomy']);
    for (const c of cards) expect(c).toMatch(/\d\.\d days alone.*kg.*Gives out first.*% used/);
  });
  it('are taken in one step, with the starting battery left as it was', async () => {
    const { element, bench, click, settle } = await onBench(DraftsSheet, 'survey');
    await settle();
    await click([...element.querySelectorAll('button')].find((b) => b.textContent!.includes('roomy'))!);
    expect(bench.labels).toEqual(['the roomy draft']);
    expect(bench.openDesign().supply.startingAh).toBe(95);
    await settle();
    expect(text(element.querySelectorAll('mx-draft-card')[2]!)).toContain('chosen');
  });
  it('follow the school at once', async () => {
    const { element, bench, settle } = await onBench(DraftsSheet, 'survey');
    bench.edit('school', (d) => (d.settings.batterySchool = 'AGM'));
    await settle();
    await settle();
    expect(text(element.querySelector('mx-draft-card')!)).toContain('AGM battery');
  });
  it('say what to do first when nothing is to run', async () => {
    const { element } = await onBench(DraftsSheet, 'survey', (d) => (d.loads = {}));
    expect(text(element)).toContain('Put in the loads first');
  });
});

describe('the trip', () => {
  it('says in words what many trips came to, and runs again after an edit', async () => {
    const { element, bench, settle } = await onBench(TripSheet, 'survey');
    await until(() => said(element, '.say').includes('In 60 trips'), settle);
    expect(text(element.querySelector('.say')!)).toContain('In 60 trips the sample freezer never went off');
    bench.edit('parked', (d) => Object.assign(d.brief.trip, { parkedDays: 9, days: 10 }));
    await until(() => said(element, '.say').includes('goes off'), settle);
    expect(text(element.querySelector('.say')!)).toMatch(/In \d+ of 60 trips the sample freezer goes off/);
    expect(text(element)).toMatch(/Mostly on day \d+, about \d+:00/);
  });
  it('turns by a slider, shows what that does, and turns back', async () => {
    const { element, settle } = await onBench(TripSheet, 'survey');
    const slider = element.querySelector<HTMLInputElement>('input[aria-label="More battery"]')!;
    slider.value = '2';
    slider.dispatchEvent(new Event('input'));
    await settle();
    await settle();
    expect(text(element.querySelector('.key')!)).toMatch(/lowest \d+ % → \d+ %/);
    [...element.querySelectorAll('button')].find((b) => b.textContent!.includes('As it is'))!.click();
    await settle();
    expect(text(element.querySelector('.key')!)).toMatch(/lowest \d+ % on day/);
  });
  it('names the change that helps most, and takes it', async () => {
    const { element, bench, click, settle } = await onBench(TripSheet, 'survey', (d) => Object.assign(d.brief.trip, { parkedDays: 5, days: 7 }));
    await until(() => said(element, '.best').includes('helps most'), settle);
    expect(text(element.querySelector('.best')!)).toMatch(/helps most: going off \d+ → \d+ % of trips/);
    await click(element.querySelector('button[aria-label^="Take: "]'));
    expect(bench.labels.length).toBe(1);
  });
  it('says for each failure what goes off and what carries it', async () => {
    const { element, settle } = await onBench(TripSheet, 'vet');
    const failures = (): string => text([...element.querySelectorAll('table')].at(-1) ?? document.createElement('p'));
    await until(() => failures().includes('nothing fails'), settle);
    const said = failures();
    expect(said).toContain('nothing failsstays on to the end');
    expect(said).toMatch(/charger dead: neither vehicle nor sunoff from day \d, \d+:00/);
    expect(said).toContain('off at once; nothing carries them');
  });
  it('stands without a battery and says what to do', async () => {
    const { element } = await onBench(TripSheet, 'vet', (d) => (supplyOf(d).battery.part = null));
    expect(text(element)).toContain('Choose a house battery to see the trip');
    expect(text(element)).not.toMatch(/NaN|Infinity/);
  });
});

describe('settings and watching', () => {
  it('have a row for each, and keep where a figure is to be seen', async () => {
    const { fixture, element, bench } = await onBench(SheetsSheet, 'vet');
    expect(text(element)).toContain('DC-DC charger 40 A, dual input');
    expect(text(element)).toContain('engine only, dead in accessory and off');
    (fixture.componentInstance as unknown as { see(id: string, at: string): void }).see('charge', 'phone');
    expect(bench.openAssessment().supply.watched.find((w) => w.id === 'charge')!.seenAt).toBe('phone');
  });
});

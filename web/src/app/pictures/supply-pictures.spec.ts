import { provideZonelessChangeDetection, type Type } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { assess, DEMO_JOBS, type Design, SHIPPED_CATALOGUE, tripDays } from '@meridex/core';
import { AhLedger } from './ah-ledger';
import { AlternatorTrace } from './alternator-trace';
import { MonthBars } from './month-bars';
import { type DayChange, TripDays } from './trip-days';

const of = (key: string, change: (d: Design) => void = () => undefined) => {
  const design = structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
  change(design);
  return { design, a: assess(design, SHIPPED_CATALOGUE) };
};
async function drawn<T>(component: Type<T>, inputs: Record<string, unknown>): Promise<{ readonly element: HTMLElement; readonly instance: T; settle(): Promise<void> }> {
  const fixture = TestBed.createComponent(component);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  await fixture.whenStable();
  return { element: fixture.nativeElement as HTMLElement, instance: fixture.componentInstance, settle: async () => void (await fixture.whenStable()) };
}
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const heights = (e: HTMLElement, source: string): number[] => [...e.querySelectorAll(`rect.${source}`)].map((r) => Number(r.getAttribute('height')));

describe('pictures of the supply', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] }));

  it('the ledger’s bars are in proportion to what each source gave', async () => {
    const { a } = of('survey');
    const { element } = await drawn(AhLedger, { trip: a.trip });
    const [sun, vehicle] = [sum(heights(element, 'sun')), sum(heights(element, 'alternator'))];
    expect(sun / vehicle).toBeCloseTo(sum(a.trip!.sunAh) / sum(a.trip!.alternatorAh), 1);
    expect(element.querySelectorAll('.load').length).toBe(6);
    expect(element.querySelector('svg')!.getAttribute('aria-label')).toContain(`${sum(a.trip!.loadAh).toFixed(0)} drawn`);
  });

  it('the ledger has the same figures as a table, and weeks for long trips', async () => {
    const short = await drawn(AhLedger, { trip: of('survey').a.trip });
    expect(short.element.querySelector('details')!.open).toBeTrue();
    expect(short.element.querySelectorAll('tbody tr').length).toBe(6);
    const long = await drawn(AhLedger, { trip: of('survey', (d) => (d.brief.trip.days = 84)).a.trip });
    expect(long.element.querySelector('details')!.open).toBeFalse();
    expect([long.element.querySelectorAll('tbody tr').length, long.element.querySelector('th')!.textContent!.trim()]).toEqual([12, 'week']);
  });

  it('the alternator’s volts say never when it is never, and show when it is', async () => {
    const never = await drawn(AlternatorTrace, { trace: of('vet').a.supply.trace });
    expect(never.element.querySelector('.never')).not.toBeNull();
    expect(never.element.querySelectorAll('.closed').length).toBe(0);
    const { trace } = of('bees').a.supply;
    const fixed = await drawn(AlternatorTrace, { trace });
    expect(fixed.element.querySelector('.never')).toBeNull();
    const wide = Number(fixed.element.querySelector('.closed')!.getAttribute('width'));
    expect(wide / 346).toBeCloseTo(trace.closedShare, 2);
  });

  it('twelve months, the trip’s own marked', async () => {
    const { element } = await drawn(MonthBars, { shares: Array.from({ length: 12 }, (_, m) => m / 100), here: 7, words: 'loss by month' });
    const bars = [...element.querySelectorAll('rect')];
    expect(bars.map((b) => b.classList.contains('here')).indexOf(true)).toBe(6);
    expect(element.querySelectorAll('text.n')[6]!.textContent).toBe('6');
  });

  it('the days of a trip say what each is, and hand on what is changed of one', async () => {
    const { design } = of('bookmobile', (d) => (d.brief.trip.dayEdits = { '3': { mainsH: 8 } }));
    const { element, instance, settle } = await drawn(TripDays, { days: tripDays(design.brief.trip) });
    const days = [...element.querySelectorAll<HTMLButtonElement>('.day')];
    expect(days.map((d) => d.getAttribute('aria-label')).slice(0, 3)).toEqual(['Day 1: driven 2.0 h', 'Day 2: parked', 'Day 3: parked, mains 8.0 h, changed by hand']);
    const changes: DayChange[] = [];
    instance.changed.subscribe((c) => changes.push(c));
    days[2]!.click();
    await settle();
    [...element.querySelectorAll('button')].find((b) => b.textContent!.includes('pattern'))!.click();
    expect(changes).toEqual([{ day: 3, reset: true }]);
  });
});

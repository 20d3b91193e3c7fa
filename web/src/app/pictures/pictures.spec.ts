import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { assess, DEMO_JOBS, SHIPPED_CATALOGUE, vehicleOf } from '@meridex/core';
import { DayStrip } from './day-strip';
import { FuseWindow } from './fuse-window';
import { VehiclePicture } from './vehicle-picture';
import { VoltsLadder } from './volts-ladder';

const job = DEMO_JOBS.find((j) => j.key === 'vet')!;
const a = assess(job.design, SHIPPED_CATALOGUE);
const run = a.runs[0]!;
const numbers = (svg: Element, selector: string, name: string): number[] => [...svg.querySelectorAll(selector)].map((e) => Number(e.getAttribute(name)));

describe('pictures', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] }));

  it('the fuse window stands load, window and pin in their order', async () => {
    const fixture = TestBed.createComponent(FuseWindow);
    if (!run.ok) throw new Error('no size');
    fixture.componentRef.setInput('figures', run.figures);
    await fixture.whenStable();
    const svg = (fixture.nativeElement as HTMLElement).querySelector('svg')!;
    const [load] = numbers(svg, '.load', 'x1');
    const [from, to] = numbers(svg, '.edge', 'x1');
    const [pin] = numbers(svg, '.pin circle', 'cx');
    expect(load! < from! && from! <= pin! && pin! <= to!).toBeTrue();
    expect(svg.querySelector('.shut')).toBeNull();
  });

  it('a closed window is drawn shut', async () => {
    const fixture = TestBed.createComponent(FuseWindow);
    if (!run.ok) throw new Error('no size');
    fixture.componentRef.setInput('figures', { ...run.figures, window: { ...run.figures.window, to: { what: 'plug', ratingA: 50 } } });
    await fixture.whenStable();
    const element = fixture.nativeElement as HTMLElement;
    expect(element.querySelector('.shut')).not.toBeNull();
    expect(element.querySelector('.pin.bad')).not.toBeNull();
  });

  it('the volts ladder only goes down, and names its biggest step', async () => {
    const fixture = TestBed.createComponent(VoltsLadder);
    fixture.componentRef.setInput('run', run);
    await fixture.whenStable();
    const svg = (fixture.nativeElement as HTMLElement).querySelector('svg')!;
    const ys = numbers(svg, 'circle', 'cy').slice(0, -1);
    expect([...ys].sort((x, y) => x - y)).toEqual(ys);
    expect(svg.querySelector('.big')!.textContent).toMatch(/V in the (feed|return|fuse)/);
  });

  it('the vehicle shows every run and all gear, and says which was picked', async () => {
    const fixture = TestBed.createComponent(VehiclePicture);
    fixture.componentRef.setInput('vehicle', vehicleOf(job.design));
    fixture.componentRef.setInput('gear', a.gear);
    fixture.componentRef.setInput('runs', a.runs);
    fixture.componentRef.setInput('chosen', run.spec.id);
    const picked: string[] = [];
    fixture.componentInstance.runPicked.subscribe((id) => picked.push(id));
    await fixture.whenStable();
    const svg = (fixture.nativeElement as HTMLElement).querySelector('svg')!;
    expect([svg.querySelectorAll('.run').length, svg.querySelectorAll('.gear').length]).toEqual([a.runs.length, a.gear.length]);
    expect(svg.querySelector('.run.chosen title')!.textContent).toBe(run.spec.name);
    svg.querySelector('.run')!.dispatchEvent(new MouseEvent('click'));
    expect(picked.length).toBe(1);
  });

  it('the day strip stacks each hour’s loads to their sum', async () => {
    const fixture = TestBed.createComponent(DayStrip);
    fixture.componentRef.setInput('day', a.day);
    await fixture.whenStable();
    const svg = (fixture.nativeElement as HTMLElement).querySelector('svg')!;
    const heights = numbers(svg, '.bar', 'height').reduce((x, y) => x + y, 0);
    const sums = Array.from({ length: 24 }, (_, h) => a.day.hourlyW.reduce((s, row) => s + row[h]!, 0));
    expect(heights).toBeCloseTo((116 * sums.reduce((x, y) => x + y, 0)) / Math.max(...sums), 0);
  });
});

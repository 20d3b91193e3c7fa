import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { assess, DEMO_JOBS, SHIPPED_CATALOGUE, vehicleOf } from '@meridex/core';
import { DayStrip } from './day-strip';
import { FacePicture } from './face-picture';
import { FuseWindow } from './fuse-window';
import { VehiclePicture } from './vehicle-picture';
import { flatBox } from './vehicle-view';
import { PathLadder } from './path-ladder';

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

  it('the path’s ladder only goes down, a piece for each run from the source to the end, and names what takes most', async () => {
    const leaf = a.runs.find((r) => r.spec.id === 'load-l1')!;
    const fixture = TestBed.createComponent(PathLadder);
    fixture.componentRef.setInput('run', leaf);
    fixture.componentRef.setInput('runs', a.runs);
    await fixture.whenStable();
    const svg = (fixture.nativeElement as HTMLElement).querySelector('svg')!;
    const ys = numbers(svg, 'circle', 'cy');
    expect(ys.length).toBe(3);
    expect([...ys].sort((x, y) => x - y)).toEqual(ys);
    const widths = numbers(svg, '.cable', 'stroke-width');
    expect(widths[0]! > widths[1]! && widths[1]! > widths[2]!).toBeTrue();
    expect(svg.querySelector('.big')!.textContent).toMatch(/V in run \d|joints take \d+ mV/);
    expect(svg.textContent).toContain('12.00 V');
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

  it('close up shows what is around the chosen thing, all of it and larger, and nothing of the other view over it', async () => {
    const fixture = TestBed.createComponent(VehiclePicture);
    fixture.componentRef.setInput('vehicle', vehicleOf(job.design));
    fixture.componentRef.setInput('gear', a.gear);
    fixture.componentRef.setInput('runs', a.runs);
    fixture.componentRef.setInput('show', 'both');
    await fixture.whenStable();
    const svg = (fixture.nativeElement as HTMLElement).querySelector('svg')!;
    const whole = svg.getAttribute('viewBox')!.split(' ').map(Number);
    expect(svg.querySelector('clipPath')).toBeNull();
    fixture.componentRef.setInput('close', true);
    for (const g of a.gear) {
      fixture.componentRef.setInput('chosenGear', g.id);
      await fixture.whenStable();
      const [x, , w, h] = svg.getAttribute('viewBox')!.split(' ').map(Number);
      expect(w! < whole[2]! && h! < whole[3]!)
        .withContext(g.name)
        .toBeTrue();
      const clips = [...svg.querySelectorAll('clipPath rect')].map((r) => ['x', 'y', 'width', 'height'].map((n) => Number(r.getAttribute(n))) as [number, number, number, number]);
      for (const [i, view] of (['side', 'plan'] as const).entries()) {
        const [cx, cy, cw, ch] = clips[i]!;
        const b = flatBox(vehicleOf(job.design), view, g.box);
        expect(cx === x && b.x >= cx - 1 && b.x + b.w <= cx + cw + 1 && b.y >= cy - 1 && b.y + b.h <= cy + ch + 1)
          .withContext(`${g.name} ${view}`)
          .toBeTrue();
      }
    }
  });

  it('vehicle and face show gear of another rig behind, by its name, and nobody can pick it', async () => {
    const vehicle = structuredClone(vehicleOf(job.design));
    const battery = a.gear.find((g) => g.role === 'house')!;
    vehicle.keep.push({ id: 'other-0', name: 'the other battery', box: battery.box, gear: { zone: battery.zone, kg: 20, heatW: 0 } });
    const whole = TestBed.createComponent(VehiclePicture);
    const straight = TestBed.createComponent(FacePicture);
    for (const { componentRef } of [whole, straight]) {
      componentRef.setInput('vehicle', vehicle);
      componentRef.setInput('gear', []);
    }
    whole.componentRef.setInput('runs', []);
    whole.componentRef.setInput('show', 'both');
    straight.componentRef.setInput(
      'face',
      vehicle.faces.find((f) => f.id === battery.face),
    );
    await Promise.all([whole.whenStable(), straight.whenStable()]);
    const beside = (e: unknown): Element[] => [...(e as HTMLElement).querySelectorAll('.beside')];
    expect([beside(whole.nativeElement).length, beside(straight.nativeElement).length]).toEqual([2, 1]);
    const here = beside(straight.nativeElement)[0]!;
    expect(here.textContent).toContain('the other battery, of another rig');
    expect([Number(here.getAttribute('width')), Number(here.getAttribute('height'))]).toEqual([battery.outline.w, battery.outline.h]);
    expect((straight.nativeElement as HTMLElement).querySelector('[role="button"]')).toBeNull();
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

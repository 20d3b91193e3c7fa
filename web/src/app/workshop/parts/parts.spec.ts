import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { readOwnPart } from '@meridex/core';
import { SessionService } from '../../data/session.service';
import { PartsPage } from './parts';

const own = readOwnPart({ kind: 'battery', name: 'attic 135', chemistry: 'agm', capacityAh: 135 });
if (!own.ok) throw new Error(own.message);
const KEPT = { part: own.part, retired: false, author: 'Ada', at: '2026-11-01' };

describe('the parts', () => {
  const person = signal({ name: '', workshop: '', role: '' });
  let fixture: ComponentFixture<PartsPage>;
  let http: HttpTestingController;
  const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const settle = async (): Promise<void> => {
    await fixture.whenStable();
    fixture.detectChanges();
  };
  const names = (): string[] => [...page().querySelectorAll('.pick')].map((b) => b.textContent!.trim());
  const button = (words: string): HTMLButtonElement => [...document.querySelectorAll('button')].find((b) => b.textContent!.trim().startsWith(words))!;
  const press = async (words: string): Promise<void> => {
    button(words).click();
    await settle();
  };
  const seek = async (words: string): Promise<void> => {
    const box = page().querySelector<HTMLInputElement>('[aria-label="Find a part"]')!;
    box.value = words;
    box.dispatchEvent(new Event('input'));
    await settle();
  };

  beforeEach(async () => {
    person.set({ name: 'Ada', workshop: 'Tallowgum', role: 'owner' });
    const session = { provide: SessionService, useValue: { person } };
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting(), provideRouter([]), session] });
    http = TestBed.inject(HttpTestingController);
    fixture = TestBed.createComponent(PartsPage);
    fixture.detectChanges();
    http.expectOne('/api/parts').flush([KEPT]);
    await settle();
  });
  afterEach(() => fixture.destroy());

  it('are found by every word of name, kind and plate, and by kind', async () => {
    await seek('agm 135');
    expect(names().sort()).toEqual(['AGM battery 135 Ah', 'attic 135']);
    await press('our own');
    expect(names()).toEqual(['attic 135']);
    await press('all');
    await seek('12 ways');
    await press('fuse block');
    expect(names().length).toBeGreaterThan(0);
    for (const n of names()) expect(n).toContain('12 ways');
    await seek('unobtainium');
    expect(page().textContent).toContain('No part says all of that');
  });

  it('stand in the order of any column, up or down', async () => {
    await press('battery');
    await press('price');
    const prices = (): number[] => [...page().querySelectorAll('tbody tr')].map((r) => Number(r.lastElementChild!.textContent!.replace(/\D/g, '')));
    expect(prices()).toEqual([...prices()].sort((a, b) => a - b));
    await press('price');
    expect(prices()).toEqual([...prices()].sort((a, b) => b - a));
    expect(page().querySelector('[aria-sort="descending"]')!.textContent).toContain('price');
  });

  it('tell a default of a data sheet from what its plate says', async () => {
    await seek('attic');
    const facts = page().querySelector('.facts')!.textContent!.replace(/\s+/g, ' ');
    expect(facts).toContain('Capacity 135 Ah Gives steadily 135 A default');
  });

  it('are copied from a shipped one, with a figure of their own, and kept', async () => {
    await seek('lithium battery 100');
    await press('Copy it as our own');
    const field = (label: string): HTMLInputElement => document.querySelector<HTMLInputElement>(`.ant-modal [aria-label="${label}"]`)!;
    expect(field('Name of the part').value).toContain(', own');
    for (const [label, text] of [
      ['Weight of the part', '13'],
      ['Outside of the part', '300 x 200'],
    ] as const) {
      field(label).value = text;
      field(label).dispatchEvent(new Event('input'));
      field(label).dispatchEvent(new Event('blur'));
      await settle();
    }
    expect(document.querySelector('.ant-modal')!.textContent).toContain('came 300 x 200; three figures in mm');
    field('Outside of the part').value = '300 x 200 x 180';
    field('Outside of the part').dispatchEvent(new Event('input'));
    await settle();
    await press('Keep it for the workshop');
    const sent = http.expectOne({ method: 'POST', url: '/api/parts' });
    expect(sent.request.body).toEqual(jasmine.objectContaining({ kind: 'battery', kg: 13, mm: [300, 200, 180], capacityAh: 100 }));
    sent.flush(KEPT);
    await settle();
    http.expectOne('/api/parts').flush([KEPT]);
    await settle();
    expect(page().querySelector('[role="status"]')!.textContent).toContain('is kept');
  });

  it('keep their id when they are changed, and are retired and offered again', async () => {
    await seek('attic');
    await press('Change it');
    await press('Keep it for the workshop');
    const sent = http.expectOne({ method: 'POST', url: '/api/parts' });
    expect(sent.request.body).toEqual(own.part);
    sent.flush(KEPT);
    await settle();
    http.expectOne('/api/parts').flush([KEPT]);
    await settle();
    await press('retire');
    http.expectOne({ method: 'DELETE', url: `/api/parts/${own.part.id}` }).flush(KEPT);
    await settle();
    http.expectOne('/api/parts').flush([{ ...KEPT, retired: true }]);
    await settle();
    await settle();
    expect(page().querySelector('tr.retired')!.textContent).toContain('attic 135');
    await press('offer it again');
    expect(http.expectOne({ method: 'POST', url: '/api/parts' }).request.body).toEqual(own.part);
  });

  it('are only looked at by who may not keep them, and it is said why', async () => {
    person.set({ name: 'Vi', workshop: 'Tallowgum', role: 'viewer' });
    await settle();
    expect(page().querySelector('[role="alert"]')!.textContent!.length).toBeGreaterThan(10);
    expect(button('Type a data sheet').disabled).toBeTrue();
    expect(button('Copy it as our own')).toBeUndefined();
  });

  it('say which jobs have one, and which have none', async () => {
    await seek('attic');
    await press('Which jobs have it?');
    http
      .expectOne('/api/parts/own-attic-135/jobs')
      .flush([{ jobId: '8f6f4f0e-0000-4000-8000-000000000000', customer: 'Bellbird Ranges Mobile Vet', plate: 'BRV 27', vehicle: 'ute', state: 'handed over' }]);
    await new Promise((r) => setTimeout(r));
    await settle();
    expect(page().querySelector('.used')!.textContent!.replace(/\s+/g, ' ')).toContain('1 job has it, the built ones first: Bellbird Ranges Mobile Vet ute, BRV 27 handed over');
    await seek('12 ways');
    expect(page().querySelector('.used')).toBeNull();
    await press('Which jobs have it?');
    http.expectOne((r) => r.url.endsWith('/jobs')).flush([]);
    await new Promise((r) => setTimeout(r));
    await settle();
    expect(page().querySelector('.used')!.textContent).toContain('No job of the workshop has it');
  });
});

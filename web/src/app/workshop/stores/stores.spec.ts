import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { NewPriceList } from '@meridex/contract';
import { en_US, provideNzI18n } from 'ng-zorro-antd/i18n';
import { SessionService } from '../../data/session.service';
import { StoresPage } from './stores';

const FUSE = { key: 'fuse-blade-15', what: 'blade fuse 15 A', unit: 'pc' as const, count: 12, counted: '2026-12-01T01:00:00Z', author: 'Ann' };
const CSV = 'Stock No;Description;Pack;Nett price\nF15;BLADE FUSE 15A;50;22,00\nP200;ROOF PANEL 200W;1;POA';

describe('the stores', () => {
  const person = signal({ name: 'Ann', email: 'ann@shed.example', workshop: '', role: 'owner' });
  let fixture: ComponentFixture<StoresPage>;
  let http: HttpTestingController;
  const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const says = (): string => page().textContent!.replace(/\s+/g, ' ');
  const settle = async (): Promise<void> => {
    await new Promise((r) => setTimeout(r));
    await fixture.whenStable();
  };
  const button = (words: RegExp): HTMLButtonElement => [...page().querySelectorAll('button')].find((b) => words.test(b.textContent!.trim()))!;

  beforeEach(async () => {
    person.update((p) => ({ ...p, role: 'owner' }));
    const session = { provide: SessionService, useValue: { person } };
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideNzI18n(en_US), provideHttpClient(), provideHttpClientTesting(), provideRouter([]), session] });
    http = TestBed.inject(HttpTestingController);
    fixture = TestBed.createComponent(StoresPage);
    fixture.detectChanges();
    http.expectOne('/api/shelf').flush([FUSE, { ...FUSE, key: 'x', what: 'lug 16 mm² M8', count: -3 }]);
    http.expectOne('/api/price-lists').flush([]);
    await settle();
  });
  afterEach(() => fixture.destroy());

  it('say what lies on the shelf, and what was taken that was not there', () => {
    expect(page().querySelector<HTMLInputElement>('[data-line="fuse-blade-15"] input')!.value).toContain('12');
    expect(says()).toContain('3 pc more taken than were there');
  });

  it('are counted in place', async () => {
    const box = page().querySelector<HTMLInputElement>('[data-line="fuse-blade-15"] input')!;
    box.value = '7';
    for (const e of ['input', 'change', 'blur']) box.dispatchEvent(new Event(e));
    await settle();
    expect(http.expectOne('/api/shelf/fuse-blade-15').request.body).toEqual({ what: FUSE.what, unit: 'pc', count: 7 });
  });

  it('take in a supplier’s list: columns guessed, what is left out said, the rest kept', async () => {
    button(/^Take in a price list/).click();
    await settle();
    const box = page().querySelector<HTMLInputElement>('mx-new-list input[type=file]')!;
    const files = new DataTransfer();
    files.items.add(new File([CSV], 'list.csv'));
    box.files = files.files;
    box.dispatchEvent(new Event('change'));
    // A file is read in its own time.
    for (let i = 0; i < 200 && !says().includes('1 price is read'); i++) await settle();
    expect(says()).toContain('1 price is read');
    expect(says()).toContain('row 3: price: “POA”; an amount above 0 with a comma before the cents, as the others have, is accepted');
    expect(says()).toContain('Whose list is it?');
    const name = page().querySelector<HTMLInputElement>('mx-new-list input[maxlength="80"]')!;
    name.value = 'Quandong Trade Counter';
    name.dispatchEvent(new Event('input'));
    await settle();
    button(/^Keep 1 price/).click();
    await settle();
    const { body } = http.expectOne({ url: '/api/price-lists', method: 'POST' }).request as { body: NewPriceList };
    expect([body.supplier, body.items]).toEqual(['Quandong Trade Counter', [{ code: 'F15', what: 'BLADE FUSE 15A', each: 0.44 }]]);
  });

  it('are looked at, and no more, by whoever may not keep parts', async () => {
    person.update((p) => ({ ...p, role: 'viewer' }));
    await settle();
    expect(page().querySelector('[data-line="fuse-blade-15"] input')).toBeNull();
    expect(button(/^Take in/).disabled).toBeTrue();
    expect(says()).toContain('A viewer may not keep parts');
  });

  it('do not say that nothing lies there where nobody could look', async () => {
    TestBed.resetTestingModule();
    const session = { provide: SessionService, useValue: { person } };
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideNzI18n(en_US), provideHttpClient(), provideHttpClientTesting(), provideRouter([]), session] });
    http = TestBed.inject(HttpTestingController);
    fixture = TestBed.createComponent(StoresPage);
    fixture.detectChanges();
    http.expectOne('/api/shelf').flush({ message: 'no' }, { status: 403, statusText: 'no' });
    http.expectOne('/api/price-lists').flush([]);
    await settle();
    expect(says()).toContain('The shelf could not be read: no');
    expect(says()).not.toContain('Nothing was counted yet');
    expect(says()).toContain('No price list yet');
  });
});

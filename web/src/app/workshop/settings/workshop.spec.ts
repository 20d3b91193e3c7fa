import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { SessionService } from '../../data/session.service';
import { WorkshopPage } from './workshop';

const SAYS = { name: 'Tallowgum', address: '', phone: '', licence: '', logo: '', rules: null };

describe('the workshop’s page', () => {
  const person = signal({ name: '', workshop: '', role: '' });
  const renamed = jasmine.createSpy('renamed');
  let fixture: ComponentFixture<WorkshopPage>;
  let http: HttpTestingController;
  const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const keep = (): HTMLButtonElement => page().querySelector<HTMLButtonElement>('.bench-head button')!;
  const type = async (label: string, value: string): Promise<void> => {
    const named = [...page().querySelectorAll('label')].find((l) => l.textContent!.trim() === label)?.querySelector('input');
    const box = named ?? page().querySelector<HTMLInputElement>(`[aria-label="${label}"]`)!;
    box.value = value;
    box.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };
  const open = async (role: string): Promise<void> => {
    person.set({ name: 'Ada', workshop: 'Tallowgum', role });
    TestBed.configureTestingModule({
      providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting(), provideRouter([]), { provide: SessionService, useValue: { person, renamed } }],
    });
    http = TestBed.inject(HttpTestingController);
    fixture = TestBed.createComponent(WorkshopPage);
    fixture.detectChanges();
    http.expectOne('/api/workshop').flush(SAYS);
    await fixture.whenStable();
  };

  it('takes a picture as the logo, drawn no larger than paper shows it, and says of what is none', async () => {
    await open('owner');
    const choose = async (file: File, brings: string): Promise<void> => {
      const field = page().querySelector<HTMLInputElement>('[aria-label="Picture of the logo"]')!;
      const files = new DataTransfer();
      files.items.add(file);
      field.files = files.files;
      field.dispatchEvent(new Event('change'));
      for (let n = 0; n < 100 && !page().querySelector(brings); n++) await new Promise((r) => setTimeout(r, 10));
      await fixture.whenStable();
    };
    await choose(new File(['no picture'], 'letter.txt'), '[role=alert]');
    expect(page().querySelector('[role=alert]')!.textContent).toContain('letter.txt: this browser cannot open it');
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [1800, 300];
    const blob = await new Promise<Blob>((done) => canvas.toBlob((b) => done(b!)));
    await choose(new File([blob], 'sign.png', { type: 'image/png' }), '.logo img');
    expect(page().querySelector('[role=alert]')).toBeNull();
    const shown = page().querySelector<HTMLImageElement>('.logo img')!;
    await shown.decode();
    expect([shown.naturalWidth, shown.naturalHeight]).toEqual([600, 100]);
    keep().click();
    expect((http.expectOne('/api/workshop').request.body as { logo: string }).logo.length).toBeGreaterThan(50);
  });

  it('keeps what is typed, with the usual rules where nothing else was said', async () => {
    await open('owner');
    expect(keep().disabled).toBeTrue();
    await type('Name', 'Siding Lane');
    await type('Torque of M8', '9');
    await type('Clamp: share that it may be off by', '1.5');
    await type('Letters before a fuse’s number', 'F');
    expect(keep().disabled).toBeFalse();
    keep().click();
    const sent = http.expectOne('/api/workshop').request;
    const { name, rules } = sent.body as { name: string; rules: { series: string; torqueNm: Record<string, number>; fuseMarks: object; meters: { clamp: { share: number } } } };
    expect([name, rules.series, rules.torqueNm['M8'], rules.torqueNm['M6'], rules.meters.clamp.share]).toEqual(['Siding Lane', 'metric', 9, 5, 0.015]);
    expect(rules.fuseMarks).toEqual({ by: 'their run', prefix: 'F' });
  });

  it('says what the server has against it, and keeps what was typed', async () => {
    await open('owner');
    await type('Name', 'x');
    keep().click();
    http.expectOne('/api/workshop').flush({ message: 'name: a name is accepted' }, { status: 400, statusText: 'Bad' });
    await fixture.whenStable();
    expect(page().querySelector('[role=alert]')!.textContent).toContain('name: a name is accepted');
    expect(keep().disabled).toBeFalse();
  });

  it('tells who may not change it', async () => {
    await open('apprentice');
    expect(page().textContent).toContain('An apprentice may not change what the workshop says of itself and how it works; an owner may.');
    await type('Name', 'mine');
    expect(keep().disabled).toBeTrue();
  });
});

import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { SessionService } from '../../data/session.service';
import { PeoplePage } from './people';

const HERE = { id: 'a1', browser: 'desk', since: '2026-11-20T08:00:00Z', until: '2026-12-20T08:00:00Z', here: true };
const PHONE = { ...HERE, id: 'b2', browser: 'phone or tablet', here: false };

describe('where one is signed in', () => {
  const ANN = { id: 'p1', name: 'Ann', email: 'ann@shed.example', role: 'viewer', ended: false, you: true, sessions: 30 };
  it('is folded where it is long, this browser first, and takes no height from the people above it', async () => {
    const session = { provide: SessionService, useValue: { person: signal({ name: 'Ada', workshop: 'Shed', role: 'viewer' }) } };
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting(), provideRouter([]), session] });
    const http = TestBed.inject(HttpTestingController);
    const fixture = TestBed.createComponent(PeoplePage);
    const page = fixture.nativeElement as HTMLElement;
    document.body.append(page);
    fixture.detectChanges();
    http.expectOne('/api/session/all').flush([...Array.from({ length: 30 }, (_, n) => ({ ...PHONE, id: `s${n}`, since: `2026-11-19T08:00:${10 + n}Z` })), HERE]);
    http.expectOne('/api/people').flush([ANN]);
    await fixture.whenStable();
    const rows = (): string[] => [...page.querySelectorAll('ul.rows li')].map((li) => li.textContent!);
    expect([rows().length, rows()[0]!.includes('this one')]).toEqual([6, true]);
    [...page.querySelectorAll('button')].find((b) => b.textContent === 'and 25 more')!.click();
    await fixture.whenStable();
    expect(rows().length).toBe(31);
    expect(page.querySelector('section.panel')!.clientHeight).toBeGreaterThanOrEqual(page.querySelector('table')!.clientHeight);
    page.remove();
  });

  it('is listed; any but this browser can be signed out alone', async () => {
    const session = { provide: SessionService, useValue: { person: signal({ name: 'Ada', workshop: 'Shed', role: 'viewer' }) } };
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting(), provideRouter([]), session] });
    const http = TestBed.inject(HttpTestingController);
    const fixture = TestBed.createComponent(PeoplePage);
    const page = fixture.nativeElement as HTMLElement;
    const answer = async (all: object[]): Promise<void> => {
      http.expectOne('/api/session/all').flush(all);
      http.expectOne('/api/people').flush([]);
      await fixture.whenStable();
    };
    fixture.detectChanges();
    await answer([HERE, PHONE]);
    const rows = (): string[] => [...page.querySelectorAll('ul.rows li')].map((li) => li.textContent!.replace(/\s+/g, ' '));
    expect(rows()[0]).toContain('this one');
    const out = [...page.querySelectorAll<HTMLButtonElement>('ul.rows button')];
    expect(out.length).toBe(1);
    out[0]!.click();
    http.expectOne({ url: '/api/session/all/b2', method: 'DELETE' }).flush(null);
    await answer([HERE]);
    expect(rows().length).toBe(1);
    expect(page.querySelector('[role=status]')!.textContent).toContain('Signed out there');
  });
});

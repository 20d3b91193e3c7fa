import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import type { Bay, JobLine } from '../services/jobs.service';
import { BaySheet } from './bay-sheet';

const line = (id: string, change: Partial<JobLine> = {}): JobLine => ({
  id,
  customer: `Customer ${id}`,
  vehicle: 'van',
  plate: 'P 1',
  promisedOn: '2099-01-02',
  state: 'planning',
  note: '',
  stages: Array<'hollow'>(12).fill('hollow'),
  hold: { mark: 'look', say: '2 to look at' },
  next: { stage: 'runs', say: 'Type the lengths' },
  ...change,
});

describe('the bay sheet', () => {
  let fixture: ComponentFixture<BaySheet>;
  let server: HttpTestingController;
  let element: HTMLElement;
  const show = async (bay: Bay): Promise<void> => {
    server.expectOne('/api/jobs').flush(bay);
    await fixture.whenStable();
  };
  const key = async (k: string): Promise<void> => {
    document.dispatchEvent(new KeyboardEvent('keydown', { key: k }));
    await fixture.whenStable();
  };

  beforeEach(() => {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting(), provideRouter([])] });
    fixture = TestBed.createComponent(BaySheet);
    server = TestBed.inject(HttpTestingController);
    element = fixture.nativeElement as HTMLElement;
  });

  it('has a row a job with what holds it up and what to do next', async () => {
    await show({ lines: [line('a'), line('b', { hold: { mark: 'stop', say: 'fuse cannot break it' } })], buy: [], care: [] });
    const rows = [...element.querySelectorAll('tbody tr')].map((r) => r.textContent!);
    expect(rows.length).toBe(2);
    expect(rows[1]).toContain('fuse cannot break it');
    expect(element.querySelector('.sum')!.textContent).toContain('2 jobs · 0 promised within a week · 1 held up');
  });

  it('says what to buy and what comes back for care', async () => {
    await show({ lines: [], buy: [{ what: 'cable 35 mm² red', quantity: 14, unit: 'm' }], care: [{ id: 'x', customer: 'Orchard', on: '2099-01-14', joints: 32 }] });
    expect(element.querySelector('.below')!.textContent).toMatch(/cable 35 mm² red\s*14 m/);
    expect(element.querySelector('.below')!.textContent).toContain('14 Jan: 32 joints');
  });

  it('opens the chosen job at its next thing to do', async () => {
    await show({ lines: [line('a'), line('b')], buy: [], care: [] });
    const go = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await key('j');
    await key('j');
    await key('k');
    await key('Enter');
    expect(go.calls.mostRecent().args[0]).toEqual(['/jobs', 'a', 'runs']);
  });

  it('invites the first job where there is none', async () => {
    await show({ lines: [], buy: [], care: [] });
    expect(element.querySelector('.empty')!.textContent).toContain('No jobs yet');
  });

  it('says so when the server does not answer', async () => {
    server.expectOne('/api/jobs').error(new ProgressEvent('error'));
    await fixture.whenStable();
    expect(element.querySelector('[role=alert]')!.textContent).toContain('the server does not answer');
  });
});

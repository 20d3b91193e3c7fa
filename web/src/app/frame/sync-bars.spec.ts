import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { blankDesign } from '@meridex/core';
import type { Clashing } from '../data/sync/clash';
import type { EditEntry } from '../data/sync/entry';
import { SyncService } from '../data/sync/sync.service';
import { SyncBars } from './sync-bars';

const entry: EditEntry = {
  id: crypto.randomUUID(),
  person: '',
  jobId: 'job-1',
  tab: 't',
  at: 1,
  touched: 1,
  tried: true,
  refused: null,
  kind: 'edit',
  base: 3,
  on: [],
  label: 'plate',
  patch: [
    { op: 'replace', path: '/brief/plate', value: 'MINE' },
    { op: 'replace', path: '/brief/notes', value: 'mine too' },
  ],
};
const clashing: Clashing = {
  entry,
  clashes: [{ path: '/brief/plate', mine: 'MINE', theirs: '' }],
  newest: { number: 5, at: '2026-11-24T10:00:00Z', design: blankDesign('Bellbird Ranges Mobile Vet') },
};

describe('the bars above the bench', () => {
  const done: string[] = [];
  const sync = {
    notKept: signal<string | null>(null),
    signedOut: signal(false),
    clashes: signal<ReadonlyMap<string, Clashing>>(new Map()),
    setAside: signal<readonly EditEntry[]>([]),
    unsent: signal<readonly EditEntry[]>([]),
    damaged: signal<readonly string[]>([]),
    settle: (job: string, mine: boolean) => done.push(`${job} ${mine ? 'mine' : 'theirs'}`),
    again: (e: EditEntry) => done.push(`again ${e.label}`),
    letGo: (e: EditEntry) => done.push(`gone ${e.label}`),
    forgetDamaged: () => done.push('forgotten'),
  };
  let fixture: ComponentFixture<SyncBars>;
  let page: HTMLElement;
  const text = (): string => page.textContent!.replace(/\s+/g, ' ').trim();
  const press = (name: string): void => [...page.querySelectorAll('button')].find((b) => b.textContent!.trim() === name)!.click();

  beforeEach(async () => {
    done.length = 0;
    sync.clashes.set(new Map());
    sync.setAside.set([]);
    sync.unsent.set([]);
    sync.signedOut.set(false);
    sync.damaged.set([]);
    sync.notKept.set(null);
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideRouter([]), provideHttpClient(), provideHttpClientTesting(), { provide: SyncService, useValue: sync }] });
    fixture = TestBed.createComponent(SyncBars);
    fixture.componentRef.setInput('jobId', 'job-1');
    page = fixture.nativeElement as HTMLElement;
    await fixture.whenStable();
  });

  it('are none where all is well', () => {
    expect(text()).toBe('');
  });

  it('ask about a clash in words, with both values, and say what else is kept', async () => {
    sync.clashes.set(new Map([['job-1', clashing]]));
    await fixture.whenStable();
    expect(text()).toContain('Someone changed the same thing as your plate, “MINE” and 1 more: brief › plate is empty now, yours MINE. What else you changed with it is kept either way.');
    press('Put mine');
    press('Keep theirs');
    expect(done).toEqual(['job-1 mine', 'job-1 theirs']);
  });

  it('send to the job that waits for an answer', async () => {
    sync.clashes.set(new Map([['job-2', { ...clashing, entry: { ...entry, jobId: 'job-2' } }]]));
    await fixture.whenStable();
    expect(page.querySelector('a')!.getAttribute('href')).toBe('/jobs/job-2');
  });

  it('show what was not taken and why, to be tried again or let go', async () => {
    sync.setAside.set([{ ...entry, refused: 'plate: up to 20 letters are accepted' }]);
    await fixture.whenStable();
    expect(text()).toContain('Not taken: plate, “MINE” and 1 more. plate: up to 20 letters are accepted. It is kept on this device until you decide.');
    press('Try again');
    press('Let it go');
    expect(done).toEqual(['again plate', 'gone plate']);
  });

  it('sign in again in place, and say what is wrong with the password', async () => {
    sync.signedOut.set(true);
    sync.unsent.set([entry]);
    await fixture.whenStable();
    expect(text()).toContain('Your sign-in has ended. One thing is kept here and will be sent.');
    const box = page.querySelector<HTMLInputElement>('input[type=password]')!;
    box.value = 'wrong';
    box.dispatchEvent(new Event('input'));
    press('Sign in');
    const asked = TestBed.inject(HttpTestingController).expectOne('/api/session');
    expect(asked.request.body).toEqual({ email: '', password: 'wrong' });
    asked.flush({ message: 'Address or password is not right.' }, { status: 401, statusText: 'Unauthorized' });
    await fixture.whenStable();
    expect(text()).toContain('Address or password is not right.');
  });

  it('tell of a full device and of what is damaged', async () => {
    sync.notKept.set('This device keeps nothing: its storage is full.');
    sync.damaged.set(['{"half']);
    await fixture.whenStable();
    expect(text()).toMatch(/This device keeps nothing: its storage is full\..*Something kept on this device cannot be read any more/);
    press('Let it go');
    expect(done).toEqual(['forgotten']);
  });
});
